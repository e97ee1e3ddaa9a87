-- What the record of an ended test says, kept as it was judged when the test ended: a later version of the rules never
-- changes it. Tests that ended before this table was there are sealed once, when the application starts.
create table run_record (
  run_id   bigint primary key references run_end,
  rules    text not null check (rules <> ''),
  document jsonb not null
);

create trigger run_record_is_a_record before update or delete on run_record
  for each row execute function refuse_change();
create trigger run_record_is_not_emptied before truncate on run_record
  for each statement execute function refuse_change();
