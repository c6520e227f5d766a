-- Records are relations: attendance, practice, marks, rounds and promotions have columns and foreign keys and no body.
-- What is asked about a student on every screen is folded into four tables beside them. What was kept before is moved by
-- V5; it stands in tables called old_* in between.

alter table attendance rename to old_attendance;
alter table practice rename to old_practice;
alter table mark rename to old_mark;
alter table round rename to old_round;
alter table student rename to old_student;
alter table training_class rename to old_training_class;
alter table grading rename to old_grading;
alter table link rename to old_link;
alter table reaction rename to old_reaction;
alter table chain_link rename to old_chain_link;
alter table ignored_gap rename to old_ignored_gap;

alter index if exists training_class_date rename to old_training_class_date;
alter index if exists attendance_class rename to old_attendance_class;
alter index if exists practice_class rename to old_practice_class;
alter index if exists mark_student rename to old_mark_student;
alter index if exists round_first rename to old_round_first;
alter index if exists round_second rename to old_round_second;

alter table club add column states_built boolean default false not null;

alter table position_pair drop column version;
alter table technique drop column version;
alter table ruleset drop column version;
alter table chain drop column version;
alter table ladder drop column version;
alter table track drop column version;
alter table word drop column version;
alter table drill_shape drop column version;
alter table term drop column version;

create table position (
    id varchar(80) primary key,
    pair varchar(80) not null references position_pair (id)
);

create table reaction (
    id varchar(80) primary key,
    leaves varchar(80) not null references position (id),
    body varchar(1000000) not null
);

create table link (
    id varchar(80) primary key,
    from_position varchar(80) not null references position (id),
    to_position varchar(80) references position (id),
    technique varchar(80) not null references technique (id),
    when_reaction varchar(80) references reaction (id),
    body varchar(1000000) not null
);

create table chain_link (
    chain varchar(80) not null references chain (id),
    link varchar(80) not null references link (id),
    primary key (chain, link)
);

create table student (
    id varchar(80) primary key,
    card varchar(80),
    folded_name varchar(400) not null,
    left_on date,
    body varchar(1000000) not null
);
create index student_card on student (card);
create index student_name on student (folded_name);

create table training_class (
    id varchar(80) primary key,
    class_date date not null,
    track varchar(80) not null references track (id),
    cancelled boolean not null,
    body varchar(1000000) not null
);
create index training_class_date on training_class (class_date);

create table grading (
    id varchar(80) primary key,
    grading_date date not null,
    ladder varchar(80) not null references ladder (id),
    body varchar(1000000) not null
);

create table ignored_gap (
    id varchar(80) primary key,
    rank_id varchar(80),
    student varchar(80) references student (id),
    body varchar(1000000) not null
);

-- What records with a body point at: classes, people, gradings and decisions about gaps.
create table points_at (
    part varchar(20) not null,
    thing varchar(80) not null,
    target varchar(20) not null,
    pointed varchar(170) not null
);
create index points_at_thing on points_at (part, thing);
create index points_at_pointed on points_at (part, target, pointed);

create table promotion (
    id varchar(80) primary key,
    student varchar(80) not null references student (id),
    ladder varchar(80) not null references ladder (id),
    from_rank varchar(80),
    to_rank varchar(80) not null,
    stripes int not null,
    given_on date not null,
    from_before boolean not null,
    verdict varchar(20),
    reason varchar(400) not null,
    grading varchar(80) references grading (id),
    at timestamp(9) with time zone not null,
    by_account varchar(80)
);
create table promotion_figure (
    promotion varchar(80) not null references promotion (id),
    place int not null,
    code varchar(20) not null,
    label varchar(100),
    have varchar(100),
    need varchar(100),
    met boolean not null,
    primary key (promotion, place)
);

create table attendance (
    id varchar(80) primary key,
    student varchar(80) not null references student (id),
    class_id varchar(80) not null references training_class (id),
    class_date date not null,
    how varchar(10) not null,
    at timestamp(9) with time zone,
    by_account varchar(80),
    unique (student, class_id)
);

create index attendance_day on attendance (student, class_date);

create table practice (
    id varchar(80) primary key,
    class_id varchar(80) not null references training_class (id),
    block varchar(80),
    student varchar(80) references student (id),
    technique varchar(80) references technique (id),
    chain varchar(80) references chain (id),
    side varchar(10) not null,
    reps int not null,
    is_part boolean not null,
    played varchar(10) not null,
    at timestamp(9) with time zone,
    by_account varchar(80),
    withdrawn boolean not null
);
create table practice_except (
    practice varchar(80) not null references practice (id),
    place int not null,
    student varchar(80) not null references student (id),
    primary key (practice, place)
);

-- The subject is a technique, a chain or an item of a syllabus, so no single table can be referred to; a write that would
-- leave it pointing at nothing is refused before it comes here.
create table mark (
    id varchar(80) primary key,
    student varchar(80) not null references student (id),
    subject varchar(80) not null,
    played varchar(10) not null,
    side varchar(10) not null,
    version varchar(80),
    standard varchar(12) not null,
    passed boolean not null,
    class_id varchar(80) references training_class (id),
    at timestamp(9) with time zone,
    by_account varchar(80),
    withdraws varchar(80)
);
create index mark_subject on mark (subject);
create table mark_fault (
    mark varchar(80) not null references mark (id),
    place int not null,
    fault varchar(80) not null,
    primary key (mark, place)
);

create table round (
    id varchar(80) primary key,
    at timestamp(9) with time zone not null,
    kind varchar(12) not null,
    first_student varchar(80) not null references student (id),
    second_student varchar(80) not null references student (id),
    class_id varchar(80) references training_class (id),
    ruleset varchar(80) references ruleset (id),
    ended_how varchar(10) not null,
    winner varchar(10),
    end_position varchar(80) references position (id),
    end_link varchar(80) references link (id),
    by_account varchar(80)
);
create table round_event (
    round varchar(80) not null references round (id),
    place int not null,
    at_second int not null,
    who varchar(10) not null,
    link varchar(80) references link (id),
    position varchar(80) references position (id),
    reaction varchar(80) references reaction (id),
    intent varchar(10) not null,
    outcome varchar(10) not null,
    side varchar(10) not null,
    note varchar(400),
    primary key (round, place)
);

create table student_state (
    student varchar(80) primary key references student (id),
    last_seen date
);
create table student_ladder (
    student varchar(80) not null references student (id),
    ladder varchar(80) not null,
    rank_id varchar(80) not null,
    stripes int not null,
    since date not null,
    from_before boolean not null,
    classes int not null,
    last_day date,
    primary key (student, ladder)
);
create table student_skill (
    student varchar(80) not null references student (id),
    subject varchar(80) not null,
    side varchar(10) not null,
    settled_sessions int not null,
    settled_last date,
    settled_half_life double precision not null,
    live_counted boolean not null,
    latest_day date not null,
    whole_reps int not null,
    part_reps int not null,
    marks int not null,
    faulty int not null,
    live_pass boolean not null,
    success boolean not null,
    primary key (student, subject, side)
);
create table student_mark (
    student varchar(80) not null references student (id),
    subject varchar(80) not null,
    played varchar(10) not null,
    side varchar(10) not null,
    version varchar(80) not null,
    standard varchar(12) not null,
    mark varchar(80) not null,
    passed boolean not null,
    at timestamp(9) with time zone not null,
    primary key (student, subject, played, side, version, standard)
);

-- Ids that come in with a club's file, while it is taken in.
create table incoming (
    part varchar(20) not null,
    thing varchar(80) not null,
    primary key (part, thing)
);
