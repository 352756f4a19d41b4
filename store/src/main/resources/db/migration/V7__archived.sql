-- What is not made any more is put aside: lists and choices leave it out, old runs and what is made of it still find it.
alter table design add column archived_at timestamptz;
alter table design add column archived_by text;
alter table design add constraint design_archived check ((archived_at is null) = (archived_by is null));
