# Shared by run, test and shots: installing packages, and a private MariaDB on loopback.

say() { printf '%s\n' "$*"; }
die() { printf '%s\n' "$*" >&2; exit 1; }

as_root() { if [ "$(id -u)" = 0 ]; then "$@"; else sudo "$@"; fi; }

# need COMMAND:PACKAGE ... : installs the Debian packages whose command is missing, after saying so.
need() {
  local missing=()
  for pair in "$@"; do
    PATH="$PATH:/usr/sbin" command -v "${pair%%:*}" >/dev/null || missing+=("${pair#*:}")
  done
  [ ${#missing[@]} -eq 0 ] && return 0
  say "Installing from Debian's packages: ${missing[*]}"
  as_root apt-get update -q >/dev/null || die "The package lists could not be read."
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -q --no-install-recommends "${missing[@]}" >/dev/null \
    || die "Could not install: ${missing[*]}"
}

need_java() {
  if ! javac -version 2>&1 | grep -qE ' (1[7-9]|2[0-9])\.'; then need "no-javac-17:openjdk-17-jdk-headless"; fi
  need mvn:maven curl:curl setpriv:util-linux
}

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

alive() { [ -n "${1:-}" ] && kill -0 "$1" 2>/dev/null; }

# MariaDB refuses to run as root; then it runs as nobody, and its folder belongs to nobody.
db_user() { if [ "$(id -u)" = 0 ]; then echo nobody; else id -un; fi; }
as_db() { if [ "$(id -u)" = 0 ] && [ "${DB_ACCOUNT:-nobody}" = nobody ]; then setpriv --reuid=nobody --regid=nogroup --clear-groups "$@"; else "$@"; fi; }

# db_socket DIR PORT : where the database of a folder listens; a socket's path has at most 107 letters.
db_socket() {
  local socket; socket=$(cd "$1" && pwd -P)/mariadb.sock
  [ ${#socket} -le 100 ] || socket=/tmp/jexel-db-$2.sock
  printf '%s' "$socket"
}

# db_start DIR PORT : starts the private server with its data in DIR, and waits until it answers.
db_start() {
  local dir=$1 port=$2
  port_taken "$port" && die "Port $port is taken; set JEXEL_DB_PORT to a free one."
  mkdir -p "$dir"
  # A copy of the data folder has to be a copy of the data: a link, left by an older version or made
  # by hand, is told at every start.
  [ ! -L "$dir" ] || say "The database's data does not lie in $dir but in $(cd "$dir" && pwd -P). Copy it with ./run backup."
  dir=$(cd "$dir" && pwd -P)
  DB_ACCOUNT=$(db_user)
  if ! as_db test -x "$dir"; then
    # Folders of root's own are closed to the unprivileged account.
    DB_ACCOUNT=root
    say "$dir is closed to other accounts, so the database runs as root, on loopback alone."
  fi
  DB_SOCKET=$(db_socket "$dir" "$port")
  rm -f "$DB_SOCKET"
  # A server that starts clears its folder for temporary tables, of others' tables as well.
  mkdir -p "$dir/tmp"
  chown "$DB_ACCOUNT" "$dir/tmp"
  if [ ! -d "$dir/data/mysql" ]; then
    rm -rf "$dir/data" "$dir/new"
    mkdir -p "$dir/new"
    chown "$DB_ACCOUNT" "$dir" "$dir/new"
    as_db mariadb-install-db --no-defaults --user="$DB_ACCOUNT" --datadir="$dir/new" --tmpdir="$dir/tmp" --auth-root-authentication-method=normal \
      --skip-test-db >"$dir/install.log" 2>&1 || { { grep -am 5 ERROR "$dir/install.log" || tail -n 5 "$dir/install.log"; } >&2; die "MariaDB could not make its data folder."; }
    mv "$dir/new" "$dir/data"
  fi
  chown "$DB_ACCOUNT" "$dir"
  # exec, so that the process id is the server's own and not a shell's around it; setsid, so that a
  # Ctrl-C at the terminal reaches the script, which stops things in order, and not the database
  (
    daemon=$(PATH="$PATH:/usr/sbin" command -v mariadbd)
    if [ "$DB_ACCOUNT" = nobody ]; then set -- setsid setpriv --reuid=nobody --regid=nogroup --clear-groups "$daemon"; else set -- setsid "$daemon"; fi
    exec "$@" --no-defaults --user="$DB_ACCOUNT" --datadir="$dir/data" --tmpdir="$dir/tmp" --socket="$DB_SOCKET" \
    --bind-address=127.0.0.1 --port="$port" --pid-file="$dir/mariadb.pid" --character-set-server=utf8mb4 \
    --innodb-flush-log-at-trx-commit=1 --innodb-buffer-pool-size=128M --max-connections=80 --skip-name-resolve \
    >"$dir/mariadb.log" 2>&1
  ) &
  DB_PID=$!
  for _ in $(seq 1 120); do
    alive "$DB_PID" || { tail -n 5 "$dir/mariadb.log" >&2; die "MariaDB did not start."; }
    if mariadb --no-defaults --socket="$DB_SOCKET" -u root -e "create database if not exists jexel character set utf8mb4;
        create user if not exists jexel@'127.0.0.1' identified by 'jexel';
        grant all on jexel.* to jexel@'127.0.0.1'; grant all on \`jexel\\_%\`.* to jexel@'127.0.0.1';" 2>/dev/null; then
      return 0
    fi
    sleep 0.25
  done
  die "MariaDB did not answer in 30 s."
}

# stop PID SECONDS : asks a process that we started to end, and insists after SECONDS.
stop_pid() {
  alive "$1" || return 0
  kill "$1" 2>/dev/null || true
  for _ in $(seq 1 $(($2 * 10))); do alive "$1" || return 0; sleep 0.1; done
  kill -9 "$1" 2>/dev/null || true
}
