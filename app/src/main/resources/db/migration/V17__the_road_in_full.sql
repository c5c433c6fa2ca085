-- A stop with all that was seen of it, what somebody says before a wheel turns, and what a settled
-- gain was found with.

alter table test_stop
  add column if not exists how varchar(10) not null default 'UNSAID',
  add column if not exists pull varchar(10) not null default 'UNSAID',
  add column if not exists feel varchar(10) not null default 'UNSAID',
  add column if not exists place varchar(80) not null default '',
  add column if not exists cold boolean not null default false,
  add column if not exists driven_at datetime(3) null;
set @jexel_mending = 1;
update test_stop set driven_at = made_at where driven_at is null;
set @jexel_mending = null;
alter table test_stop modify column driven_at datetime(3) not null;

create table if not exists test_stop_wheel (
  stop_id bigint not null,
  axle int not null,
  side varchar(5) not null,
  outcome varchar(10) not null,
  primary key (stop_id, axle, side),
  constraint test_stop_wheel_stop foreign key (stop_id) references test_stop (id)
);

-- append-only
create table if not exists road_said (
  id bigint not null auto_increment primary key,
  job_id bigint not null,
  what varchar(10) not null,
  about varchar(80) not null,
  verdict varchar(10) not null,
  words varchar(200) not null,
  times int not null,
  person_id bigint not null,
  said_at datetime(3) not null,
  request_key varchar(40) not null,
  constraint road_said_request unique (job_id, request_key),
  constraint road_said_job foreign key (job_id) references job (id),
  constraint road_said_person foreign key (person_id) references person (id),
  index road_said_of_job (job_id, id)
);

-- append-only; a correction names the old row
create table if not exists gain_volts (
  id bigint not null auto_increment primary key,
  job_id bigint not null,
  gain double not null,
  volts double not null,
  corrects_id bigint null,
  person_id bigint not null,
  read_at datetime(3) not null,
  request_key varchar(40) not null,
  constraint gain_volts_request unique (job_id, request_key),
  constraint gain_volts_job foreign key (job_id) references job (id),
  constraint gain_volts_person foreign key (person_id) references person (id),
  unique key gain_volts_of_job (id, job_id),
  unique key gain_volts_corrected_once (corrects_id, job_id),
  constraint gain_volts_corrects foreign key (corrects_id, job_id) references gain_volts (id, job_id)
);

alter table gain_setting
  add column if not exists school varchar(12) not null default 'BELOW_LOCK',
  add column if not exists vehicle_mass_kg double null;
set @jexel_mending = 1;
update gain_setting g
   set g.vehicle_mass_kg =
       coalesce((select s.vehicle_mass_kg from test_stop s
                  where s.job_id = g.job_id and s.made_at <= g.settled_at
                  order by s.id desc limit 1), 0)
 where g.vehicle_mass_kg is null;
set @jexel_mending = null;
alter table gain_setting modify column vehicle_mass_kg double not null;

delimiter //

create or replace trigger road_said_is_not_changed before update on road_said for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'What was said stands: it is said anew, never changed.';
  end if;
end//

create or replace trigger road_said_is_not_deleted before delete on road_said for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'What was said stands: it is said anew, never deleted.';
  end if;
end//

create or replace trigger gain_volts_is_not_changed before update on gain_volts for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A reading stands: it is corrected by a new row, never changed.';
  end if;
end//

create or replace trigger gain_volts_is_not_deleted before delete on gain_volts for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A reading stands: it is corrected by a new row, never deleted.';
  end if;
end//

create or replace trigger test_stop_wheel_is_not_changed before update on test_stop_wheel for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A test stop stands: it is corrected by a new row, never changed.';
  end if;
end//

create or replace trigger test_stop_wheel_is_not_deleted before delete on test_stop_wheel for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A test stop stands: it is corrected by a new row, never deleted.';
  end if;
end//

delimiter ;
