-- a key is a job's or a workshop's own: nobody else's can stand in its way
alter table reading
  drop index reading_request,
  add constraint reading_request unique (job_id, request_key),
  modify typed varchar(60) not null;
alter table test_stop
  drop index test_stop_request,
  add constraint test_stop_request unique (job_id, request_key);
alter table gain_setting
  drop index gain_setting_request,
  add constraint gain_setting_request unique (job_id, request_key);
alter table load_item
  drop index load_item_request,
  add constraint load_item_request unique (job_id, request_key);
alter table reel_move
  drop index reel_move_request,
  add constraint reel_move_request unique (job_id, request_key, reel_id);
alter table job
  drop index job_request,
  add constraint job_request unique (workshop_id, request_key);

-- what people type is kept whole: the page says its limits, the column has none that a form reaches
alter table cab_note modify content mediumtext not null;
alter table draft modify typed mediumtext not null;
alter table step_tick modify mended text null, modify again mediumtext null;
alter table own_connector modify pin_list mediumtext not null;
alter table controller_entry modify content mediumtext not null;
alter table job modify next_act varchar(600) not null;
