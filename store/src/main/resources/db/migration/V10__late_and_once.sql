-- What came in after its run was closed is kept, and marked.
alter table entry add column late boolean not null default false;

-- What a form that was sent has made: sent twice, even at once, it makes one.
create table made (
  key uuid not null,
  content bytea not null check (octet_length(content) = 32),
  address text,
  made_by text not null,
  made_at timestamptz not null,
  primary key (key, content)
);
create index made_at on made (made_at);

-- What each device at the bench last told of entries that it has not sent yet.
create table bench_device (
  run bigint not null references run,
  device uuid not null,
  name text not null,
  person text not null,
  unsent int not null check (unsent >= 0),
  gone boolean not null,
  heard_at timestamptz not null,
  primary key (run, device)
);

-- Which data these are: another number after every restore, so that nothing kept in memory outlives it.
create table data_epoch (
  id int primary key check (id = 1),
  epoch uuid not null
);
insert into data_epoch values (1, gen_random_uuid());

-- Devices that somebody signed in from with the right password: guessing elsewhere does not keep them out.
create table known_device (
  sha256 bytea not null check (octet_length(sha256) = 32),
  login text not null,
  seen_at timestamptz not null,
  primary key (sha256, login)
);

-- Failures count by account, address and device.
alter table sign_in_failure add column device bytea;
create index sign_in_failure_login on sign_in_failure (login, at);
create index sign_in_failure_address on sign_in_failure (address, at);

-- Who came in, and what was changed of people and tokens.
create table people_event (
  id bigint generated always as identity primary key,
  at timestamptz not null,
  by text not null,
  about text not null,
  what text not null
);
create index people_event_at on people_event (at desc);
create trigger people_event_kept before update or delete on people_event
  for each row execute function refuse_change();

-- Tokens are somebody's: who is kept out takes theirs along. Of older ones only the name of who made them is known.
alter table api_token add column login text;
