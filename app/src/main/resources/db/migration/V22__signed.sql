-- What was signed stands: the report as it was read, by whom, and on which paper.

-- append-only: what changes makes the next edition
create table if not exists report_edition (
  id bigint not null auto_increment primary key,
  job_id bigint not null,
  number int not null,
  content mediumtext not null,
  sha256 varchar(64) not null,
  made_at datetime(3) not null,
  constraint report_edition_number unique (job_id, number),
  constraint report_edition_job foreign key (job_id) references job (id)
);

create table if not exists report_signature (
  id bigint not null auto_increment primary key,
  edition_id bigint not null,
  place int not null,
  person_id bigint not null,
  name varchar(100) not null,
  role varchar(60) not null,
  signed_at datetime(3) not null,
  request_key varchar(40) not null,
  constraint report_signature_place unique (edition_id, place),
  constraint report_signature_edition foreign key (edition_id) references report_edition (id),
  constraint report_signature_person foreign key (person_id) references person (id)
);

-- the sheet that a signature stands on, byte for byte
create table if not exists report_paper (
  signature_id bigint not null primary key,
  pdf mediumblob not null,
  constraint report_paper_signature foreign key (signature_id) references report_signature (id)
);

-- when a report of just what stands now was signed; empty once anything changed
alter table job add column if not exists signed_at datetime(3) null;

-- whether a second person signs too
alter table workshop add column if not exists countersigned boolean not null default false;

delimiter //

create or replace trigger report_edition_is_not_changed before update on report_edition for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A signed report stands: a change makes the next edition.';
  end if;
end//

create or replace trigger report_edition_is_not_deleted before delete on report_edition for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A signed report stands: none is deleted.';
  end if;
end//

create or replace trigger report_signature_is_not_changed before update on report_signature for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A signature stands.';
  end if;
end//

create or replace trigger report_signature_is_not_deleted before delete on report_signature for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A signature stands: none is deleted.';
  end if;
end//

create or replace trigger report_paper_is_not_changed before update on report_paper for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A signed sheet stands.';
  end if;
end//

create or replace trigger report_paper_is_not_deleted before delete on report_paper for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A signed sheet stands: none is deleted.';
  end if;
end//

delimiter ;
