-- What a track is taught in a term, and on which days.
create table term_plan (
    id varchar(80) primary key,
    body varchar(1000000) not null
);
