package zestymarten.web.assembly;

/** A connector as stored. */
record ConnectorRow(String id, String name, String faceShape, int faceRows, int faceColumns) {}
