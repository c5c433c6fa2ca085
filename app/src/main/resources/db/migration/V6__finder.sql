-- checks beyond the sheet have longer names
alter table reading modify check_id varchar(80) not null, modify title varchar(120) not null;
alter table draft modify field varchar(80) not null;
