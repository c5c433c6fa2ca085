-- Files of other instruments than meters, and stops that were measured from one.

alter table meter_log
  add column if not exists kind varchar(8) not null default 'METER';

alter table test_stop
  add column if not exists deceleration_mps2 double null,
  add column if not exists trace_id bigint null,
  add column if not exists trace_from_s double null,
  add column if not exists trace_to_s double null,
  add constraint test_stop_trace foreign key if not exists (trace_id) references meter_log (id);
