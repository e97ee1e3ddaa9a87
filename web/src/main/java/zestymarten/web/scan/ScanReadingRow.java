package zestymarten.web.scan;

/**
 * A measurement of a scan as stored.
 *
 * @param line its number, from 1
 * @param reading a {@link ScanReading} as a JSON object
 */
record ScanReadingRow(int line, String reading) {}
