-- Practice: whose session, on which unit, and everything that was done in it, from which all else follows.

create table practice (
  id          bigint generated always as identity primary key,
  trainee     text not null references account (name),
  exercise    text check (length(exercise) between 1 and 60),
  revision_id bigint references revision,
  seed        bigint,
  begun_at    timestamptz not null,
  points      integer check (points between 0 and 100),
  done_at     timestamptz,
  check ((exercise is not null and revision_id is null and seed is null)
      or (exercise is null and revision_id is not null and seed is not null)),
  check ((points is null) = (done_at is null))
);
create index practice_by_trainee on practice (trainee, id);

create table practice_act (
  practice_id bigint not null references practice,
  sequence    integer not null check (sequence between 1 and 500),
  act         text not null check (length(act) between 1 and 500),
  done_at     timestamptz not null,
  primary key (practice_id, sequence)
);

create trigger practice_act_is_a_record before update or delete on practice_act
  for each row execute function refuse_change();
create trigger practice_act_is_not_emptied before truncate on practice_act
  for each statement execute function refuse_change();
