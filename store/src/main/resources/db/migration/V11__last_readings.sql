-- The last readings of a pot or bowl are asked for whenever one comes in.
create index reading_at on reading (series, at);
