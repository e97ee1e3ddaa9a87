package zestymarten.web.testrun;

/** The content of a photograph with its media type. Equality is by identity of the bytes; it is never compared. */
@SuppressWarnings("ArrayRecordComponent")
record PhotoContent(String type, byte[] content) {}
