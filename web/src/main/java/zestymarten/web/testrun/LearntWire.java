package zestymarten.web.testrun;

/** What good units read at one conductor, as stored; ohms at 20 °C. */
record LearntWire(String conductorId, int units, double meanOhm, double spreadOhm) {}
