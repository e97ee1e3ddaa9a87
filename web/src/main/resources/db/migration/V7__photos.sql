-- Photographs of a unit as it was found, kept with its run.

create table photo (
  id       uuid primary key,
  run_id   bigint not null references run,
  note     text not null check (length(note) <= 200),
  type     text not null check (type in ('image/jpeg', 'image/png')),
  content  bytea not null check (octet_length(content) between 1 and 4194304),
  taken_by text not null references account (name),
  taken_at timestamptz not null
);
create index photo_by_run on photo (run_id, taken_at);

create trigger photo_is_a_record before update or delete on photo for each row execute function refuse_change();
create trigger photo_is_not_emptied before truncate on photo for each statement execute function refuse_change();
