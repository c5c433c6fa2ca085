-- Which build worked out how a job's stations stand; another build's rules may say otherwise.
alter table job add column if not exists stood_by varchar(40) not null default '';
create index if not exists job_stood_by on job (stood_by);
