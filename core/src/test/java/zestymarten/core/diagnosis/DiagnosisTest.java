package zestymarten.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Face;
import zestymarten.core.assembly.Kind;
import zestymarten.core.assembly.State;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.assembly.WireList;
import zestymarten.core.fault.Fault;
import zestymarten.core.fault.FaultyUnit;
import zestymarten.core.fault.GoodUnit;
import zestymarten.core.fault.Probe;
import zestymarten.core.fault.RandomHarness;
import zestymarten.core.finding.Complaint;
import zestymarten.core.finding.Priors;
import zestymarten.core.meter.Conditions;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.Meter;
import zestymarten.core.quantity.ReadingLanguage;

class DiagnosisTest {
    private static final Conditions CONDITIONS = new Conditions(
            20,
            new Meter("meter", 0.005, 0.01, 30, false, 20e6),
            OptionalDouble.of(0.25),
            LeadPolicy.FULL,
            false,
            Conditions.JOINED_BELOW_OHM);

    /** An eleven-core pendant cable with one empty cavity at the far plug. */
    private static final Design PENDANT = pendant();

    private static Design pendant() {
        StringBuilder list = new StringBuilder("wire,from,to,function,length_m,area_mm2,zone\n");
        for (int i = 1; i <= 11; i++) {
            list.append("W%d,J1.%d,J2.%d,function %d,8,0.5,flexing\n".formatted(i, i, i, i));
        }
        Assembly assembly =
                WireList.read(list.toString()).assembly("Pendant", Kind.CABLE, "", Map.of("J2", Face.line(12)));
        return Design.of(assembly, 20);
    }

    private static Diagnosis nothingRead(Complaint complaint) {
        return Diagnosis.of(GoodUnit.nominal(PENDANT), CONDITIONS, Priors.usual(), complaint, List.of());
    }

    private static Touched touched(int number, String a, String b, String typed, String... tie) {
        List<Terminal> tied = List.of(tie).stream().map(Terminal::of).toList();
        return new Touched(
                number,
                Terminal.of(a),
                Terminal.of(b),
                State.REST,
                tied.isEmpty() ? List.of() : List.of(tied),
                new ReadingLanguage(false).understand(typed));
    }

    private static Fault fault(String kind) {
        return switch (kind) {
            case "open" -> new Fault.Open("W4");
            case "high" -> new Fault.High("W4", 6);
            case "short" -> new Fault.Shorted(Terminal.of("J1.4"), Terminal.of("J1.7"), 0.3);
            case "frame" -> new Fault.Shorted(Terminal.of("J1.4"), Terminal.FRAME, 0.3);
            case "crossed" -> new Fault.Moved(Map.of("W4", Terminal.of("J2.7"), "W7", Terminal.of("J2.4")));
            case "misplaced" -> new Fault.Moved(Map.of("W4", Terminal.of("J2.12")));
            default -> throw new IllegalArgumentException(kind);
        };
    }

    /** Every wire end to end, one that reads open twice, then near ends and far ends against each other, the cavity and the frame. */
    private static List<Touched> inFixedOrder(Fault fault) {
        Probe probe = new Probe(FaultyUnit.of(GoodUnit.nominal(PENDANT), List.of(fault)), CONDITIONS, new Random(1), 0);
        List<String[]> pairs = new ArrayList<>();
        for (int i = 1; i <= 11; i++) {
            pairs.add(new String[] {"J1." + i, "J2." + i});
        }
        for (int i = 1; i <= 11; i++) {
            for (int j = i + 1; j <= 11; j++) {
                pairs.add(new String[] {"J1." + i, "J1." + j});
            }
            pairs.add(new String[] {"J1." + i, "FRAME"});
            pairs.add(new String[] {"J1." + i, "J2.12"});
            pairs.add(new String[] {"J1." + i, "J2." + (i == 4 ? 7 : 4)});
        }
        List<Touched> readings = new ArrayList<>();
        for (String[] pair : pairs) {
            Terminal a = Terminal.of(pair[0]);
            Terminal b = Terminal.of(pair[1]);
            if (!a.equals(b)) {
                String shown = probe.shows(a, b, State.REST, List.of());
                readings.add(touched(readings.size(), pair[0], pair[1], shown));
                if (readings.size() <= 12 && shown.equals("OL")) {
                    readings.add(touched(readings.size(), pair[0], pair[1], shown));
                }
            }
        }
        return readings;
    }

    @ParameterizedTest
    @CsvSource({"open, W4", "high, W4", "short, W4 W7", "frame, W4", "crossed, W4 W7", "misplaced, W4"})
    void aKnownFaultIsNeverRuledOutAndIsNamedInTheEnd(String kind, String names) {
        Set<String> mended = new TreeSet<>(List.of(names.split(" ")));
        Diagnosis diagnosis = nothingRead(Complaint.NONE);
        for (Touched reading : inFixedOrder(fault(kind))) {
            diagnosis = diagnosis.plus(reading);
            assertThat(diagnosis.probabilityOf(mended))
                    .as("%s after %d", kind, reading.number())
                    .isGreaterThan(1e-4);
        }
        Suspect first = diagnosis.suspects(1).get(0);
        assertThat(new TreeSet<>(first.names())).isEqualTo(mended);
        assertThat(diagnosis.certainty()).as(first.text()).isGreaterThan(0.75);
    }

