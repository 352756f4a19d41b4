-- A run may do without a thermometer, plan what may be left out, and differ from another run in one thing that is named.
alter table run alter column thermometer drop not null;
alter table run add column variants jsonb not null default '[]';
alter table run add column difference text not null default '';
alter table run add column against bigint references run;
alter table run add constraint run_difference check ((against is null) = (difference = ''));

-- Equipment and lots that are put aside: choices leave them out, what was made with them still finds them.
create table put_aside (
  kind text not null check (kind in ('MOULD', 'VESSEL', 'THERMOMETER', 'LINE', 'LOT')),
  id bigint not null,
  put_by text not null,
  put_at timestamptz not null,
  primary key (kind, id)
);

-- Lines that coat, cool and cut what runs through them.
create table line (
  id bigint generated always as identity primary key,
  name text not null,
  content jsonb not null,
  lock_version int not null default 0,
  changed_by text not null,
  changed_at timestamptz not null
);
