-- An account may name a person, may be switched off, and has no password until its one-time link is used. Accounts are
-- not in the archive, so a person that is named and not there any more is nobody's business but the reader's.
alter table account alter column password drop not null;
alter table account add column person varchar(80);
alter table account add column is_off boolean default false not null;
alter table account add column link varchar(64);
alter table account add column link_until timestamp(3) with time zone;
create unique index account_by_link on account (link);
