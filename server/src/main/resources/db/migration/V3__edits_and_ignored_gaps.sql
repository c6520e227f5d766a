-- Lines of the journal that were written together belong to one edit, which can be undone as one.
alter table journal add column edit varchar(40);
create index journal_edit on journal (edit);
create index journal_at on journal (at);

create table ignored_gap (
    id varchar(80) primary key,
    version int not null,
    body varchar(1000000) not null
);
