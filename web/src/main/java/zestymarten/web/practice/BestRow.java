package zestymarten.web.practice;

/** Somebody's best points for an exercise, empty for units by chance, and how often it was done. */
record BestRow(String trainee, String exercise, int points, int times) {}
