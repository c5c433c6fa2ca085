-- Addresses under which a driver's card is read without a sign-in.

create table if not exists drivers_link (
  id bigint not null auto_increment primary key,
  job_id bigint not null,
  token varchar(64) character set ascii collate ascii_bin not null,
  person_id bigint not null,
  opened_at datetime(3) not null,
  ends_at datetime(3) not null,
  revoked boolean not null,
  constraint drivers_link_token unique (token),
  constraint drivers_link_job foreign key (job_id) references job (id),
  constraint drivers_link_person foreign key (person_id) references person (id)
);
