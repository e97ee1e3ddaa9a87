-- Installations that were made before faces could have 10,000 rows get the same bounds as all others.
alter table connector drop constraint connector_face_rows_check;
alter table connector add constraint connector_face_rows_check check (face_rows between 1 and 10000);
alter table connector drop constraint connector_face_columns_check;
alter table connector add constraint connector_face_columns_check check (face_columns between 1 and 10000);
