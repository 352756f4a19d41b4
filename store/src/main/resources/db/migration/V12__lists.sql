-- Lists are searched, sorted and cut into pages here: what they ask for by.
create index run_day on run (planned_for desc, id desc);
create index run_status on run (status, planned_for desc, id desc);
create index run_bar on run (bar, planned_for desc, id desc);
create index lot_best_before on lot ((content ->> 'bestBefore'), id);

-- Which formula a component is a batch of.
alter table component add column formula bigint;
update component set formula = substring(key from '^formula-([0-9]{1,15})-')::bigint;
create index component_key on component (key, run desc);
create index component_formula on component (formula, run desc) where formula is not null;

-- Which formulas a version of a bar or of a formula is made of.
create table design_version_use (
  design bigint not null,
  number int not null,
  formula bigint not null,
  primary key (formula, design, number),
  foreign key (design, number) references design_version (design, number)
);
insert into design_version_use (design, number, formula)
  select distinct design, number, substring(said #>> '{}' from '^formula:([0-9]{1,15}):[0-9]{1,6}$')::bigint
  from design_version,
    jsonb_path_query(content, 'strict $.** ? (@.type() == "string" && @ like_regex "^formula:[0-9]{1,15}:[0-9]{1,6}$")') said;
