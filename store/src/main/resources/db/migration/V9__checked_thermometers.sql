-- When a thermometer was last read in melting ice and boiling water; not known of those that were there before.
alter table thermometer add column checked_on date;
