-- The application reads and adds; what is a record it can neither change nor delete, nor switch refuse_change() off.
do $$
declare
  kept regclass;
begin
  if current_user = '${application}' then
    return; -- one account does both: the triggers alone refuse
  end if;
  perform pg_advisory_xact_lock(hashtext('zesty-marten rights')); -- several nodes may start at once
  execute format('grant usage on schema %I to %I', current_schema, '${application}');
  execute format('grant select, insert, update, delete on all tables in schema %I to %I', current_schema, '${application}');
  execute format('grant usage, select on all sequences in schema %I to %I', current_schema, '${application}');
  execute format('revoke insert, update, delete on flyway_schema_history from %I', '${application}');
  for kept in
    select distinct t.tgrelid::regclass
    from pg_trigger t
    join pg_proc p on p.oid = t.tgfoid
    join pg_class c on c.oid = t.tgrelid
    join pg_namespace n on n.oid = c.relnamespace
    where p.proname = 'refuse_change' and n.nspname = current_schema
  loop
    execute format('revoke update, delete on %s from %I', kept, '${application}');
  end loop;
end
$$;
