package zestymarten.web.record;

import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import zestymarten.core.testrun.StepState;

/**
 * What the record of a test says was found. Kept when the test ends, so that it stays what it was whatever the rules become.
 *
 * @param rules the version of the rules by which it was judged
 * @param notShown what the measurements made do not show
 * @param implied what nobody had to measure, with the readings that it follows from
 * @param asFound the findings before the first repair; none where nothing was repaired
 * @param findings those at the end
 * @param symptoms what stays unexplained of what the machine does
 * @param insulation readings over the time under voltage
 */
record RecordResult(
        String rules,
        String summary,
        List<String> notShown,
        List<String> implied,
        List<FindingLine> asFound,
        List<FindingLine> findings,
        List<RepairLine> repairs,
        String symptoms,
        List<String> insulation,
        List<ReadingLine> readings) {
    RecordResult {
        notShown = kept(notShown);
        implied = kept(implied);
        asFound = kept(asFound);
        findings = kept(findings);
        repairs = kept(repairs);
        insulation = kept(insulation);
        readings = kept(readings);
    }

    /** A list that an earlier form of the document did not have is empty. */
    private static <T> List<T> kept(@Nullable List<T> list) {
        return List.copyOf(Objects.requireNonNullElse(list, List.of()));
    }

    /**
     * A finding with what stands behind it.
     *
     * @param code of the fault; none in records that were kept before these were
     * @param places the wires and parts that it names; none in records that were kept before these were
     */
    record FindingLine(
            @Nullable String code,
            String kind,
            String text,
            String evidence,
            String functionsLost,
            List<String> places) {
        FindingLine {
            places = kept(places);
        }
    }

    /** How something was put right. */
    record RepairLine(String number, String what, String cause, String prevention, String by) {}

    /** The position of switches and moving parts that is not named. */
    static final String AT_REST = "rest";

    /** A reading, raw and corrected, with its limit and the limit's source. */
    record ReadingLine(
            int sequence,
            String stage,
            String a,
            String b,
            String setup,
            String position,
            String asTyped,
            String understood,
            String value,
            String unit,
            String qualifier,
            String corrected,
            String correctedText,
            String limitLow,
            String limitHigh,
            String limitText,
            String source,
            String judgement,
            String state,
            boolean takenBack,
            String at,
            String by) {
        ReadingLine {
            // A record of an earlier version has it by an earlier word, and is shown whatever that is.
            state = StepState.known(state).map(StepState::code).orElse(state);
        }

        /** Whether switches and moving parts stood as they usually do. */
        public boolean atRest() {
            return position.equals(AT_REST);
        }
    }
}
