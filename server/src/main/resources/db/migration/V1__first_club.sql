-- Each aggregate is one row: its id, the columns that others refer to or that are searched, and its body in the open
-- format, and a version that grows with each change. One row per position pair, so that a pair and its counterpart can never come apart.

create table club (id varchar(10) primary key, name varchar(80) not null);

create table account (
    name varchar(40) primary key,
    password varchar(200) not null,
    role varchar(10) not null
);

create table position_pair (
    id varchar(80) primary key,
    version int not null,
    body varchar(1000000) not null
);

create table technique (
    id varchar(80) primary key,
    version int not null,
    body varchar(1000000) not null
);

create table reaction (
    id varchar(80) primary key,
    leaves_pair varchar(80) not null references position_pair (id),
    version int not null,
    body varchar(1000000) not null
);

create table link (
    id varchar(80) primary key,
    from_pair varchar(80) not null references position_pair (id),
    to_pair varchar(80) references position_pair (id),
    technique varchar(80) not null references technique (id),
    when_reaction varchar(80) references reaction (id),
    version int not null,
    body varchar(1000000) not null
);

create table ruleset (
    id varchar(80) primary key,
    version int not null,
    body varchar(1000000) not null
);

create table chain (
    id varchar(80) primary key,
    version int not null,
    body varchar(1000000) not null
);

create table chain_link (
    chain varchar(80) not null references chain (id) on delete cascade,
    link varchar(80) not null references link (id),
    primary key (chain, link)
);

create table ladder (
    id varchar(80) primary key,
    version int not null,
    body varchar(1000000) not null
);

create table track (
    id varchar(80) primary key,
    version int not null,
    body varchar(1000000) not null
);

create table student (
    id varchar(80) primary key,
    card varchar(40) unique,
    version int not null,
    body varchar(1000000) not null
);

create table training_class (
    id varchar(80) primary key,
    class_date date not null,
    version int not null,
    body varchar(1000000) not null
);
create index training_class_date on training_class (class_date);

create table attendance (
    id varchar(80) primary key,
    student varchar(80) not null references student (id),
    class_id varchar(80) not null references training_class (id),
    version int not null,
    body varchar(1000000) not null,
    unique (student, class_id)
);
create index attendance_class on attendance (class_id);

create table practice (
    id varchar(80) primary key,
    class_id varchar(80) not null references training_class (id),
    version int not null,
    body varchar(1000000) not null
);
create index practice_class on practice (class_id);

create table mark (
    id varchar(80) primary key,
    student varchar(80) not null references student (id),
    version int not null,
    body varchar(1000000) not null
);
create index mark_student on mark (student);

create table journal (
    id bigint generated always as identity primary key,
    at timestamp with time zone not null,
    who varchar(40) not null,
    what varchar(20) not null,
    kind varchar(20) not null,
    target varchar(80) not null,
    before_body clob,
    after_body clob
);
create index journal_target on journal (kind, target);
