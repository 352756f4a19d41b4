-- What is written once and never changed refuses to be changed.
create function refuse_change() returns trigger language plpgsql as $$
begin
  raise exception '% is append-only', tg_table_name;
end $$;

-- People and programs that may come in.
create table person (
  id bigint generated always as identity primary key,
  login text not null unique check (login = lower(login) and length(login) between 1 and 60),
  name text not null check (length(name) between 1 and 80),
  password_hash text not null,
  role text not null check (role in ('OWNER', 'BENCH', 'VIEWER')),
  active boolean not null default true,
  created_at timestamptz not null
);

create table api_token (
  id bigint generated always as identity primary key,
  label text not null,
  sha256 bytea not null unique check (octet_length(sha256) = 32),
  loopback_only boolean not null default false,
  created_by text not null,
  created_at timestamptz not null,
  revoked_at timestamptz
);

create table sign_in_failure (
  login text not null,
  address text not null,
  at timestamptz not null
);
create index sign_in_failure_at on sign_in_failure (at);

-- The workshop: one row of settings, its thermometers and moulds.
create table workshop (
  id int primary key check (id = 1),
  name text not null,
  just_me boolean not null,
  place_by text not null,
  place_amount double precision not null,
  lock_version int not null default 0,
  changed_by text not null,
  changed_at timestamptz not null
);

create table thermometer (
  id bigint generated always as identity primary key,
  name text not null,
  kind text not null,
  ice_reading double precision not null,
  boiling_reading double precision not null,
  boiling_true double precision not null,
  lock_version int not null default 0,
  changed_by text not null,
  changed_at timestamptz not null
);

create table mould (
  id bigint generated always as identity primary key,
  name text not null,
  opening_length_mm double precision not null,
  opening_width_mm double precision not null,
  floor_length_mm double precision not null,
  floor_width_mm double precision not null,
  depth_mm double precision not null,
  cavities int not null,
  owned int not null,
  lock_version int not null default 0,
  changed_by text not null,
  changed_at timestamptz not null
);

-- Bars and formulas: an identity, one draft, and versions that never change.
create table design (
  id bigint generated always as identity primary key,
  kind text not null check (kind in ('BAR', 'FORMULA')),
  created_at timestamptz not null
);

create table design_draft (
  design bigint primary key references design,
  name text not null check (length(name) between 1 and 120),
  content jsonb not null,
  lock_version int not null default 0,
  changed_by text not null,
  changed_at timestamptz not null
);

create table design_version (
  design bigint not null references design,
  number int not null,
  name text not null,
  content jsonb not null,
  why text not null,
  made_by text not null,
  made_at timestamptz not null,
  primary key (design, number)
);
create trigger design_version_kept before update or delete on design_version
  for each row execute function refuse_change();

-- Runs. The sheet is null until the run starts and is never recomputed after that.
create table run (
  id bigint generated always as identity primary key,
  bar bigint not null references design,
  bar_version int not null,
  bar_name text not null,
  planned_for date not null,
  pieces int not null,
  thermometer bigint not null references thermometer,
  allowances jsonb not null,
  status text not null check (status in ('PLANNED', 'STARTED', 'CLOSED')),
  sheet jsonb,
  sequence bigint not null default 0,
  lock_version int not null default 0,
  started_at timestamptz,
  closed_at timestamptz,
  foreign key (bar, bar_version) references design_version (design, number),
  check ((status = 'PLANNED') = (sheet is null))
);

create table component (
  id bigint generated always as identity primary key,
  run bigint not null references run,
  key text not null,
  name text not null,
  unique (run, key)
);

create table entry (
  run bigint not null references run,
  sequence bigint not null,
  key uuid not null,
  component bigint references component,
  kind text not null,
  body jsonb not null,
  device text not null,
  at timestamptz not null,
  recorded_at timestamptz not null,
  recorded_by text not null,
  corrects uuid,
  primary key (run, key),
  unique (run, sequence),
  foreign key (run, corrects) references entry (run, key)
);
create trigger entry_kept before update or delete on entry for each row execute function refuse_change();

-- One series of temperatures per cook and per temper; many per component.
create table series (
  id bigint generated always as identity primary key,
  run bigint not null references run,
  component bigint not null references component,
  key uuid not null,
  kind text not null check (kind in ('COOK', 'TEMPER')),
  started_at timestamptz not null,
  ended_at timestamptz,
  simulation text not null default '',
  time_scale double precision not null default 1 check (time_scale > 0),
  unique (run, key)
);
create index series_run on series (run);
create index series_simulated on series (id) where ended_at is null and simulation <> '';

create table reading (
  series bigint not null references series,
  key uuid not null,
  sequence bigint not null,
  at timestamptz not null,
  milli_degrees int not null,
  confirmed boolean not null default false,
  primary key (series, key)
);
create index reading_sequence on reading (series, sequence);
create trigger reading_kept before update or delete on reading for each row execute function refuse_change();

-- Sessions of signed-in people, as Spring Session wants them.
create table spring_session (
  primary_id char(36) not null primary key,
  session_id char(36) not null,
  creation_time bigint not null,
  last_access_time bigint not null,
  max_inactive_interval int not null,
  expiry_time bigint not null,
  principal_name varchar(100)
);
create unique index spring_session_ix1 on spring_session (session_id);
create index spring_session_ix2 on spring_session (expiry_time);
create index spring_session_ix3 on spring_session (principal_name);

create table spring_session_attributes (
  session_primary_id char(36) not null references spring_session (primary_id) on delete cascade,
  attribute_name varchar(200) not null,
  attribute_bytes bytea not null,
  primary key (session_primary_id, attribute_name)
);
