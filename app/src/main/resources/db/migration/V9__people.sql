-- tries to sign in, as token buckets that every server shares; rows that nobody touches any more are swept away
create table sign_in_try (
  id varchar(160) character set ascii collate ascii_bin not null primary key,
  state blob null,
  touched_at datetime(3) not null default current_timestamp(3) on update current_timestamp(3),
  index sign_in_try_touched (touched_at)
);

-- from where somebody has signed in with the right password; a hash, for addresses are nobody's business
create table sign_in_place (
  id bigint not null auto_increment primary key,
  person_id bigint not null,
  place varchar(64) character set ascii collate ascii_bin not null,
  last_at datetime(3) not null,
  constraint sign_in_place_once unique (person_id, place),
  constraint sign_in_place_person foreign key (person_id) references person (id)
);

-- somebody who left signs in no more; what they did keeps their name
alter table person
  add column ended_at datetime(3) null,
  add column password_at datetime(3) null;

-- tokens have a name, an end, and can be taken back
alter table api_token
  add column label varchar(60) not null default 'token',
  add column ends_at datetime(3) null,
  add column revoked_at datetime(3) null,
  add column used_at datetime(3) null;

-- sessions from before hold what is kept no more
delete from SPRING_SESSION_ATTRIBUTES;
delete from SPRING_SESSION;
