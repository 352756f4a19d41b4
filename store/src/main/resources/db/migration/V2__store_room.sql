-- The store room: ingredients of the workshop, read from the open table once and its own after that. The revision counts
-- every change and is never given twice, so that an instance knows whether the table it holds in memory is still true.
create table ingredient (
  slug text primary key check (slug ~ '^[a-z0-9][a-z0-9-]{0,79}$'),
  content jsonb not null,
  lock_version int not null default 0,
  changed_by text not null,
  changed_at timestamptz not null
);
create sequence ingredient_revision_number;
create table ingredient_revision (
  id int primary key check (id = 1),
  revision bigint not null
);
insert into ingredient_revision (id, revision) values (1, 0);

-- Lots of ingredients and of components made ahead (then "ingredient" is the link of a formula's version). What is left is
-- the sum of the movements, which are never changed.
create table lot (
  id bigint generated always as identity primary key,
  ingredient text not null,
  content jsonb not null,
  lock_version int not null default 0,
  changed_by text not null,
  changed_at timestamptz not null
);
create index lot_ingredient on lot (ingredient);

create table lot_movement (
  id bigint generated always as identity primary key,
  lot bigint not null references lot,
  key uuid not null,
  kind text not null check (kind in ('RECEIVED', 'MADE', 'USED', 'COUNTED', 'WASTED')),
  grams double precision not null check (grams <> 0),
  run bigint references run,
  why text not null,
  moved_by text not null,
  moved_at timestamptz not null,
  unique (lot, key)
);
create trigger lot_movement_kept before update or delete on lot_movement
  for each row execute function refuse_change();

-- Which lot a run takes for an ingredient; the sheet is planned with that lot's composition.
alter table run add column lots jsonb not null default '{}';

-- The version chosen to be made; null means the newest.
alter table design add column current_version int;
alter table design add foreign key (id, current_version) references design_version (design, number);

-- Pots, bowls, frames and trays.
create table vessel (
  id bigint generated always as identity primary key,
  name text not null,
  content jsonb not null,
  lock_version int not null default 0,
  changed_by text not null,
  changed_at timestamptz not null
);

alter table workshop add column currency text not null default 'EUR' check (currency ~ '^[A-Z]{3}$');

-- Photographs of right and wrong, written once.
create table photo (
  id bigint generated always as identity primary key,
  jpeg bytea not null check (octet_length(jpeg) <= 2000000),
  width int not null,
  height int not null,
  made_by text not null,
  made_at timestamptz not null
);
create trigger photo_kept before update or delete on photo for each row execute function refuse_change();
