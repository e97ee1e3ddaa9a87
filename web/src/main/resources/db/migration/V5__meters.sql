-- The workshop's meters. A run keeps the figures of its meter as they were; here they may change.

create table meter (
  id                bigint generated always as identity primary key,
  name              text not null unique check (length(name) between 1 and 80),
  accuracy          double precision not null check (accuracy >= 0 and accuracy < 1),
  resolution_ohm    double precision not null check (resolution_ohm > 0),
  tone_below_ohm    double precision not null check (tone_below_ohm > 0),
  one_is_over_range boolean not null,
  top_ohm           double precision not null check (top_ohm > tone_below_ohm),
  ranges            text not null check (length(ranges) <= 200),
  test_voltages     text not null check (length(test_voltages) <= 200),
  calibrated_until  date,
  note              text not null check (length(note) <= 500),
  changed_by        text not null references account (name),
  changed_at        timestamptz not null
);

alter table run add column meter_ranges text not null default '' check (length(meter_ranges) <= 200);
create index run_by_meter on run (meter_name, id);
