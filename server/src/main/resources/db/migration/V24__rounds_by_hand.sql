-- Rounds are recorded by hand now: against somebody from outside, in a block of a class, with a word, in the order of a day.

alter table round alter column second_student drop not null;
alter table round add column block_id varchar(80);
alter table round add column round_number int default 0 not null;
alter table round add column words varchar(400);

create index round_at on round (at);
create index round_class on round (class_id);
create index round_end on round (end_position, at);
create index round_end_link on round (end_link, at);
