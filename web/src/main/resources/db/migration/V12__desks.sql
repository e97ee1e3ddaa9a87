-- What was reckoned at a desk and kept: the form as typed, and what was said of it. A record, like readings.

create table desk_sheet (
  id      bigint generated always as identity primary key,
  desk    text not null check (desk in ('circuit', 'conductor', 'bundle', 'family', 'test-day')),
  title   text not null check (length(title) between 1 and 80),
  unit_id bigint references unit,
  fields  text not null check (length(fields) <= 60000),
  says    text not null check (length(says) <= 2000),
  verdict text not null check (verdict in ('good', 'watch', 'fault', 'untested')),
  made_by text not null references account (name),
  made_at timestamptz not null
);
create index desk_sheet_of_unit on desk_sheet (unit_id, id) where unit_id is not null;
create index desk_sheet_of_desk on desk_sheet (desk, id);

create trigger desk_sheet_is_a_record before update or delete on desk_sheet
  for each row execute function refuse_change();
create trigger desk_sheet_is_not_emptied before truncate on desk_sheet
  for each statement execute function refuse_change();
