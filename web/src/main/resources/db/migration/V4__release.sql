-- What happens to a unit after its test: released, watched or quarantined, when it is due again, and who signs for it.

alter table assembly add column needs_sign_off boolean not null default false;

alter table unit
  add column due_on     date,
  add column due_hours  double precision check (due_hours > 0 and due_hours <= 1e6),
  add column due_cycles integer check (due_cycles > 0);
create index unit_by_due on unit (due_on) where due_on is not null and state <> 'scrapped';

create table release (
  id         bigint generated always as identity primary key,
  run_id     bigint not null references run_end,
  decision   text not null check (decision in ('RELEASE', 'WATCH', 'QUARANTINE')),
  due_on     date,
  due_hours  double precision check (due_hours > 0 and due_hours <= 1e6),
  due_cycles integer check (due_cycles > 0),
  note       text not null check (length(note) <= 500),
  decided_by text not null references account (name),
  decided_at timestamptz not null
);
create index release_by_run on release (run_id, id);

create table sign_off (
  run_id    bigint primary key references run_end,
  note      text not null check (length(note) <= 500),
  signed_by text not null references account (name),
  signed_at timestamptz not null
);

do $$
declare
  kept text;
begin
  foreach kept in array array['release', 'sign_off']
  loop
    execute format('create trigger %I before update or delete on %I for each row execute function refuse_change()',
                   kept || '_is_a_record', kept);
    execute format('create trigger %I before truncate on %I for each statement execute function refuse_change()',
                   kept || '_is_not_emptied', kept);
  end loop;
end
$$;
