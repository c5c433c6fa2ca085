create table workshop (
  id bigint not null auto_increment primary key,
  name varchar(120) not null,
  zone varchar(60) not null,
  tongue_share_least double not null,
  tongue_share_greatest double not null,
  wire_stock varchar(10) not null,
  version int not null
);

create table person (
  id bigint not null auto_increment primary key,
  workshop_id bigint not null,
  sign_in varchar(80) not null,
  name varchar(120) not null,
  password_hash varchar(120) not null,
  role varchar(20) not null,
  units varchar(10) not null,
  version int not null,
  constraint person_sign_in unique (sign_in),
  constraint person_workshop foreign key (workshop_id) references workshop (id)
);

create table api_token (
  id bigint not null auto_increment primary key,
  person_id bigint not null,
  token_hash varchar(64) not null,
  created_at datetime(3) not null,
  constraint api_token_hash unique (token_hash),
  constraint api_token_person foreign key (person_id) references person (id)
);

create table rig_part (
  id bigint not null auto_increment primary key,
  workshop_id bigint not null,
  subject varchar(12) not null,
  label varchar(120) not null,
  version int not null,
  constraint rig_part_workshop foreign key (workshop_id) references workshop (id)
);

-- append-only: the newest row of a field stands; a cleared row gives the field back to its default
create table rig_figure (
  id bigint not null auto_increment primary key,
  part_id bigint not null,
  field_code varchar(40) not null,
  si double null,
  choice varchar(40) null,
  provenance varchar(10) not null,
  cleared boolean not null,
  person_id bigint not null,
  entered_at datetime(3) not null,
  constraint rig_figure_part foreign key (part_id) references rig_part (id),
  constraint rig_figure_person foreign key (person_id) references person (id),
  index rig_figure_newest (part_id, field_code, id)
);

-- append-only: the newest row of a slot stands
create table lamp_entry (
  id bigint not null auto_increment primary key,
  part_id bigint not null,
  slot varchar(40) not null,
  role varchar(20) not null,
  side varchar(6) not null,
  x_m double not null,
  y_m double not null,
  technology varchar(10) not null,
  state varchar(10) not null,
  person_id bigint not null,
  entered_at datetime(3) not null,
  constraint lamp_entry_part foreign key (part_id) references rig_part (id),
  constraint lamp_entry_person foreign key (person_id) references person (id),
  index lamp_entry_newest (part_id, slot, id)
);

create table job (
  id bigint not null auto_increment primary key,
  workshop_id bigint not null,
  ref varchar(12) not null,
  title varchar(160) not null,
  customer varchar(120) not null,
  wish varchar(20) not null,
  tow_id bigint not null,
  trailer_id bigint not null,
  controller_id bigint not null,
  states varchar(90) not null,
  next_station tinyint not null,
  next_act varchar(200) not null,
  request_key varchar(40) not null,
  created_at datetime(3) not null,
  updated_at datetime(3) not null,
  version int not null,
  constraint job_ref unique (workshop_id, ref),
  constraint job_request unique (request_key),
  constraint job_workshop foreign key (workshop_id) references workshop (id),
  constraint job_tow foreign key (tow_id) references rig_part (id),
  constraint job_trailer foreign key (trailer_id) references rig_part (id),
  constraint job_controller foreign key (controller_id) references rig_part (id),
  index job_board (workshop_id, next_station, updated_at)
);

create table load_item (
  id bigint not null auto_increment primary key,
  job_id bigint not null,
  name varchar(80) not null,
  mass_kg double not null,
  volume_m3 double null,
  density_kgm3 double null,
  x_m double not null,
  removed boolean not null,
  person_id bigint not null,
  entered_at datetime(3) not null,
  request_key varchar(40) not null,
  version int not null,
  constraint load_item_request unique (request_key),
  constraint load_item_job foreign key (job_id) references job (id),
  constraint load_item_person foreign key (person_id) references person (id)
);

