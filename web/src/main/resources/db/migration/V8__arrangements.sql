-- How a run is arranged: which least its insulation has, water, withstand, the order of stages and wires; kept with the run,
-- and as plans with the wiring. What good units taught, and what a repair made of one unit.

create table learnt (
  id          bigint generated always as identity primary key,
  assembly_id bigint not null references assembly,
  learnt_by   text not null references account (name),
  learnt_at   timestamptz not null,
  unique (id, assembly_id)
);
create index learnt_by_assembly on learnt (assembly_id, id);

create table learnt_wire (
  learnt_id    bigint not null references learnt,
  conductor_id text not null,
  units        integer not null check (units >= 3),
  mean_ohm     double precision not null check (mean_ohm >= 0),
  spread_ohm   double precision not null check (spread_ohm >= 0),
  primary key (learnt_id, conductor_id)
);

create table kept_plan (
  id                 bigint generated always as identity primary key,
  assembly_id        bigint not null references assembly,
  name               text not null check (length(name) between 1 and 60),
  kept_by            text not null references account (name),
  kept_at            timestamptz not null,
  method             text not null check (method in ('both_ends', 'far_end_joined', 'each_to_rest', 'by_halves')),
  in_place           boolean not null,
  quick              boolean not null,
  unique (assembly_id, name)
);

do $$
declare
  planned text;
begin
  alter table kept_plan add column test_v double precision check (test_v > 0 and test_v <= 5000);
  foreach planned in array array['run', 'kept_plan']
  loop
    execute format($columns$
      alter table %I
        add column insulation_least_ohm double precision check (insulation_least_ohm > 0),
        add column insulation_megohm_km double precision check (insulation_megohm_km > 0),
        add column moisture             text not null default 'none' check (moisture in ('none', 'mist', 'water')),
        add column withstand_v          double precision check (withstand_v > 0 and withstand_v <= 20000),
        add column withstand_hz         double precision check (withstand_hz > 0 and withstand_hz <= 400),
        add column withstand_f_per_m    double precision check (withstand_f_per_m > 0),
        add column withstand_most_a     double precision check (withstand_most_a > 0 and withstand_most_a <= 1),
        add column withstand_s          double precision check (withstand_s > 0 and withstand_s <= 3600),
        add column stage_order          text not null default 'ENDS SHORTS FRAME BEND PARTS'
                                        check (length(stage_order) <= 100),
        add column first_wires          text not null default '' check (length(first_wires) <= 20000),
        add check (insulation_least_ohm is null or insulation_megohm_km is null),
        add check (test_v is not null or (moisture = 'none' and withstand_v is null)),
        add check ((withstand_v is null) = (withstand_most_a is null) and (withstand_v is null) = (withstand_s is null))
    $columns$, planned);
  end loop;
end
$$;

alter table run
  add column learnt_id bigint,
  add foreign key (learnt_id, assembly_id) references learnt (id, assembly_id);

alter table revision add column unit_id bigint;
alter table revision add foreign key (unit_id, assembly_id) references unit (id, assembly_id);
create index revision_of_unit on revision (unit_id, number) where unit_id is not null;

alter table entry
  drop constraint entry_stage,
  drop constraint entry_repair,
  add column repair_spare  text check (length(repair_spare) between 1 and 120),
  add column repair_colour text check (length(repair_colour) between 1 and 40),
  add constraint entry_stage check (stage in ('COMPLAINT', 'PREPARE', 'LOOK', 'METER', 'ENDS', 'SHORTS', 'FRAME', 'BEND',
                                              'PARTS', 'WARM', 'INSULATION', 'WET', 'WITHSTAND', 'REPAIR', 'CLOSE')),
  add constraint entry_repair check (repair_way is not null
    or num_nonnulls(repair_cause, repair_prevention, repair_spare, repair_colour) = 0),
  add constraint entry_spare check (repair_spare is null or repair_way = 'SPARE');

do $$
declare
  kept text;
begin
  foreach kept in array array['learnt', 'learnt_wire']
  loop
    execute format('create trigger %I before update or delete on %I for each row execute function refuse_change()',
                   kept || '_is_a_record', kept);
    execute format('create trigger %I before truncate on %I for each statement execute function refuse_change()',
                   kept || '_is_not_emptied', kept);
  end loop;
end
$$;
