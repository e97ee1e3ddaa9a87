-- Accounts, wirings with their revisions, units, runs and what was entered in them.
-- Units of measure stand in the column names. What is a record of the past cannot be changed: see refuse_change().

create function refuse_change() returns trigger language plpgsql as $$
begin
  raise exception 'Table % is a record: rows are added, never changed or removed.', tg_table_name
    using errcode = 'restrict_violation';
end
$$;

create table account (
  id            bigint generated always as identity primary key,
  name          text not null unique check (name ~ '^[a-z][a-z0-9._-]{1,39}$'),
  password_hash text not null,
  role          text not null check (role in ('TECHNICIAN', 'LEAD', 'VIEWER')),
  demo          boolean not null default false,
  created_at    timestamptz not null
);

create table assembly (
  id         bigint generated always as identity primary key,
  name       text not null unique check (length(name) between 1 and 120),
  created_at timestamptz not null
);

create table revision (
  id          bigint generated always as identity primary key,
  assembly_id bigint not null references assembly,
  number      integer not null check (number >= 1),
  kind        text not null check (kind in ('harness', 'cable', 'lead', 'circuit', 'device')),
  note        text not null,
  created_by  text not null references account (name),
  created_at  timestamptz not null,
  unique (assembly_id, number),
  unique (id, assembly_id)
);

create table connector (
  revision_id  bigint not null references revision,
  ordinal      integer not null,
  id           text not null,
  name         text not null,
  face_shape   text not null check (face_shape in ('line', 'grid', 'ring')),
  face_rows    integer not null check (face_rows between 1 and 10000),
  face_columns integer not null check (face_columns between 1 and 10000),
  primary key (revision_id, id),
  unique (revision_id, ordinal),
  check (face_shape = 'grid' or face_rows = 1)
);

create table terminal (
  revision_id  bigint not null references revision,
  ordinal      integer not null,
  name         text not null,
  connector_id text,
  primary key (revision_id, name),
  unique (revision_id, ordinal),
  foreign key (revision_id, connector_id) references connector (revision_id, id),
  check (connector_id is null or name like connector_id || '.%')
);

create table conductor (
  revision_id   bigint not null references revision,
  ordinal       integer not null,
  id            text not null,
  from_terminal text not null,
  to_terminal   text not null,
  colour        text,
  function      text,
  length_m      double precision check (length_m > 0 and length_m <= 100000),
  area_mm2      double precision check (area_mm2 > 0 and area_mm2 <= 2000),
  metal         text not null,
  strand_class  text not null check (strand_class in ('1', '2', '5', '6', 'vehicle')),
  zone          text,
  current_a     double precision check (current_a >= 0 and current_a <= 20000),
  spare         boolean not null,
  max_ohm       double precision check (max_ohm > 0),
  min_ohm       double precision check (min_ohm > 0),
  note          text,
  primary key (revision_id, id),
  unique (revision_id, ordinal),
  foreign key (revision_id, from_terminal) references terminal (revision_id, name),
  foreign key (revision_id, to_terminal) references terminal (revision_id, name),
  check (from_terminal <> to_terminal),
  check (min_ohm <= max_ohm)
);

create table unit (
  id          bigint generated always as identity primary key,
  assembly_id bigint not null references assembly,
  serial      text not null check (length(serial) between 1 and 60),
  state       text not null check (state in ('in service', 'on the bench', 'quarantined', 'scrapped')),
  created_at  timestamptz not null,
  unique (assembly_id, serial),
  unique (id, assembly_id)
);
create index unit_by_state on unit (state) where state = 'quarantined';

create table run (
  id                      bigint generated always as identity primary key,
  assembly_id             bigint not null,
  unit_id                 bigint not null,
  revision_id             bigint not null,
  ambient_c               double precision not null check (ambient_c between -80 and 200),
  meter_name              text not null check (length(meter_name) between 1 and 80),
  meter_accuracy          double precision not null check (meter_accuracy >= 0 and meter_accuracy < 1),
  meter_resolution_ohm    double precision not null check (meter_resolution_ohm > 0),
  meter_tone_below_ohm    double precision not null check (meter_tone_below_ohm > 0),
  meter_one_is_over_range boolean not null,
  meter_top_ohm           double precision not null check (meter_top_ohm > meter_tone_below_ohm),
  lead_policy             text not null check (lead_policy in ('full', 'excess', 'none')),
  guarded                 boolean not null,
  started_by              text not null references account (name),
  started_at              timestamptz not null,
  unique (id, revision_id),
  foreign key (unit_id, assembly_id) references unit (id, assembly_id),
  foreign key (revision_id, assembly_id) references revision (id, assembly_id)
);
create index run_by_unit on run (unit_id, id);

-- What was entered at a step: a reading, or why there is none.
create table entry (
  id          uuid primary key,
  run_id      bigint not null,
  revision_id bigint not null,
  sequence    integer not null check (sequence >= 1),
  stage       text not null check (stage in ('METER', 'ENDS', 'SHORTS', 'FRAME')),
  question    text check (question in ('TONE', 'OHMS')),
  black       text,
  red         text,
  touch       integer not null check (touch >= 1),
  as_typed    text,
  meaning     text check (meaning in ('value', 'over_range', 'above', 'below', 'tone', 'silent', 'unstable')),
  value       double precision check (value >= 0),
  until       double precision check (until >= 0),
  skip_reason text check (length(skip_reason) between 1 and 200),
  entered_by  text not null references account (name),
  entered_at  timestamptz not null,
  unique (run_id, sequence),
  unique nulls not distinct (run_id, stage, question, black, red, touch),
  foreign key (run_id, revision_id) references run (id, revision_id),
  foreign key (revision_id, black) references terminal (revision_id, name),
  foreign key (revision_id, red) references terminal (revision_id, name),
  check ((stage = 'METER') = (question is not null)),
  check ((stage = 'METER') = (black is null) and (stage = 'METER') = (red is null)),
  check (black <> red),
  check ((as_typed is null) = (meaning is null)),
  check ((as_typed is null) <> (skip_reason is null)),
  check (meaning not in ('value', 'above', 'below') or value is not null)
);

-- An entry that was taken back stays where it is; that it no longer counts is a record of its own.
create table entry_taken_back (
  entry_id uuid primary key references entry,
  taken_by text not null references account (name),
  taken_at timestamptz not null
);

create table run_end (
  run_id   bigint primary key references run,
  outcome  text not null check (outcome in ('PASS', 'WATCH', 'FAIL', 'INCOMPLETE')),
  findings text not null,
  ended_by text not null references account (name),
  ended_at timestamptz not null
);
create index run_end_by_time on run_end (ended_at desc);

do $$
declare
  kept text;
begin
  foreach kept in array array['revision', 'connector', 'terminal', 'conductor', 'run', 'entry', 'entry_taken_back', 'run_end']
  loop
    execute format('create trigger %I before update or delete on %I for each row execute function refuse_change()',
                   kept || '_is_a_record', kept);
    execute format('create trigger %I before truncate on %I for each statement execute function refuse_change()',
                   kept || '_is_not_emptied', kept);
  end loop;
end
$$;