    @ParameterizedTest
    @CsvSource({"5, 9", "12, 6", "20, 3"})
    void finishesWithTheFaultsThatAreThere(int wires, int units) {
        Random random = new Random(wires);
        double share = 0.25 / wires;
        Priors priors = new Priors(share, share, share, share, share, share, 0.002, 0.015, 3, 1);
        int right = 0;
        for (int i = 0; i < units; i++) {
            RandomHarness cable = RandomHarness.cable(random, wires).sabotage(i % 3);
            Probe probe = new Probe(cable.unit(), CONDITIONS, random, 0.02);
            Diagnosis diagnosis =
                    Diagnosis.of(GoodUnit.nominal(cable.design()), CONDITIONS, priors, Complaint.NONE, List.of());
            for (int touch = 0; !diagnosis.isFinished() && touch < 20 * wires; touch++) {
                NextTouch next = diagnosis.next(Costs.bench(true), 1).get(0);
                String shown = probe.shows(next.black(), next.red(), next.state(), next.ties());
                diagnosis = diagnosis.plus(new Touched(
                        touch,
                        next.black(),
                        next.red(),
                        next.state(),
                        next.ties(),
                        new ReadingLanguage(false).understand(shown)));
            }
            Set<String> named = new TreeSet<>(diagnosis.suspects(1).get(0).names());
            right += named.equals(namesOf(cable.told())) ? 1 : 0;
        }
        assertThat(right).as("right of %d", units).isGreaterThanOrEqualTo(units - 1);
    }

    private static Set<String> namesOf(List<String> told) {
        Set<String> names = new TreeSet<>();
        told.forEach(each -> names.addAll(
                List.of(each.substring(each.indexOf('[') + 1, each.length() - 1).split(", "))));
        return names;
    }

    @Test
    void aBrokenReferenceIsToldFromAllBroken() {
        String[] farEnds = new String[11];
        for (int i = 0; i < 11; i++) {
            farEnds[i] = "J2." + (i + 1);
        }
        Diagnosis diagnosis = nothingRead(Complaint.NONE);
        for (int i = 2; i <= 5; i++) {
            diagnosis = diagnosis.plus(touched(i, "J1.1", "J1." + i, "OL", farEnds));
        }
        assertThat(diagnosis.suspects(1).get(0).text()).isEqualTo("W1 is open.");
        diagnosis = diagnosis.plus(touched(6, "J1.2", "J1.3", "0.88", farEnds));
        assertThat(diagnosis.suspects(1).get(0).text()).isEqualTo("W1 is open.");
        assertThat(diagnosis.probabilityOf(Set.of("W1"))).isGreaterThan(0.99);
        assertThat(diagnosis.probabilityOf(Set.of("W2"))).isLessThan(0.02);
    }

    @Test
    void twoOpensMoreProbablyChangedPlacesAndTheNextTouchAsksThat() {
        Diagnosis diagnosis = nothingRead(Complaint.NONE)
                .plus(touched(0, "J1.4", "J2.4", "OL"))
                .plus(touched(1, "J1.4", "J2.4", "OL"))
                .plus(touched(2, "J1.7", "J2.7", "OL"))
                .plus(touched(3, "J1.7", "J2.7", "OL"));
        NextTouch next = diagnosis.next(Costs.bench(false), 1).get(0);
        assertThat(Set.of(next.black(), next.red()))
                .isIn(
                        Set.of(Terminal.of("J1.4"), Terminal.of("J2.7")),
                        Set.of(Terminal.of("J1.7"), Terminal.of("J2.4")));
        Diagnosis told =
                diagnosis.plus(touched(4, next.black().name(), next.red().name(), "0.55"));
        assertThat(told.suspects(1).get(0).text()).isEqualTo("W4 and W7 have changed places.");
        assertThat(told.suspects(1).get(0).faults()).hasSize(1);
    }

    @Test
    void whatWorksClearsItsWiresAndWhatIsDeadAccusesThem() {
        Complaint complaint =
                new Complaint(Map.of("function 4", Complaint.Behaviour.DEAD, "function 5", Complaint.Behaviour.WORKS));
        Diagnosis diagnosis = nothingRead(complaint);
        double dead = diagnosis.probabilityOf(Set.of("W4"));
        double works = diagnosis.probabilityOf(Set.of("W5"));
        double untried = diagnosis.probabilityOf(Set.of("W6"));
        assertThat(dead).isGreaterThan(5 * untried);
        assertThat(works).isLessThan(untried);
        NextTouch next = diagnosis.next(Costs.bench(false), 1).get(0);
        assertThat(next.black()).isEqualTo(Terminal.of("J1.4"));
    }

    @Test
    void aReadingThatContradictsTheOthersIsNamed() {
        Diagnosis diagnosis = nothingRead(Complaint.NONE)
                .plus(touched(0, "J1.4", "J2.4", "0.55"))
                .plus(touched(1, "J1.4", "J2.4", "OL"))
                .plus(touched(2, "J1.4", "J2.4", "0.55"))
                .plus(touched(3, "J1.4", "J2.4", "0.54"))
                .plus(touched(4, "J1.4", "J2.4", "0.55"));
        assertThat(diagnosis.contradictions()).extracting(Touched::number).containsExactly(1);
    }

    @Test
    void aJumpingReadingIsABrokenCoreWhoseEndsTouch() {
        Diagnosis diagnosis = nothingRead(Complaint.NONE).plus(touched(0, "J1.4", "J2.4", "~0.5..OL"));
        assertThat(diagnosis.suspects(1).get(0).text()).isEqualTo("W4 opens now and then.");
    }

    @Test
    void plusIsTheSameAsAllAtOnce() {
        List<Touched> readings = inFixedOrder(fault("crossed")).subList(0, 20);
        Diagnosis step = nothingRead(Complaint.NONE);
        for (Touched each : readings) {
            step = step.plus(each);
        }
        Diagnosis atOnce =
                Diagnosis.of(GoodUnit.nominal(PENDANT), CONDITIONS, Priors.usual(), Complaint.NONE, readings);
        assertThat(step.suspects(5)).isEqualTo(atOnce.suspects(5));
    }
}
