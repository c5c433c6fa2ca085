-- append-only: what was typed on a card of the cab; the newest row of a card stands
create table cab_note (
  id bigint not null auto_increment primary key,
  job_id bigint not null,
  card varchar(20) not null,
  content varchar(8000) not null,
  person_id bigint not null,
  noted_at datetime(3) not null,
  constraint cab_note_job foreign key (job_id) references job (id),
  constraint cab_note_person foreign key (person_id) references person (id),
  index cab_note_newest (job_id, card, id)
);
