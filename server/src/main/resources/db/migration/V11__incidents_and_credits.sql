-- What happened to whom on the mat, for an insurer; a coach's words stay in the body.
create table incident (
    id varchar(80) primary key,
    student varchar(80) not null references student (id),
    partner varchar(80) references student (id),
    class_id varchar(80) references training_class (id),
    happened_on date not null,
    body varchar(1000000) not null
);
create index incident_day on incident (happened_on);

-- Practice from elsewhere that counts.
create table credit (
    id varchar(80) primary key,
    student varchar(80) not null references student (id),
    subject varchar(80) not null,
    side varchar(10) not null,
    reps integer not null,
    practised_on date not null,
    note varchar(200) not null,
    at timestamp(9) with time zone,
    by_account varchar(40)
);
create index credit_student on credit (student);

-- How many years of somebody who left are kept before they are due to be erased; null: the club has not said.
alter table club add column keep_years integer;

-- Who was taken out of a class again, so that a correction has a trail.
create table attendance_gone (
    id varchar(80) primary key,
    student varchar(80) not null references student (id),
    class_id varchar(80) not null references training_class (id),
    at timestamp(9) with time zone,
    by_account varchar(80),
    gone_at timestamp(9) with time zone not null,
    gone_by varchar(80)
);
create index attendance_gone_class on attendance_gone (class_id);
create index attendance_gone_student on attendance_gone (student);
