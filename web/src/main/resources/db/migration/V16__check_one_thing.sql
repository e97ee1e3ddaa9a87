-- One thing checked by itself can be kept like any other sheet.
alter table desk_sheet drop constraint desk_sheet_desk_check;
alter table desk_sheet add constraint desk_sheet_desk_check
  check (desk in ('circuit', 'conductor', 'bundle', 'family', 'test-day', 'check'));
