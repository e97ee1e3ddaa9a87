package zestymarten.web.assembly;

import org.jspecify.annotations.Nullable;

/** A terminal as stored; the connector is absent for joints and the frame. */
record TerminalRow(String name, @Nullable String connectorId) {}
