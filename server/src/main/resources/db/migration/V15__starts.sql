-- One start of positional rounds and how it ended.
create table start_counted (
    id varchar(80) primary key,
    class_id varchar(80) not null references training_class (id),
    position_id varchar(80) not null,
    at timestamp(9) with time zone,
    body varchar(1000000) not null
);
create index start_class on start_counted (class_id);
create index start_position on start_counted (position_id, at);
