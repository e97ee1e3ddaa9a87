-- What the tests of an assembly come to is looked up by the assembly.
create index run_by_assembly on run (assembly_id, id);
