-- A promotion can be taken back until it is announced; afterwards another one stands in its place.
alter table promotion add column announced_on date;
alter table promotion add column corrects varchar(80);

create table nomination (
    id varchar(80) primary key,
    student varchar(80) not null references student (id),
    ladder varchar(80) not null references ladder (id),
    held_rank varchar(80) not null,
    window_on date not null,
    body varchar(1000000) not null
);
create index nomination_student on nomination (student);

-- What counts outside of the classes: a chart or conduct that was seen, a seminar.
create table merit (
    id varchar(80) primary key,
    student varchar(80) not null references student (id),
    kind varchar(20) not null,
    on_day date not null,
    classes integer not null,
    words varchar(120) not null,
    at timestamp(9) with time zone,
    by_account varchar(40)
);
create index merit_student on merit (student);

-- The club's cupboard.
create table belt (
    id varchar(80) primary key,
    body varchar(1000000) not null
);
