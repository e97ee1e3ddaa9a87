-- Every entry carries the hash of the one before it, so that a changed, missing or added entry shows. What an ended test
-- says is sealed as a whole: its last entry, what was taken back, how it ended, and its record. A seal is printed on the
-- certificate; whoever has the paper can tell whether the data are still those.
alter table entry add column hash text check (length(hash) = 64);

-- Null columns are left out, so that columns to come do not change the hashes of rows that have none of them.
create function hash_of_entry(entered entry, hash_before text) returns text language plpgsql stable
  set timezone to 'UTC' set extra_float_digits to 1 as $$
begin
  return encode(
    sha256(convert_to(coalesce(hash_before, '') || jsonb_strip_nulls(to_jsonb(entered) - 'hash')::text, 'UTF8')), 'hex');
end
$$;

alter table entry disable trigger user;
do $$
declare
  each entry;
  run bigint := 0;
  last text;
begin
  for each in select * from entry order by run_id, sequence loop
    if each.run_id <> run then
      run := each.run_id;
      last := null;
    end if;
    last := hash_of_entry(each, last);
    update entry set hash = last where id = each.id;
  end loop;
end
$$;
alter table entry enable trigger user;
alter table entry alter column hash set not null;

create function hash_entry() returns trigger language plpgsql as $$
begin
  new.hash := hash_of_entry(
    new, (select e.hash from entry e where e.run_id = new.run_id order by e.sequence desc limit 1));
  return new;
end
$$;
create trigger entry_is_hashed before insert on entry for each row execute function hash_entry();

create table run_seal (
  run_id bigint primary key references run_record,
  seal   text not null check (length(seal) = 64)
);

create function seal_of(run bigint) returns text language plpgsql stable
  set timezone to 'UTC' set extra_float_digits to 1 as $$
begin
  return (
    select encode(sha256(convert_to(concat_ws(
      '|',
      (select e.hash from entry e where e.run_id = run order by e.sequence desc limit 1),
      (select string_agg(to_jsonb(t)::text, '|' order by t.entry_id)
       from entry_taken_back t join entry e on e.id = t.entry_id where e.run_id = run),
      (select to_jsonb(n)::text from run_end n where n.run_id = run),
      (select r.rules || r.document::text from run_record r where r.run_id = run)), 'UTF8')), 'hex'));
end
$$;

insert into run_seal (run_id, seal) select run_id, seal_of(run_id) from run_record;
create trigger run_seal_is_a_record before update or delete on run_seal
  for each row execute function refuse_change();
create trigger run_seal_is_not_emptied before truncate on run_seal
  for each statement execute function refuse_change();

create function seal_run() returns trigger language plpgsql as $$
begin
  insert into run_seal (run_id, seal) values (new.run_id, seal_of(new.run_id));
  return null;
end
$$;
create trigger run_is_sealed after insert on run_record for each row execute function seal_run();

-- What is wrong with the entries and seals of one test; nothing if nothing is.
create function verify_run(run bigint) returns setof text language plpgsql stable as $$
declare
  each entry;
  last text;
  expected integer := 1;
begin
  for each in select * from entry e where e.run_id = run order by e.sequence loop
    if each.sequence <> expected then
      return next format('entry %s is missing', expected);
    end if;
    if each.hash is distinct from hash_of_entry(each, last) then
      return next format('entry %s is not as it was recorded', each.sequence);
    end if;
    last := each.hash;
    expected := each.sequence + 1;
  end loop;
  if exists (select 1 from run_record r where r.run_id = run)
     and seal_of(run) is distinct from (select s.seal from run_seal s where s.run_id = run) then
    return next 'the end or the record is not as it was sealed';
  end if;
end
$$;
