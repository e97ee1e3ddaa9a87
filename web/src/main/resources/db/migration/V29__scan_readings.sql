-- What a scan has read is added, a row a measurement: writing all of it anew as it grows took longer with every measurement.
create table scan_reading (
  job_id  bigint not null references scan_job,
  line    integer not null check (line > 0),
  reading jsonb not null,
  within  boolean not null,
  primary key (job_id, line)
);
insert into scan_reading (job_id, line, reading, within)
select j.id, r.line, r.reading, coalesce((r.reading ->> 'within')::boolean, false)
from scan_job j, jsonb_array_elements(j.reads) with ordinality as r (reading, line);
alter table scan_job drop column reads;

-- Two tests never switch on the same tester. A stand-in has no address: each test has one of its own.
alter table scan_job add column address text;
create unique index scan_job_on_tester on scan_job (address) where ended_at is null;
