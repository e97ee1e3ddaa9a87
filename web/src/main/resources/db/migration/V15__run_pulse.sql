-- How often a test has changed, counted as it happens: whoever asks whether anything is new does not count its entries.
create table run_pulse (
  run_id     bigint primary key references run,
  entries    integer not null default 0 check (entries >= 0),
  taken_back integer not null default 0 check (taken_back between 0 and entries)
);

insert into run_pulse (run_id, entries, taken_back)
select r.id, count(n.id), count(t.entry_id)
from run r
left join entry n on n.run_id = r.id
left join entry_taken_back t on t.entry_id = n.id
group by r.id;

create function count_run() returns trigger language plpgsql as $$
begin
  insert into run_pulse (run_id) values (new.id);
  return null;
end
$$;
create trigger run_is_counted after insert on run for each row execute function count_run();

create function count_entry() returns trigger language plpgsql as $$
begin
  update run_pulse set entries = entries + 1 where run_id = new.run_id;
  return null;
end
$$;
create trigger entry_is_counted after insert on entry for each row execute function count_entry();

create function count_entry_taken_back() returns trigger language plpgsql as $$
begin
  update run_pulse set taken_back = taken_back + 1
  where run_id = (select run_id from entry where id = new.entry_id);
  return null;
end
$$;
create trigger entry_taken_back_is_counted after insert on entry_taken_back
  for each row execute function count_entry_taken_back();
