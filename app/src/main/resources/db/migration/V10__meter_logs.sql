-- files of logging meters as they were sent, compressed, in parts that fit any packet
create table meter_log (
  id bigint not null auto_increment primary key,
  job_id bigint not null,
  person_id bigint not null,
  file_name varchar(200) not null,
  bytes bigint not null,
  sha256 varchar(64) not null,
  sent_at datetime(3) not null,
  recorded_at datetime(3) null,
  constraint meter_log_job foreign key (job_id) references job (id),
  constraint meter_log_person foreign key (person_id) references person (id),
  index meter_log_open (recorded_at, sent_at)
);
create table meter_log_part (
  log_id bigint not null,
  n int not null,
  content mediumblob not null,
  primary key (log_id, n),
  constraint meter_log_part_log foreign key (log_id) references meter_log (id) on delete cascade
);

-- a reading from many rows of a file: how many, and between what they lay
alter table reading
  add column log_id bigint null,
  add column row_count int null,
  add column least_si double null,
  add column greatest_si double null,
  add constraint reading_log foreign key (log_id) references meter_log (id);