-- append-only: a correction is a new row that names the old one
create table reading (
  id bigint not null auto_increment primary key,
  job_id bigint not null,
  check_id varchar(40) not null,
  title varchar(80) not null,
  measure varchar(16) not null,
  value_si double not null,
  typed varchar(40) not null,
  expected_si double not null,
  low_si double not null,
  high_si double not null,
  verdict varchar(10) not null,
  corrects_id bigint null,
  person_id bigint not null,
  taken_at datetime(3) not null,
  request_key varchar(40) not null,
  constraint reading_request unique (request_key),
  constraint reading_job foreign key (job_id) references job (id),
  constraint reading_corrects foreign key (corrects_id) references reading (id),
  constraint reading_person foreign key (person_id) references person (id),
  index reading_newest (job_id, check_id, id)
);

-- append-only: a correction is a new row that names the old one
create table test_stop (
  id bigint not null auto_increment primary key,
  job_id bigint not null,
  gain double not null,
  way varchar(8) not null,
  speed_mps double not null,
  surface varchar(16) not null,
  outcome varchar(10) not null,
  distance_m double null,
  time_s double null,
  vehicle_mass_kg double not null,
  trailer_mass_kg double not null,
  note varchar(200) not null,
  corrects_id bigint null,
  person_id bigint not null,
  made_at datetime(3) not null,
  request_key varchar(40) not null,
  constraint test_stop_request unique (request_key),
  constraint test_stop_job foreign key (job_id) references job (id),
  constraint test_stop_corrects foreign key (corrects_id) references test_stop (id),
  constraint test_stop_person foreign key (person_id) references person (id)
);

create table gain_setting (
  id bigint not null auto_increment primary key,
  job_id bigint not null,
  gain double not null,
  surface varchar(16) not null,
  trailer_mass_kg double not null,
  person_id bigint not null,
  settled_at datetime(3) not null,
  request_key varchar(40) not null,
  constraint gain_setting_request unique (request_key),
  constraint gain_setting_job foreign key (job_id) references job (id),
  constraint gain_setting_person foreign key (person_id) references person (id)
);

-- what somebody typed and did not finish, or what could not be understood yet
create table draft (
  id bigint not null auto_increment primary key,
  job_id bigint not null,
  person_id bigint not null,
  form varchar(40) not null,
  field varchar(48) not null,
  typed varchar(200) not null,
  seen_id bigint not null,
  constraint draft_once unique (job_id, person_id, form, field),
  constraint draft_job foreign key (job_id) references job (id),
  constraint draft_person foreign key (person_id) references person (id)
);

create table SPRING_SESSION (
  PRIMARY_ID char(36) not null,
  SESSION_ID char(36) not null,
  CREATION_TIME bigint not null,
  LAST_ACCESS_TIME bigint not null,
  MAX_INACTIVE_INTERVAL int not null,
  EXPIRY_TIME bigint not null,
  PRINCIPAL_NAME varchar(100),
  constraint SPRING_SESSION_PK primary key (PRIMARY_ID)
);
create unique index SPRING_SESSION_IX1 on SPRING_SESSION (SESSION_ID);
create index SPRING_SESSION_IX2 on SPRING_SESSION (EXPIRY_TIME);
create index SPRING_SESSION_IX3 on SPRING_SESSION (PRINCIPAL_NAME);
create table SPRING_SESSION_ATTRIBUTES (
  SESSION_PRIMARY_ID char(36) not null,
  ATTRIBUTE_NAME varchar(200) not null,
  ATTRIBUTE_BYTES blob not null,
  constraint SPRING_SESSION_ATTRIBUTES_PK primary key (SESSION_PRIMARY_ID, ATTRIBUTE_NAME),
  constraint SPRING_SESSION_ATTRIBUTES_FK foreign key (SESSION_PRIMARY_ID) references SPRING_SESSION (PRIMARY_ID) on delete cascade
);
