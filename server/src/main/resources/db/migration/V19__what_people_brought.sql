-- What somebody knew already when they came with a rank, and the breakfalls among it.
create table brought (
    id varchar(80) primary key,
    student varchar(80) not null references student (id),
    ladder varchar(80) not null references ladder (id),
    below varchar(80) not null,
    answer varchar(20) not null,
    body varchar(1000000) not null
);
create unique index brought_once on brought (student, ladder);

create table brought_fall (
    brought varchar(80) not null references brought (id),
    student varchar(80) not null references student (id),
    fall varchar(80) not null,
    primary key (brought, fall)
);
create index brought_fall_student on brought_fall (student);
