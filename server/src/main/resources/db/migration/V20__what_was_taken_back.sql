-- Edits that were taken back, and by which edit; the last things somebody did are found without reading everybody's.
create table undone (
    edit varchar(40) not null,
    by_edit varchar(40) not null,
    -- what took it back was taken back itself
    stands_again boolean not null,
    primary key (edit, by_edit)
);
create index undone_by on undone (by_edit);
create index journal_who on journal (who, id);

-- Accounts are called as they were typed, and told apart without case.
alter table account add column name_key varchar(80) generated always as (lower(name));
create unique index account_key on account (name_key);

-- The club's own numbers, once; without a row the usual ones hold.
create table club_numbers (
    id varchar(80) primary key,
    body varchar(1000000) not null
);

-- The club's badge, as it was drawn again from what was sent.
alter table club add column badge varbinary(400000);
