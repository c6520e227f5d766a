-- Days on which nobody trains, classes worth beginning others from, and people who only visit.
create table closure (
    id varchar(80) primary key,
    body varchar(1000000) not null
);
create table class_pattern (
    id varchar(80) primary key,
    body varchar(1000000) not null
);
alter table student add column is_guest boolean default false not null;
