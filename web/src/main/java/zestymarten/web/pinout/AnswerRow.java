package zestymarten.web.pinout;

/**
 * What one measurement of a read-off showed.
 *
 * @param far pins with spaces between
 */
record AnswerRow(int sequence, String near, String far, boolean joined) {}
