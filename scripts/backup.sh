# A copy of everything, and back again. A backup is a tar of two files: `jexel-backup`, which says
# what it is (format, schema, time, checksum), and `dump.sql.gz`, the database at one moment.

BACKUP_FORMAT=1

# The newest migration that this checkout knows.
newest_schema() {
  ls app/src/main/resources/db/migration | sed -nE 's/^V([0-9]+)__.*/\1/p' | sort -n | tail -n 1
}

# field NAME FILE : what a manifest says under a name.
field() { sed -nE "s/^$1=(.*)$/\\1/p" "$2" | head -n 1; }

# backup_to FILE SOCKET : writes a backup of the running database; consistent, for it is one snapshot.
backup_to() {
  local file=$1 socket=$2 dir work
  [ ! -e "$file" ] || die "$file is there already. A backup overwrites nothing."
  dir=$(dirname "$file")
  [ -d "$dir" ] || die "There is no folder $dir."
  work=$(mktemp -d "$dir/.jexel-backup-XXXXXX")
  # Counted before the copy: rows are only ever added, so that it holds at least these.
  {
    echo "format=$BACKUP_FORMAT"
    echo "schema=$(schema_of "$socket")"
    echo "made=$(date -u +%Y-%m-%dT%H:%M:%SZ)"
    echo "jobs=$(count_of "$socket" job)"
    echo "readings=$(count_of "$socket" reading)"
  } >"$work/jexel-backup"
  if ! mariadb-dump --no-defaults --socket="$socket" -u root --single-transaction --quick --hex-blob \
      --skip-lock-tables --default-character-set=utf8mb4 jexel >"$work/dump.sql" 2>"$work/problem"; then
    tail -n 3 "$work/problem" >&2
    rm -rf "$work"
    die "The database could not be copied. There is no backup."
  fi
  # The last line says that the dump is whole.
  tail -n 1 "$work/dump.sql" | grep -q 'Dump completed' || { rm -rf "$work"; die "The copy broke off. There is no backup."; }
  gzip "$work/dump.sql"
  echo "sha256=$(sha256sum "$work/dump.sql.gz" | cut -d' ' -f1)" >>"$work/jexel-backup"
  # It holds password hashes: for its owner alone.
  umask 077
  tar -C "$work" -cf "$work/whole.tar" jexel-backup dump.sql.gz
  # On disk before it has its name: a backup that is there is a whole one.
  sync "$work/whole.tar"
  mv -n "$work/whole.tar" "$file"
  say "Backup: $file, $(($(wc -c <"$file") / 1024)) kB, $(field jobs "$work/jexel-backup") jobs, $(field readings "$work/jexel-backup") readings."
  rm -rf "$work"
}

asks() { mariadb --no-defaults --socket="$1" -u root -N -B jexel -e "$2"; }
schema_of() { asks "$1" "select max(cast(version as unsigned)) from flyway_schema_history where success"; }
count_of() { asks "$1" "select count(*) from $2"; }

# open_backup FILE DIR : unpacks a backup into DIR after looking at all of it; refuses what is not whole or too new.
open_backup() {
  local file=$1 dir=$2 said schema
  [ -f "$file" ] || die "There is no file $file."
  tar -C "$dir" -xf "$file" jexel-backup dump.sql.gz 2>/dev/null || die "$file is no backup of Jexel, or a broken one. Nothing was touched."
  said=$(field format "$dir/jexel-backup")
  [ "$said" = "$BACKUP_FORMAT" ] || die "$file has the format ${said:-of nothing known}, this Jexel reads $BACKUP_FORMAT. Nothing was touched."
  [ "$(sha256sum "$dir/dump.sql.gz" | cut -d' ' -f1)" = "$(field sha256 "$dir/jexel-backup")" ] \
    || die "$file is broken: its checksum is another one. Nothing was touched."
  gzip -t "$dir/dump.sql.gz" 2>/dev/null || die "$file is broken. Nothing was touched."
  schema=$(field schema "$dir/jexel-backup")
  case $schema in *[!0-9]*|"") die "$file does not say its version. Nothing was touched.";; esac
  [ "$schema" -le "$(newest_schema)" ] \
    || die "$file is from a newer Jexel (schema $schema; this one knows $(newest_schema)). Nothing was touched."
}

# restore_from FILE DATA PORT : a new data folder from a backup beside the old one; then they change places.
restore_from() {
  local file=$1 data=$2 port=$3 work fresh
  work=$(mktemp -d "${TMPDIR:-/tmp}/jexel-restore-XXXXXX")
  trap 'stop_pid "${DB_PID:-}" 30; rm -rf "$work" "${fresh:-$work}"' EXIT
  open_backup "$file" "$work"
  fresh=$data/db.restored
  rm -rf "$fresh"
  db_start "$fresh" "$port"
  gunzip -c "$work/dump.sql.gz" | mariadb --no-defaults --socket="$DB_SOCKET" -u root --default-character-set=utf8mb4 jexel \
    || die "The backup could not be read back. What was here before is as it was."
  for table in job:jobs reading:readings; do
    [ "$(count_of "$DB_SOCKET" "${table%%:*}")" -ge "$(field "${table#*:}" "$work/jexel-backup")" ] \
      || die "The backup lacks ${table#*:}. What was here before is as it was."
  done
  # Whoever was signed in somewhere when the copy was made is not signed in here.
  asks "$DB_SOCKET" "delete from SPRING_SESSION_ATTRIBUTES; delete from SPRING_SESSION;"
  stop_pid "$DB_PID" 30
  DB_PID=
  if [ -e "$data/db" ]; then
    local before; before=$data/db.before-$(date -u +%Y%m%d-%H%M%S)
    mv "$data/db" "$before"
    say "What was here before lies in $before."
  fi
  mv "$fresh" "$data/db"
  trap - EXIT
  say "Restored: $(field jobs "$work/jexel-backup") jobs, $(field readings "$work/jexel-backup") readings, as of $(field made "$work/jexel-backup"). Start with ./run"
  rm -rf "$work"
}
