-- Where a meter answers that can be asked for its reading: host and port, or one of the stand-ins by its name.
alter table meter add column address text check (length(address) between 1 and 100);
