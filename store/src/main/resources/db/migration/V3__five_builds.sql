-- Moulds have cavities of any shape: kept as they are told, no longer as the columns of one shape.
alter table mould add column content jsonb;
update mould set content = jsonb_build_object(
  'cavity', jsonb_build_object(
    'shape', 'tapered',
    'openingLengthMm', opening_length_mm, 'openingWidthMm', opening_width_mm,
    'floorLengthMm', floor_length_mm, 'floorWidthMm', floor_width_mm, 'depthMm', depth_mm),
  'edgeRadiusMm', 0, 'waterGrams', null, 'rows', 1, 'columns', cavities, 'owned', owned);
alter table mould alter column content set not null;
alter table mould drop column opening_length_mm, drop column opening_width_mm, drop column floor_length_mm,
  drop column floor_width_mm, drop column depth_mm, drop column cavities, drop column owned;

-- A bar is a stack of layers in one of five builds. Bars of the first releases, all moulded, are told in the new words; they say
-- the same as before, so kept versions may be rewritten this once.
create function plain_layer(kind text, of_what text, by_what text, amount jsonb) returns jsonb language sql as $$
  select jsonb_build_object(
    'kind', kind, 'of', of_what, 'by', by_what, 'amount', amount, 'eachGrams', 0, 'embedded', 1, 'repeat', 1, 'mix', null,
    'insert', null, 'faces', null, 'leastMm', null, 'greatestMm', null, 'celsius', null)
$$;
create function moulded_bar(old jsonb) returns jsonb language sql as $$
  select jsonb_build_object(
    'build', 'MOULDED',
    'body', jsonb_build_object('kind', 'moulded', 'mould', old -> 'mould', 'halves', false),
    'layers',
      jsonb_build_array(plain_layer('SHELL', old ->> 'shell', 'MM', old -> 'shellMm'))
      || (select jsonb_agg(
            plain_layer(
              'FILLING',
              'formula:' || (f ->> 'formula') || ':' || (f ->> 'version'),
              case when n = jsonb_array_length(old -> 'fillings') then 'REST' else 'MM' end,
              f -> 'depthMm') order by n)
          from jsonb_array_elements(old -> 'fillings') with ordinality as fillings (f, n))
      || jsonb_build_array(
           plain_layer('BACK', old ->> 'back', 'MM', old -> 'backMm')
           || jsonb_build_object('leastMm', old -> 'backLeastMm', 'greatestMm', old -> 'backGreatestMm')),
    'finish', 'TEMPERED', 'storage', 'COOL', 'soldAs', 'OWN_NAME',
    'declaredGrams', null, 'centreCelsius', null, 'bowlMm', null, 'method', '[]'::jsonb)
$$;
update design_draft set content = moulded_bar(content)
  from design where design.id = design_draft.design and design.kind = 'BAR';
alter table design_version disable trigger design_version_kept;
update design_version set content = moulded_bar(content)
  from design where design.id = design_version.design and design.kind = 'BAR';
alter table design_version enable trigger design_version_kept;
drop function moulded_bar(jsonb);
drop function plain_layer(text, text, text, jsonb);

-- Boxes are designs too.
alter table design drop constraint design_kind_check;
alter table design add constraint design_kind_check check (kind in ('BAR', 'FORMULA', 'BOX'));
