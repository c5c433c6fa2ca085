-- A battery ages: what was told as an age becomes the day from which it is counted.
set @jexel_mending = 1;
update rig_figure
  set field_code = concat('BREAKAWAY_MADE', substring(field_code, length('BREAKAWAY_AGE') + 1)),
      si = unix_timestamp(entered_at) - si
  where field_code like 'BREAKAWAY_AGE%';
set @jexel_mending = null;
update draft
  set field = concat('BREAKAWAY_MADE', substring(field, length('BREAKAWAY_AGE') + 1))
  where field like 'BREAKAWAY_AGE%';

-- What the workshop goes by: from when on a breakaway is asked for, and when it is due again.
alter table workshop add column if not exists breakaway_from_kg double;
alter table workshop add column if not exists breakaway_proof_months int not null default 12;
alter table workshop add column if not exists breakaway_battery_years int not null default 5;

-- On the board, without opening each job.
alter table job add column if not exists breakaway_due date;
