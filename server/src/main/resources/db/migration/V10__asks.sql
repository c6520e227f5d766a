-- What students asked to work on.
create table ask (
    id varchar(80) primary key,
    student varchar(80) not null references student (id),
    asked_on date not null,
    done_on date,
    body varchar(1000000) not null
);
