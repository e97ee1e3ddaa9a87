-- Somebody at the far end opens a test by a link that is good for that test alone, without an account; and who is on a test
-- right now is known to everybody who is.
create table helper_link (
  id         bigint generated always as identity primary key,
  run_id     bigint not null references run (id),
  digest     text not null unique check (length(digest) = 64),
  made_by    text not null,
  made_at    timestamptz not null,
  revoked_at timestamptz
);
create index helper_link_of_run on helper_link (run_id, id) where revoked_at is null;

create table run_presence (
  run_id  bigint not null references run (id),
  who     text not null check (length(who) between 1 and 80),
  at_step text not null check (length(at_step) <= 120),
  seen_at timestamptz not null,
  primary key (run_id, who)
);
