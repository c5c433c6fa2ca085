-- What was packed into one field is rows: how the stations of a job stand, what a repair asks for
-- again, what a simulated rig hides. A tick of a step and a repair are two things.

create table if not exists job_station (
  job_id bigint not null,
  station varchar(12) not null,
  state varchar(12) not null,
  primary key (job_id, station),
  constraint job_station_job foreign key (job_id) references job (id)
);
insert ignore into job_station (job_id, station, state)
  select j.id, s.station, w.state
    from job j
    join json_table(concat('["', replace(j.states, ' ', '","'), '"]'), '$[*]'
           columns (place for ordinality, state varchar(12) path '$')) w
    join (select 1 as place, 'RIG' as station union select 2, 'HARNESS' union select 3, 'CAB'
          union select 4, 'BENCH' union select 5, 'BREAKAWAY' union select 6, 'ROAD'
          union select 7, 'HANDOVER') s on s.place = w.place;

-- append-only: what was mended, and the checks that are to be read again
create table if not exists repair (
  id bigint not null auto_increment primary key,
  job_id bigint not null,
  words varchar(300) not null,
  person_id bigint not null,
  mended_at datetime(3) not null,
  constraint repair_job foreign key (job_id) references job (id),
  constraint repair_person foreign key (person_id) references person (id),
  index repair_of_job (job_id, id)
);
create table if not exists repair_again (
  repair_id bigint not null,
  place int not null,
  check_id varchar(80) not null,
  primary key (repair_id, place),
  constraint repair_again_repair foreign key (repair_id) references repair (id)
);
insert ignore into repair (id, job_id, words, person_id, mended_at)
  select id, job_id, mended, person_id, ticked_at from step_tick where mended is not null;
insert ignore into repair_again (repair_id, place, check_id)
  select t.id, w.place - 1, w.check_id
    from step_tick t
    join json_table(concat('["', replace(t.again, ',', '","'), '"]'), '$[*]'
           columns (place for ordinality, check_id varchar(80) path '$')) w
   where t.mended is not null and t.again <> '';

create table if not exists simulated_fault (
  job_id bigint not null,
  place int not null,
  fault varchar(160) not null,
  primary key (job_id, place),
  constraint simulated_fault_rig foreign key (job_id) references simulated_rig (job_id)
);
insert ignore into simulated_fault (job_id, place, fault)
  select r.job_id, w.place - 1, w.fault
    from simulated_rig r
    join json_table(concat('["', replace(r.faults, ',', '","'), '"]'), '$[*]'
           columns (place for ordinality, fault varchar(160) path '$')) w
   where r.faults <> '';

-- Old drafts, ended helper pages: found by their age.
alter table draft add column if not exists typed_at datetime(3) not null default current_timestamp(3);
create index if not exists draft_age on draft (typed_at);
create index if not exists helper_page_age on helper_page (ends_at);

-- A request key is one of its workshop's.
alter table job drop key if exists job_request;
alter table job add unique key if not exists job_request_of_workshop (workshop_id, request_key);

-- The board reads its order from the index.
create index if not exists job_board_order on job (workshop_id, next_station, updated_at desc, id);

delimiter //

create or replace trigger repair_is_not_changed before update on repair for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A repair stands: it is never changed.';
  end if;
end//

create or replace trigger repair_is_not_deleted before delete on repair for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A repair stands: it is never deleted.';
  end if;
end//

create or replace trigger repair_again_is_not_changed before update on repair_again for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A repair stands: it is never changed.';
  end if;
end//

create or replace trigger repair_again_is_not_deleted before delete on repair_again for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A repair stands: it is never deleted.';
  end if;
end//

delimiter ;
