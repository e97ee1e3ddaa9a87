-- A scan under voltage takes minutes. It goes on while no page waits for it, and every node shows how far it is.
create table scan_job (
  id         bigint generated always as identity primary key,
  run_id     bigint not null references run,
  started_by text not null,
  started_at timestamptz not null,
  alive_at   timestamptz not null,
  stop_by    text,
  ended_at   timestamptz check (ended_at >= started_at),
  stopped    text not null default '',
  reads      jsonb not null default '[]' check (jsonb_typeof(reads) = 'array')
);
create index scan_job_of_run on scan_job (run_id, id desc);
create unique index scan_job_under_way on scan_job (run_id) where ended_at is null;
