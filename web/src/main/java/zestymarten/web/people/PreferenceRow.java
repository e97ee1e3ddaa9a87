package zestymarten.web.people;

/** A row of the table of preferences. */
record PreferenceRow(String language, boolean comma, boolean fahrenheit, boolean feet, boolean gauge) {}
