package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Partition;
import zestymarten.core.finding.Priors;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.judgement.DiodeJudge;
import zestymarten.core.judgement.DiodeRule;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.InsulationJudge;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.judgement.PlausibilityCheck;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.judgement.ResistanceJudge;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.Patience;
import zestymarten.core.quantity.ReadingParser;
import zestymarten.core.testplan.ReadableDiodes;

/**
 * All that a list of readings says about one unit: each reading judged, the findings, what is untested, the verdict.
 *
 * <p>Rules: of readings that repeat each other the last counts. A reading that cannot be understood, or leaves a question
 * open, is doubtful and counts for nothing. A diode concludes nothing on an ohm range, and is untested until
 * its forward voltage was read both ways. The verdict is <em>fail</em> if anything
 * was found, <em>incomplete</em> while anything is untested or in doubt, else <em>pass</em>. Cost: linear in the readings
 * and conductors, but for {@link UnitAnalysis#untested}. Keeps nothing.
 *
 * @param judgements in the order of the readings
 * @param explanations what may be wrong altogether, the likeliest first
 * @param contradictions numbers of readings that the best explanation leaves unexplained
 * @param untested at most {@value #MAX_UNTESTED} pairs that no reading settles yet
 * @param implied at most {@value #MAX_UNTESTED} pairs that need no reading: they follow from others
 * @param next what to measure next
 */
