-- whether somebody put the lamp there, or its place follows the outline
alter table lamp_entry add column placed boolean not null default false;
update lamp_entry set placed = true where slot like 'extra-%';
