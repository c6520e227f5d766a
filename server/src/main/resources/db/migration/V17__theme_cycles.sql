-- Rolling cycles of theme weeks.
create table theme_cycle (
    id varchar(80) primary key,
    body varchar(1000000) not null
);
