-- How often the state of a student has changed.
alter table student_state add column version bigint default 0 not null;

-- How much of the syllabus of the rank that somebody holds is open. Worked out again when the state has another version
-- or the rank another stamp.
create table student_syllabus (
    student varchar(80) not null references student (id),
    ladder varchar(80) not null,
    open_conditions int not null,
    version bigint not null,
    stamp varchar(64) not null,
    primary key (student, ladder)
);
