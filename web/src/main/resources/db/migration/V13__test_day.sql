-- Test days: which leads, under which conditions, and what became of each. What was read is on a kept sheet of its unit.

create table test_day (
  id          bigint generated always as identity primary key,
  revision_id bigint not null references revision,
  meter_id    bigint not null references meter,
  leads_ohm   double precision not null check (leads_ohm between 0 and 1000),
  ambient_c   double precision not null check (ambient_c between -80 and 200),
  test_v      double precision not null check (test_v > 0 and test_v <= 5000),
  on_screws   boolean not null,
  months      integer not null check (months between 1 and 120),
  begun_by    text not null references account (name),
  begun_at    timestamptz not null
);

create table test_day_lead (
  day_id   bigint not null references test_day,
  position integer not null check (position between 1 and 500),
  tag      text not null check (length(tag) between 1 and 60),
  primary key (day_id, position),
  unique (day_id, tag)
);

create table test_day_result (
  day_id   bigint not null,
  position integer not null,
  sheet_id bigint not null references desk_sheet,
  unit_id  bigint not null references unit,
  outcome  text not null check (outcome in ('pass', 'watch', 'fail', 'screws only')),
  at       timestamptz not null,
  primary key (day_id, position, sheet_id),
  foreign key (day_id, position) references test_day_lead
);

create trigger test_day_result_is_a_record before update or delete on test_day_result
  for each row execute function refuse_change();
create trigger test_day_result_is_not_emptied before truncate on test_day_result
  for each statement execute function refuse_change();
