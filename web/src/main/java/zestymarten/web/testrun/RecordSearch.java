package zestymarten.web.testrun;

import java.util.List;

/**
 * What is looked for among ended tests: a part of a serial, of an assembly's name or of a finding.
 *
 * @param pattern for the database; empty where nothing is looked for
 */
record RecordSearch(String pattern, Matching units, Matching assemblies) {
    /** More units than that are not named one by one. */
    static final int FEW_UNITS = 500;

    /** An assembly has many tests. */
    static final int FEW_ASSEMBLIES = 20;

    static final RecordSearch NOTHING = new RecordSearch("", Matching.NONE, Matching.NONE);

    /** Whether anything is looked for. */
    public boolean isPresent() {
        return !pattern.isEmpty();
    }

    /**
     * What matches: named one by one where it is little.
     *
     * @param ids those few; empty where there are many, or none
     */
    record Matching(List<Long> ids, boolean many) {
        static final Matching NONE = new Matching(List.of(), false);

        Matching {
            ids = List.copyOf(ids);
        }

        /** Of the first that match, one more than are few. */
        static Matching of(List<Long> first, int few) {
            return first.size() > few ? new Matching(List.of(), true) : new Matching(first, false);
        }

        public boolean isFew() {
            return !ids.isEmpty();
        }
    }
}
