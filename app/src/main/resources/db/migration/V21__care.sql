-- What a trailer is cared for over the years.

-- append-only: a correction is a new row that names the old one
create table if not exists care_act (
  id bigint not null auto_increment primary key,
  trailer_id bigint not null,
  part varchar(12) not null,
  metres double null,
  note varchar(200) not null,
  corrects_id bigint null,
  person_id bigint not null,
  done_at datetime(3) not null,
  made_at datetime(3) not null,
  request_key varchar(40) not null,
  constraint care_act_request unique (trailer_id, request_key),
  constraint care_act_trailer foreign key (trailer_id) references rig_part (id),
  constraint care_act_person foreign key (person_id) references person (id),
  index care_act_of_trailer (trailer_id, done_at)
);

create table if not exists care_found (
  act_id bigint not null,
  place tinyint not null,
  si double not null,
  primary key (act_id, place),
  constraint care_found_act foreign key (act_id) references care_act (id)
);

-- what is due first, worked out by the last act; empty while nobody keeps the plan
alter table rig_part add column if not exists care_due date null;
alter table rig_part add column if not exists care_part varchar(12) null;

-- where a workshop goes by other intervals than the usual ones
create table if not exists care_interval (
  workshop_id bigint not null,
  part varchar(12) not null,
  months int not null,
  metres double null,
  primary key (workshop_id, part),
  constraint care_interval_workshop foreign key (workshop_id) references workshop (id)
);

-- addresses under which a calendar program reads what is due: of one job's trailer, or of the workshop
create table if not exists calendar_link (
  id bigint not null auto_increment primary key,
  workshop_id bigint not null,
  job_id bigint null,
  token varchar(64) character set ascii collate ascii_bin not null,
  person_id bigint not null,
  opened_at datetime(3) not null,
  revoked boolean not null,
  constraint calendar_link_token unique (token),
  constraint calendar_link_workshop foreign key (workshop_id) references workshop (id),
  constraint calendar_link_job foreign key (job_id) references job (id),
  constraint calendar_link_person foreign key (person_id) references person (id)
);

create index if not exists rig_part_care on rig_part (workshop_id, care_due);

delimiter //

create or replace trigger care_act_is_not_changed before update on care_act for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'Care stands: a correction is a new row.';
  end if;
end//

create or replace trigger care_act_is_not_deleted before delete on care_act for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'Care stands: none is deleted.';
  end if;
end//

create or replace trigger care_found_is_not_changed before update on care_found for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'Care stands: a correction is a new row.';
  end if;
end//

create or replace trigger care_found_is_not_deleted before delete on care_found for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'Care stands: none is deleted.';
  end if;
end//

delimiter ;
