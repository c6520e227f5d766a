create table word (
    id varchar(80) primary key,
    version int not null,
    body varchar(1000000) not null
);

create table drill_shape (
    id varchar(80) primary key,
    technique varchar(80) references technique (id),
    version int not null,
    body varchar(1000000) not null
);

create table term (
    id varchar(80) primary key,
    version int not null,
    body varchar(1000000) not null
);

create table grading (
    id varchar(80) primary key,
    grading_date date not null,
    ladder varchar(80) not null references ladder (id),
    version int not null,
    body varchar(1000000) not null
);

create table round (
    id varchar(80) primary key,
    first_student varchar(80) not null references student (id),
    second_student varchar(80) not null references student (id),
    class_id varchar(80) references training_class (id),
    version int not null,
    body varchar(1000000) not null
);
create index round_first on round (first_student);
create index round_second on round (second_student);

-- What the club began with, and what each thing looked like when it was last taken from the shipped library.
alter table club add column library varchar(20);
create table library_item (
    item_key varchar(200) primary key,
    digest varchar(40) not null
);
