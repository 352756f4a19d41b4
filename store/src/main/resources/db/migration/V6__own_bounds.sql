-- A workshop's own figures for bounds that rest on practice; what is not here is judged by the shipped figures.
create table own_bound (
  code text primary key,
  least double precision,
  usual double precision,
  greatest double precision,
  why text not null,
  lock_version int not null default 0,
  changed_by text not null,
  changed_at timestamptz not null
);
-- Store rooms in use learn what gels, and how free the water is where it is not computed; what somebody changed by hand stays.
update ingredient set content = jsonb_set(content, '{nature,kind}', '"PECTIN"')
  where slug = 'pectin' and content -> 'nature' ->> 'kind' in ('PLAIN', 'POWDER');
update ingredient set content = jsonb_set(content, '{nature,kind}', '"GELLING"')
  where slug in ('agar', 'gelatine-powder', 'gelatine-leaf') and content -> 'nature' ->> 'kind' in ('PLAIN', 'POWDER');
update ingredient set content = content || jsonb_build_object('wetActivity', told.activity)
  from (values
  ('water', 1),
  ('rose-water', 1),
  ('coffee-brewed', 0.99),
  ('butter-salted', 0.91),
  ('lactose', 0.35),
  ('isomalt', 0.35),
  ('pectin', 0.35),
  ('agar', 0.4),
  ('gelatine-powder', 0.4),
  ('gelatine-leaf', 0.4),
  ('gum-arabic', 0.4),
  ('baking-powder', 0.3),
  ('tea-black', 0.3),
  ('tea-matcha', 0.3),
  ('bay-leaf', 0.35),
  ('flavouring', 0.95),
  ('citric-acid-solution', 0.85),
  ('lactic-acid', 0.7)
  ) as told (slug, activity)
  where ingredient.slug = told.slug
    and coalesce((content ->> 'dryActivity')::double precision, 0) = 0
    and not content ? 'wetActivity';
update ingredient_revision set revision = nextval('ingredient_revision_number');
