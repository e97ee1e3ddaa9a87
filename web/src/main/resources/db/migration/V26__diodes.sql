-- Diodes are read on the diode range, in a stage of their own.

alter table entry
  drop constraint entry_stage,
  add constraint entry_stage check (stage in ('COMPLAINT', 'PREPARE', 'LOOK', 'METER', 'ENDS', 'SHORTS', 'FRAME', 'BEND',
                                              'PARTS', 'DIODES', 'WARM', 'INSULATION', 'WET', 'WITHSTAND', 'REPAIR',
                                              'CLOSE'));