public record Analysis(
        AnalysisState state,
        List<JudgedReading> judgements,
        List<ExplainedFinding> findings,
        List<Explanation> explanations,
        List<Integer> contradictions,
        List<Partition.JoinedPair> untested,
        List<ImpliedPairs.ImpliedPair> implied,
        Recommendation next) {
    private static final int MAX_UNTESTED = 1000;
    private static final int NEXT = 5;

    public Analysis {
        judgements = List.copyOf(judgements);
        findings = List.copyOf(findings);
        explanations = List.copyOf(explanations);
        contradictions = List.copyOf(contradictions);
        untested = List.copyOf(untested);
        implied = List.copyOf(implied);
    }

    /** The verdict on the unit. */
    public enum AnalysisState {
        PASS,
        FAIL,
        INCOMPLETE
    }

    /** A reading with what was expected of it and how it was judged. */
    public record JudgedReading(
            AnalysisReading reading, MeterReading understood, Expectation expectation, Judgement judgement) {}

    /** Analyses readings of a unit under conditions; the design must have been made for their temperature. */
    public static Analysis of(Design design, TestConditions conditions, List<AnalysisReading> readings) {
        List<JudgedReading> judged = readings.stream()
                .map(reading -> judged(design, conditions, reading))
                .toList();
        List<Observation> observations = new ArrayList<>();
        for (int number = 0; number < judged.size(); number++) {
            JudgedReading each = judged.get(number);
            if (each.reading().quantity() == Quantity.RESISTANCE) {
                observations.add(new Observation(
                        number,
                        each.reading().a(),
                        each.reading().b(),
                        each.reading().state(),
                        each.expectation(),
                        each.judgement(),
                        each.understood(),
                        each.reading().links(),
                        each.reading().since()));
            }
        }
        UnitAnalysis unit = UnitAnalysis.of(design, conditions, Priors.usual(), Symptoms.NONE, observations);
        List<ExplainedFinding> findings = new ArrayList<>(unit.findings());
        for (int number : lastOfEach(readings)) {
            insulationFinding(design, number, judged.get(number)).ifPresent(findings::add);
        }
        DiodeReadings diodes = diodes(design, judged);
        findings.addAll(diodes.findings());
        List<Partition.JoinedPair> untested = Stream.concat(
                        unit.untested(MAX_UNTESTED).stream(), unread(design, diodes))
                .limit(MAX_UNTESTED)
                .toList();
        boolean doubtful = lastOfEach(readings).stream()
                .map(number -> judged.get(number).judgement())
                .filter(each -> !each.isBesideDiode())
                .map(Judgement::verdict)
                .anyMatch(Set.of(Verdict.DOUBTFUL, Verdict.UNDECIDED)::contains);
        boolean failed = lastOfEach(readings).stream()
                .anyMatch(number -> judged.get(number).judgement().verdict() == Verdict.FAIL);
        AnalysisState state = failed || !findings.isEmpty()
                ? AnalysisState.FAIL
                : untested.isEmpty() && !doubtful ? AnalysisState.PASS : AnalysisState.INCOMPLETE;
        return new Analysis(
                state,
                judged,
                findings,
                unit.explanations(),
                unit.contradictions(),
                untested,
                ImpliedPairs.of(design, observations).unread(MAX_UNTESTED),
                unit.next(MeasurementCosts.bench(design.assembly(), false), NEXT));
    }

    /** Numbers of the readings that no later one repeats, ascending. */
    private static List<Integer> lastOfEach(List<AnalysisReading> readings) {
        record Arrangement(
                Set<AnalysisReading.ProbeEnd> ends,
                SwitchState state,
                List<List<Terminal>> links,
                Quantity quantity,
                OptionalDouble testV) {}
        Map<Arrangement, Integer> last = new HashMap<>();
        for (int i = 0; i < readings.size(); i++) {
            AnalysisReading reading = readings.get(i);
            last.put(
                    new Arrangement(
                            reading.ends(), reading.state(), reading.links(), reading.quantity(), reading.testV()),
                    i);
        }
        return last.values().stream().sorted().toList();
    }

    private static Stream<Partition.JoinedPair> unread(Design design, DiodeReadings diodes) {
        List<String> read = diodes.read();
        return ReadableDiodes.of(design.assembly())
                .filter(part -> !read.contains(part.id()))
                .map(part -> new Partition.JoinedPair(part.b(), part.a()));
    }

    /** What was read on the diode range. */
    static DiodeReadings diodes(Design design, List<JudgedReading> judged) {
        DiodeReadings diodes = new DiodeReadings(design);
        for (int number = 0; number < judged.size(); number++) {
            AnalysisReading reading = judged.get(number).reading();
            if (reading.quantity() == Quantity.FORWARD_VOLTAGE) {
                diodes.add(number, reading.a(), reading.b(), judged.get(number).judgement());
            }
        }
        return diodes;
    }

    private static Optional<ExplainedFinding> insulationFinding(Design design, int number, JudgedReading judged) {
        AnalysisReading reading = judged.reading();
        if (!reading.quantity().needsTestVoltage()) {
            return Optional.empty();
        }
        double testV = reading.testV().orElse(0);
        return UnderVoltage.finding(
                design,
                List.of(reading.a()),
                reading.b(),
                reading.quantity(),
                testV,
                InsulationLimit.ofTest(testV).minimum(),
                judged.judgement(),
                number);
    }

    private static JudgedReading judged(Design design, TestConditions conditions, AnalysisReading reading) {
        Patience.check();
        Expectation expectation = design.expectation(reading.a(), reading.b(), reading.state(), reading.links());
        MeterReading plain = new ReadingParser(conditions.meter().oneIsOverRange()).understand(reading.asTyped());
        if (reading.quantity() == Quantity.FORWARD_VOLTAGE) {
            return new JudgedReading(
                    reading, DiodeJudge.understood(plain), expectation, onDiodeRange(design, reading, plain));
        }
        if (reading.quantity() != Quantity.RESISTANCE) {
            boolean apart = expectation instanceof Expectation.Apart;
            double testV = reading.testV().orElse(0);
            return new JudgedReading(
                    reading, plain, expectation, InsulationJudge.judge(plain, reading.quantity(), testV, apart));
        }
        MeterReading understood = onItsRange(
                plain instanceof MeterReading.Value value && value.unit() == MeterReading.Unit.OHM
                        ? settled(value, expectation, conditions)
                        : plain,
                reading.rangeTop(),
                conditions);
        Judgement asRead = ResistanceJudge.judge(understood, expectation, conditions);
        Judgement judgement = design.isBesideDiode(reading.a(), reading.b(), reading.state(), reading.links())
                ? DiodeRule.applied(asRead, expectation)
                : asRead;
        return new JudgedReading(reading, understood, expectation, judgement);
    }

    private static Judgement onDiodeRange(Design design, AnalysisReading reading, MeterReading plain) {
        return DiodeReadings.diode(design, reading.a(), reading.b())
                .map(part ->
                        DiodeJudge.of(part.forwardV()).judge(plain, part.a().equals(reading.b())))
                .orElseGet(() -> new Judgement(
                        Verdict.DOUBTFUL,
                        Judgement.Contact.UNKNOWN,
                        Judgement.Reason.WRONG_QUANTITY,
                        Message.of("analysis.no_diode_between", reading.a(), reading.b()),
                        OptionalDouble.empty(),
                        OptionalDouble.empty()));
    }

    /**
     * A doubt that a person would be asked about is not asked of a file: what is written there stands, but for figures that
     * the meter cannot show.
     */
    private static MeterReading settled(MeterReading.Value value, Expectation expectation, TestConditions conditions) {
        return PlausibilityCheck.raise(value, expectation, conditions) instanceof MeterReading.Refused refused
                ? refused
                : value;
    }

    /** Over-range of a lower range than the highest says no more than "more than that range". */
    private static MeterReading onItsRange(MeterReading understood, OptionalDouble top, TestConditions conditions) {
        boolean lower =
                top.isPresent() && top.getAsDouble() < conditions.meter().topOhm();
        return understood instanceof MeterReading.OverRange && lower
                ? new MeterReading.Above(top.getAsDouble(), MeterReading.Unit.OHM)
                : understood;
    }
}
