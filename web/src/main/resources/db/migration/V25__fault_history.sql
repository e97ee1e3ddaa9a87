-- Which faults the tested units of an assembly had when somebody applied what was learnt: the diagnosis of later tests begins
-- with them. A set without tests leaves them out.
alter table learnt add column tests integer not null default 0 check (tests >= 0);

create table learnt_fault (
  learnt_id bigint not null references learnt,
  kind      text not null check (length(kind) between 1 and 40),
  name      text not null check (length(name) between 1 and 60),
  tests     integer not null check (tests >= 1),
  primary key (learnt_id, kind, name)
);

create trigger learnt_fault_is_a_record before update or delete on learnt_fault
  for each row execute function refuse_change();
create trigger learnt_fault_is_not_emptied before truncate on learnt_fault
  for each statement execute function refuse_change();
