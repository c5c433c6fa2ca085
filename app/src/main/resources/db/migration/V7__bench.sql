-- how a reading came in
alter table reading add column source varchar(10) not null default 'TYPED';

-- what the simulated meter of a job measures on: hidden faults, and where healthy parts lie in their tolerance
create table simulated_rig (
  job_id bigint not null primary key,
  faults varchar(500) not null,
  seed bigint not null,
  person_id bigint not null,
  set_at datetime(3) not null,
  constraint simulated_rig_job foreign key (job_id) references job (id),
  constraint simulated_rig_person foreign key (person_id) references person (id)
);

-- a tick may mend a fault: in words, and the checks that are to be read again
alter table step_tick modify step varchar(80) not null,
  add column mended varchar(300) null,
  add column again varchar(8000) null;

-- whether somebody works on a job alone, without a helper in the cab
alter table job add column alone boolean not null default false;

-- pages for a second phone, opened by a code; the newest row of a job counts until it is closed or ends
create table helper_page (
  id bigint not null auto_increment primary key,
  job_id bigint not null,
  code varchar(12) not null,
  person_id bigint not null,
  opened_at datetime(3) not null,
  ends_at datetime(3) not null,
  closed boolean not null,
  constraint helper_page_code unique (code),
  constraint helper_page_job foreign key (job_id) references job (id),
  constraint helper_page_person foreign key (person_id) references person (id)
);
