-- Far ends tied to a frame that both ends reach.
alter table run
  drop constraint run_method_check,
  add constraint run_method_check
    check (method in ('both_ends', 'far_end_joined', 'far_end_to_frame', 'each_to_rest', 'by_halves'));
alter table kept_plan
  drop constraint kept_plan_method_check,
  add constraint kept_plan_method_check
    check (method in ('both_ends', 'far_end_joined', 'far_end_to_frame', 'each_to_rest', 'by_halves'));
