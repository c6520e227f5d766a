-- Who worked with whom in a class.
create table pairing (
    id varchar(80) primary key,
    class_id varchar(80) not null references training_class (id),
    at timestamp(9) with time zone,
    body varchar(1000000) not null
);
create index pairing_class on pairing (class_id);
