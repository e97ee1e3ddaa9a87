-- An assembly that is no longer built is in no list any more; everything about it stays.
alter table assembly add column archived_at timestamptz;
