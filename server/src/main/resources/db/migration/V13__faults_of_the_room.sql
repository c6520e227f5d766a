-- A fault that was seen somewhere in the room, without a name.
create table tally (
    id varchar(80) primary key,
    class_id varchar(80) not null references training_class (id),
    technique varchar(80) not null,
    fault varchar(80) not null,
    at timestamp(9) with time zone,
    by_account varchar(40)
);
create index tally_class on tally (class_id);
create index tally_technique on tally (technique);
