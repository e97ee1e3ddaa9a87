-- People are made, disabled and given roles by an administrator; programs have tokens; who signed in and who changed what
-- is kept; sessions are in the database, so that a restart signs nobody out and several nodes know them.
alter table account drop constraint account_role_check;
alter table account add constraint account_role_check check (role in ('VIEWER', 'TECHNICIAN', 'LEAD', 'ADMIN'));
alter table account add column one_time_until timestamptz;
alter table account add column disabled_at timestamptz;

-- Until now the lead hand who was there first stood for everything that an administrator does.
update account set role = 'ADMIN' where id = (select min(id) from account where role = 'LEAD');

create table audit (
  id      bigint generated always as identity primary key,
  at      timestamptz not null,
  who     text not null,
  address text not null,
  kind    text not null check (length(kind) between 1 and 40),
  subject text not null check (length(subject) <= 200),
  detail  text not null check (length(detail) <= 200)
);
create index audit_failures_of_name on audit (subject, at) where kind = 'SIGN_IN_FAILED';
create index audit_failures_from_address on audit (address, at) where kind = 'SIGN_IN_FAILED';
create index audit_sign_ins on audit (subject, at) where kind = 'SIGN_IN';
create trigger audit_is_a_record before update or delete on audit
  for each row execute function refuse_change();
create trigger audit_is_not_emptied before truncate on audit
  for each statement execute function refuse_change();

create table token (
  id         bigint generated always as identity primary key,
  person     text not null references account (name),
  name       text not null check (length(name) between 1 and 60),
  digest     text not null unique check (length(digest) = 64),
  writes     boolean not null,
  made_at    timestamptz not null,
  used_at    timestamptz,
  revoked_at timestamptz
);
create index token_of_person on token (person, id) where revoked_at is null;

-- The tables of Spring Session, as its schema-postgresql.sql has them.
create table spring_session (
  primary_id            char(36) not null constraint spring_session_pk primary key,
  session_id            char(36) not null,
  creation_time         bigint not null,
  last_access_time      bigint not null,
  max_inactive_interval int not null,
  expiry_time           bigint not null,
  principal_name        varchar(100)
);
create unique index spring_session_ix1 on spring_session (session_id);
create index spring_session_ix2 on spring_session (expiry_time);
create index spring_session_ix3 on spring_session (principal_name);

create table spring_session_attributes (
  session_primary_id char(36) not null references spring_session (primary_id) on delete cascade,
  attribute_name     varchar(200) not null,
  attribute_bytes    bytea not null,
  constraint spring_session_attributes_pk primary key (session_primary_id, attribute_name)
);
