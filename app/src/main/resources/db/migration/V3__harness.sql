-- append-only: the newest row of a segment and function stands; no colour gives it back to the plan
create table built_colour (
  id bigint not null auto_increment primary key,
  job_id bigint not null,
  segment varchar(10) not null,
  pin_function varchar(10) not null,
  colour varchar(10) null,
  person_id bigint not null,
  seen_at datetime(3) not null,
  constraint built_colour_job foreign key (job_id) references job (id),
  constraint built_colour_person foreign key (person_id) references person (id),
  index built_colour_newest (job_id, segment, pin_function, id)
);

-- append-only: the newest row of a step stands
create table step_tick (
  id bigint not null auto_increment primary key,
  job_id bigint not null,
  step varchar(60) not null,
  done boolean not null,
  person_id bigint not null,
  ticked_at datetime(3) not null,
  constraint step_tick_job foreign key (job_id) references job (id),
  constraint step_tick_person foreign key (person_id) references person (id),
  index step_tick_newest (job_id, step, id)
);

create table reel (
  id bigint not null auto_increment primary key,
  workshop_id bigint not null,
  size varchar(12) not null,
  colour varchar(10) not null,
  metres double not null,
  version int not null,
  constraint reel_workshop foreign key (workshop_id) references workshop (id),
  index reel_shelf (workshop_id, size, colour)
);

-- append-only: what a job took from a reel, and what came back
create table reel_move (
  id bigint not null auto_increment primary key,
  reel_id bigint not null,
  job_id bigint not null,
  metres double not null,
  person_id bigint not null,
  moved_at datetime(3) not null,
  request_key varchar(40) not null,
  constraint reel_move_request unique (request_key, reel_id),
  constraint reel_move_reel foreign key (reel_id) references reel (id),
  constraint reel_move_job foreign key (job_id) references job (id),
  constraint reel_move_person foreign key (person_id) references person (id)
);

-- what was moved on the plan drawing, so that it can be taken back
create table plan_move (
  id bigint not null auto_increment primary key,
  job_id bigint not null,
  part varchar(48) not null,
  from_x_m double not null,
  from_y_m double not null,
  to_x_m double not null,
  to_y_m double not null,
  undone boolean not null,
  person_id bigint not null,
  moved_at datetime(3) not null,
  constraint plan_move_job foreign key (job_id) references job (id),
  constraint plan_move_person foreign key (person_id) references person (id),
  index plan_move_newest (job_id, undone, id)
);

-- connectors of the workshop's own, as pin lists
create table own_connector (
  id bigint not null auto_increment primary key,
  workshop_id bigint not null,
  pin_list varchar(8000) not null,
  person_id bigint not null,
  entered_at datetime(3) not null,
  constraint own_connector_workshop foreign key (workshop_id) references workshop (id),
  constraint own_connector_person foreign key (person_id) references person (id)
);
