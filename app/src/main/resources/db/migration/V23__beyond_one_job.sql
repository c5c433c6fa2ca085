-- Jobs that came in a file: where they were begun, and what was not entered here.

alter table job
  add column if not exists begun_in varchar(120) null,
  add column if not exists begun_ref varchar(12) null,
  add column if not exists brought_at datetime(3) null,
  add column if not exists brought_sha256 varchar(64) null,
  add unique key if not exists job_brought_once (workshop_id, brought_sha256);

-- Somebody of another workshop: has a name here, and nothing else.
alter table person add column if not exists elsewhere boolean not null default false;

-- What was taken says itself what it was: the reel may stand on another workshop's shelf.
alter table reel_move
  add column if not exists size varchar(12) not null default '',
  add column if not exists colour varchar(10) not null default '',
  modify column reel_id bigint null;
set @jexel_mending = 1;
update reel_move m join reel r on r.id = m.reel_id set m.size = r.size, m.colour = r.colour
 where m.size = '';
set @jexel_mending = null;

-- A trailer's life is longer than a job: the next one begins with what the last one left.
alter table job
  add column if not exists after_id bigint null,
  add constraint job_after foreign key if not exists (after_id) references job (id);
alter table rig_part
  add column if not exists first_id bigint null,
  add constraint rig_part_first foreign key if not exists (first_id) references rig_part (id);
