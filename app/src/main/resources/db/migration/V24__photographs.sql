-- Photographs: the picture once, and what it is of.

-- append-only; of a job, or of a trailer over all of its jobs
create table if not exists picture (
  id bigint not null auto_increment primary key,
  job_id bigint null,
  trailer_id bigint null,
  sha256 varchar(64) character set ascii collate ascii_bin not null,
  width int not null,
  height int not null,
  large mediumblob not null,
  small mediumblob not null,
  bytes int as (length(large) + length(small)) persistent,
  constraint picture_once_a_job unique (job_id, sha256),
  constraint picture_once_a_trailer unique (trailer_id, sha256),
  constraint picture_job foreign key (job_id) references job (id),
  constraint picture_trailer foreign key (trailer_id) references rig_part (id),
  constraint picture_of_one check ((job_id is null) <> (trailer_id is null))
);

-- append-only: another caption is a new row that names the old one, and so is a photograph taken away
create table if not exists photograph (
  id bigint not null auto_increment primary key,
  job_id bigint null,
  trailer_id bigint null,
  about varchar(8) not null,
  subject varchar(120) not null,
  caption varchar(200) not null,
  picture_id bigint null,
  corrects_id bigint null,
  person_id bigint not null,
  taken_at datetime(3) not null,
  made_at datetime(3) not null,
  request_key varchar(40) not null,
  constraint photograph_request_of_job unique (job_id, request_key),
  constraint photograph_request_of_trailer unique (trailer_id, request_key),
  constraint photograph_corrected_once unique (corrects_id),
  constraint photograph_job foreign key (job_id) references job (id),
  constraint photograph_trailer foreign key (trailer_id) references rig_part (id),
  constraint photograph_picture foreign key (picture_id) references picture (id),
  constraint photograph_corrects foreign key (corrects_id) references photograph (id),
  constraint photograph_person foreign key (person_id) references person (id),
  constraint photograph_of_one check ((job_id is null) <> (trailer_id is null)),
  constraint photograph_of_care check ((trailer_id is null) <> (about = 'CARE'))
);

delimiter //

create or replace trigger picture_is_not_changed before update on picture for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A picture stands.';
  end if;
end//

create or replace trigger picture_is_not_deleted before delete on picture for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A picture stands: none is deleted.';
  end if;
end//

create or replace trigger photograph_is_not_changed before update on photograph for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A photograph stands: a correction is a new row.';
  end if;
end//

create or replace trigger photograph_is_not_deleted before delete on photograph for each row
begin
  if @jexel_mending is null then
    signal sqlstate '45000' set message_text = 'A photograph stands: none is deleted.';
  end if;
end//

delimiter ;
