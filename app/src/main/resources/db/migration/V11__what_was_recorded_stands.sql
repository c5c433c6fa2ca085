-- What was recorded stands. A correction is a new row that names the old one; nothing else changes
-- these rows, be it this program, another one, or a hand at the console. Whoever has to mend them
-- says so first, for the session: set @jexel_mending = 1.

-- Before two people were kept apart, two rows could correct the same one. They corrected it in
-- turn: each but the first corrects the one before it.
update reading r
  join (select id, lag(id) over (partition by corrects_id order by id) as earlier
          from reading where corrects_id is not null) x on x.id = r.id
   set r.corrects_id = x.earlier where x.earlier is not null;
update test_stop s
  join (select id, lag(id) over (partition by corrects_id order by id) as earlier
          from test_stop where corrects_id is not null) x on x.id = s.id
   set s.corrects_id = x.earlier where x.earlier is not null;
update reading r join reading c on c.id = r.corrects_id
   set r.corrects_id = null where c.job_id <> r.job_id;
update test_stop s join test_stop c on c.id = s.corrects_id
   set s.corrects_id = null where c.job_id <> s.job_id;

-- One row is corrected once, by a row of the same job.
alter table reading drop foreign key if exists reading_corrects;
alter table reading drop key if exists reading_corrects;
alter table reading add unique key if not exists reading_of_job (id, job_id);
alter table reading add unique key if not exists reading_corrected_once (corrects_id, job_id);
alter table reading add constraint reading_corrects
  foreign key if not exists (corrects_id, job_id) references reading (id, job_id);
alter table test_stop drop foreign key if exists test_stop_corrects;
alter table test_stop drop key if exists test_stop_corrects;
alter table test_stop add unique key if not exists test_stop_of_job (id, job_id);
alter table test_stop add unique key if not exists test_stop_corrected_once (corrects_id, job_id);
alter table test_stop add constraint test_stop_corrects
  foreign key if not exists (corrects_id, job_id) references test_stop (id, job_id);

-- An entry is a figure or a choice; a cleared one is neither.
update rig_figure set si = null, choice = null where cleared;
update rig_figure set choice = null where si is not null and choice is not null;
alter table rig_figure add constraint if not exists rig_figure_one_of_two
  check (if(cleared, si is null and choice is null, (si is null) <> (choice is null)));

delimiter //

create or replace trigger reading_is_not_changed before update on reading for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A reading stands: it is corrected by a new row, never changed.';
  end if;
end//

create or replace trigger reading_is_not_deleted before delete on reading for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A reading stands: it is corrected by a new row, never deleted.';
  end if;
end//

create or replace trigger test_stop_is_not_changed before update on test_stop for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A test stop stands: it is corrected by a new row, never changed.';
  end if;
end//

create or replace trigger test_stop_is_not_deleted before delete on test_stop for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A test stop stands: it is corrected by a new row, never deleted.';
  end if;
end//

create or replace trigger step_tick_is_not_changed before update on step_tick for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A tick stands: it is corrected by a new row, never changed.';
  end if;
end//

create or replace trigger step_tick_is_not_deleted before delete on step_tick for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A tick stands: it is corrected by a new row, never deleted.';
  end if;
end//

create or replace trigger rig_figure_is_not_changed before update on rig_figure for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'An entry stands: it is corrected by a new row, never changed.';
  end if;
end//

create or replace trigger rig_figure_is_not_deleted before delete on rig_figure for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'An entry stands: it is corrected by a new row, never deleted.';
  end if;
end//

create or replace trigger lamp_entry_is_not_changed before update on lamp_entry for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A lamp entry stands: it is corrected by a new row, never changed.';
  end if;
end//

create or replace trigger lamp_entry_is_not_deleted before delete on lamp_entry for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A lamp entry stands: it is corrected by a new row, never deleted.';
  end if;
end//

create or replace trigger built_colour_is_not_changed before update on built_colour for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A colour as built stands: it is corrected by a new row, never changed.';
  end if;
end//

create or replace trigger built_colour_is_not_deleted before delete on built_colour for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A colour as built stands: it is corrected by a new row, never deleted.';
  end if;
end//

create or replace trigger cab_note_is_not_changed before update on cab_note for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A note of the cab stands: it is corrected by a new row, never changed.';
  end if;
end//

create or replace trigger cab_note_is_not_deleted before delete on cab_note for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A note of the cab stands: it is corrected by a new row, never deleted.';
  end if;
end//

create or replace trigger gain_setting_is_not_changed before update on gain_setting for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A setting stands: it is corrected by a new row, never changed.';
  end if;
end//

create or replace trigger gain_setting_is_not_deleted before delete on gain_setting for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A setting stands: it is corrected by a new row, never deleted.';
  end if;
end//

create or replace trigger reel_move_is_not_changed before update on reel_move for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A move of wire stands: it is corrected by a new row, never changed.';
  end if;
end//

create or replace trigger reel_move_is_not_deleted before delete on reel_move for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A move of wire stands: it is corrected by a new row, never deleted.';
  end if;
end//

delimiter ;
