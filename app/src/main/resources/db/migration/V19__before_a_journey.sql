-- What was looked at before a journey, and found right, or not.

-- append-only; the newest list stands
create table if not exists before_tow (
  id bigint not null auto_increment primary key,
  job_id bigint not null,
  wrong varchar(200) not null,
  person_id bigint not null,
  looked_at datetime(3) not null,
  made_at datetime(3) not null,
  request_key varchar(40) not null,
  constraint before_tow_request unique (job_id, request_key),
  constraint before_tow_job foreign key (job_id) references job (id),
  constraint before_tow_person foreign key (person_id) references person (id),
  index before_tow_of_job (job_id, looked_at)
);

create table if not exists before_tow_part (
  list_id bigint not null,
  part varchar(10) not null,
  verdict varchar(10) not null,
  primary key (list_id, part),
  constraint before_tow_part_list foreign key (list_id) references before_tow (id)
);

delimiter //

create or replace trigger before_tow_is_not_changed before update on before_tow for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A list stands: another is walked, none is changed.';
  end if;
end//

create or replace trigger before_tow_is_not_deleted before delete on before_tow for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A list stands: another is walked, none is deleted.';
  end if;
end//

create or replace trigger before_tow_part_is_not_changed before update on before_tow_part for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A list stands: another is walked, none is changed.';
  end if;
end//

create or replace trigger before_tow_part_is_not_deleted before delete on before_tow_part for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A list stands: another is walked, none is deleted.';
  end if;
end//

delimiter ;
