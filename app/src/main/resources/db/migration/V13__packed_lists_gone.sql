-- What V12 moved into rows is taken from where it was packed.
set @jexel_mending = 1;
delete from step_tick where mended is not null;
set @jexel_mending = null;
alter table step_tick drop column if exists mended, drop column if exists again;
alter table job drop column if exists states;
alter table simulated_rig drop column if exists faults;
drop index if exists job_board on job;
