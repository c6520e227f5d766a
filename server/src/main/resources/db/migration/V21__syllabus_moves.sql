-- Who was moved to another version of a syllabus than that of the day on which they got their rank.
create table syllabus_move (
    id varchar(80) primary key,
    student varchar(80) not null references student (id),
    ladder varchar(80) not null references ladder (id),
    held_rank varchar(80) not null,
    to_day date not null,
    body varchar(1000000) not null
);
create unique index syllabus_move_once on syllabus_move (student, ladder);
