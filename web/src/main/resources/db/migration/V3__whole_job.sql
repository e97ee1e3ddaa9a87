-- The whole job: how a run goes about its unit, and what is entered besides readings of two probes.

alter table run
  add column method   text not null default 'both_ends'
    check (method in ('both_ends', 'far_end_joined', 'each_to_rest', 'by_halves')),
  add column in_place boolean not null default false,
  add column quick    boolean not null default true,
  add column test_v   double precision check (test_v > 0 and test_v <= 5000);

do $$
declare
  old text;
begin
  for old in select conname from pg_constraint where conrelid = 'entry'::regclass and contype in ('c', 'u')
             and conname <> 'entry_run_id_sequence_key'
  loop
    execute format('alter table entry drop constraint %I', old);
  end loop;
end
$$;

-- question: of the joined probes, or the deed; subject: what a deed concerns; state and ties: the arrangement of a touch;
-- words: said of a deed, empty for done; happened_at: where along a wire a reading jumped.
alter table entry
  add column subject           text check (length(subject) <= 200),
  add column state             text,
  add column ties              text check (length(ties) between 1 and 20000),
  add column ties_key          text generated always as (md5(ties)) stored,
  add column words             text check (length(words) <= 500),
  add column happened_at       text check (length(happened_at) between 1 and 80),
  add column unit              text check (unit in ('OHM', 'VOLT', 'AMPERE')),
  add column repair_way        text check (repair_way in ('CLEAN', 'CONTACT', 'SPLICE', 'SPARE', 'SHORTEN', 'MOVE',
                                                          'INSULATE', 'REPLACE')),
  add column repair_cause      text check (length(repair_cause) <= 500),
  add column repair_prevention text check (length(repair_prevention) <= 500),
  add constraint entry_once unique nulls not distinct
    (run_id, stage, question, subject, black, red, state, ties_key, touch),
  add constraint entry_sequence check (sequence >= 1 and touch >= 1),
  add constraint entry_stage check (stage in ('COMPLAINT', 'PREPARE', 'LOOK', 'METER', 'ENDS', 'SHORTS', 'FRAME', 'BEND',
                                              'PARTS', 'INSULATION', 'REPAIR', 'CLOSE')),
  add constraint entry_step check ((question is null) = (black is not null) and (black is null) = (red is null)),
  add constraint entry_probes check (black <> red),
  add constraint entry_meaning check (meaning in ('value', 'over_range', 'above', 'below', 'tone', 'silent', 'unstable')),
  add constraint entry_figure check (value >= 0 and until >= 0 and (meaning not in ('value', 'above', 'below') or value is not null)),
  add constraint entry_reading check ((as_typed is null) = (meaning is null)),
  add constraint entry_skip check (length(skip_reason) between 1 and 200),
  add constraint entry_content check (num_nonnulls(as_typed, skip_reason, words, repair_way) = 1),
  add constraint entry_repair check (repair_way is not null or (repair_cause is null and repair_prevention is null));
