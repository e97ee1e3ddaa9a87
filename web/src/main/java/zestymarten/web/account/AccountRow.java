package zestymarten.web.account;

/** An account as stored. */
record AccountRow(String name, String passwordHash, String role, boolean demo) {}
