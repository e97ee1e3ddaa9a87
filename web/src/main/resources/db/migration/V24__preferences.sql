-- How a person wants figures and sentences to be written; what is stored stays in one form for all.
create table preference (
  person     text primary key references account (name) on delete cascade,
  language   text not null check (language ~ '^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$'),
  comma      boolean not null,
  fahrenheit boolean not null,
  feet       boolean not null,
  gauge      boolean not null
);
