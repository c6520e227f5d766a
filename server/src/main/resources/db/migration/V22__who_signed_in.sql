-- Who came in and who tried to, kept for 90 days; devices on which an account came in before; a second factor that is
-- chosen for an account: its key, the half minute of the last code (none works twice), digests of recovery codes left.
create table sign_in (
  id bigint generated always as identity primary key,
  account varchar(40),
  address varchar(45) not null,
  browser varchar(200) not null,
  got_in boolean not null,
  tries int not null,
  began timestamp(3) with time zone not null,
  last_at timestamp(3) with time zone not null
);
create index sign_in_by_day on sign_in (last_at);

create table known_device (
  token varchar(64) not null,
  account varchar(40) not null,
  last_at timestamp(3) with time zone not null,
  primary key (token, account)
);

alter table account add column second_key varchar(64);
alter table account add column second_step bigint default 0 not null;
alter table account add column recovery varchar(1000);
