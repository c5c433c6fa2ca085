-- controller models of a workshop; the content is an entry of the open format jexel-controllers
create table controller_entry (
  id bigint not null auto_increment primary key,
  workshop_id bigint not null,
  label varchar(60) not null,
  content varchar(12000) not null,
  person_id bigint not null,
  changed_at datetime(3) not null,
  version int not null,
  constraint controller_entry_workshop foreign key (workshop_id) references workshop (id),
  constraint controller_entry_person foreign key (person_id) references person (id),
  unique index controller_entry_label (workshop_id, label)
);

-- which model of the library a job's controller is
alter table rig_part add column model_id bigint null;
alter table rig_part add constraint rig_part_model foreign key (model_id) references controller_entry (id);
