-- Unknown wirings read off a good unit: which two connectors, and what every touch showed.

create table read_off (
  id          bigint generated always as identity primary key,
  name        text not null check (length(name) between 1 and 120),
  near_id     text not null check (length(near_id) between 1 and 40),
  near_pins   integer not null check (near_pins between 1 and 200),
  far_id      text not null check (length(far_id) between 1 and 40),
  far_pins    integer not null check (far_pins between 1 and 200),
  tied        boolean not null,
  started_by  text not null references account (name),
  started_at  timestamptz not null,
  assembly_id bigint references assembly,
  check (near_id <> far_id)
);

create table read_off_answer (
  read_off_id bigint not null references read_off,
  sequence    integer not null check (sequence >= 1),
  near        text not null,
  far         text not null check (length(far) between 1 and 20000),
  joined      boolean not null,
  answered_by text not null references account (name),
  answered_at timestamptz not null,
  primary key (read_off_id, sequence)
);
