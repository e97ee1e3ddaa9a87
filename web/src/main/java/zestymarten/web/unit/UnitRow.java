package zestymarten.web.unit;

/** A unit as stored, with the name of its wiring. */
public record UnitRow(long id, long assemblyId, String assembly, String serial, String state) {}
