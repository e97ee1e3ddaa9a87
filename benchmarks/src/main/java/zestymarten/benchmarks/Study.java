package zestymarten.benchmarks;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import zestymarten.core.analysis.Analysis;
import zestymarten.core.analysis.AnalysisReading;
import zestymarten.core.fault.Bench;
import zestymarten.core.fault.Probe;
import zestymarten.core.fault.RandomHarness;
import zestymarten.core.finding.Priors;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.meter.TestConditions;

/** Tests thousands of made-up units and writes how often the verdict and the named faults are right. */
public final class Study {
    private static final int[][] COMPLETE = {{5, 600}, {12, 600}, {30, 600}, {80, 150}, {200, 60}};
    private static final int[][] ADAPTIVE = {{5, 60}, {12, 48}, {20, 24}};
    private static final int[][] TOLD = {{5, 60}, {12, 60}, {30, 30}, {80, 6}};

    private static final int UNITS_A_KIND = 715;
    private static final int UNITS_A_PURPOSE = 250;
    private static final int KINDS = 6;
    private static final int MAX_FAULTS = 3;

    private final StringBuilder text = new StringBuilder();

    private Study() {}

    /** @param arguments the file to write */
    public static void main(String[] arguments) throws IOException {
        Study study = new Study();
        study.run();
        Files.writeString(Path.of(arguments[0]), study.text.toString());
        System.out.println(study.text);
    }

    private void run() {
        line("# Study: how often the verdict is right");
        line("");
        line(
                "Made-up units with seeds that are fixed, so that every run gives the same figures: `./marten study` writes this");
        line("page. Straight cables with one or two empty cavities, 0 to 3 faults, each kind alike likely: open, high");
        line(
                "resistance, short, short to frame, two wires crossed, one misplaced. Every wire is up to 3 % off its nominal");
        line("ohms; meters of 0.5, 1 and 2 % in turn.");
        line("");
        complete(0);
        line("## Nets of every kind, complete evidence, every measurement good");
        line("");
        line(
                "Splices of 3 to 8 legs, wires in parallel and in rings, chains, lamps on a common return, windings in star and delta,");
        line(
                "switch contacts, a coil with a diode, a bonded wire, three connectors, and mixtures of these; 0 to 4 faults at either");
        line(
                "end. A quarter of the plain cables have a whole plug turned round or set one cavity beside, with a short or a bad wire");
        line(
                "on top. The readings come from a solver of its own. Among the alternatives: faults that read just the same.");
        line("");
        EveryKind.lines(UNITS_A_KIND).forEach(this::line);
        line("");
        complete(DiagnosisRun.BAD_CONTACT);
        line(
                "A bad contact at the one reading that would have shown a short leaves it unseen: each to the linked rest asks every");
        line(
                "pair once. A wire that reads open is measured once more on clean metal; two bad contacts in a row are believed.");
        line("");
        adaptive();
        line("");
        line("## Find the fault against Test everything");
        line("");
        line(
                "1,000 units of 6 to 12 wires, every second one with splices, fuses, resistors and switches; the program's own steps are done");
        line(
                "one after the other, one measurement in 50 without contact. Both ends are in reach and free, each to each: there are no");
        line(
                "trips. Minutes by the program's own pace (3 s a reading, 1.5 s a probe that moves). Named exactly: the likeliest");
        line("explanation names the faulty wires and parts, and no other.");
        line("");
        Purposes.lines(UNITS_A_PURPOSE, DiagnosisRun.BAD_CONTACT).forEach(this::line);
        line("");
        line(
                "Test everything goes on to the last pair, whatever it has found; that is what a certificate needs. Find the fault ends when one");
        line(
                "repair is as good as certain: of two faults of which nobody has said anything it often names the first alone, and its record says");
        line(
                "what was not measured. A faulty unit passes where the one reading that would have shown its short had no contact.");
        line("");
        line("## What the faults of earlier units save");
        line("");
        line(
                "A cable of 12 wires, two of which flex and have 70 % of the faults; Find the fault, no symptoms, one measurement in 50");
        line(
                "without contact. So many units of which the fault is known teach (*Faults of tested units*); other units are tested: with");
        line("faults like theirs, and with faults of any wire, for which what was learnt of the wires is wrong.");
        line("");
        Histories.lines(UNITS_A_PURPOSE, DiagnosisRun.BAD_CONTACT).forEach(this::line);
        line("");
        line("## How often what is said is true");
        line("");
        line(
                "24,000 units of 4 to 9 wires. Each fault comes with the odds that the analysis is given, whether or not there are others. Stopped");
        line(
                "at random after 1 to 27 chosen measurements, one in 50 without contact. Every finding of that moment by the probability that was said with it:");
        line("");
        Calibration.lines(DiagnosisRun.BAD_CONTACT).forEach(this::line);
    }

    private void line(String line) {
        text.append(line).append('\n');
    }

    private void complete(double badContact) {
        line("## Complete evidence, "
                + (badContact == 0 ? "every measurement good" : "one measurement in 50 without contact"));
        line("");
        line(
                "| wires | units | faulty units that passed | good units that failed | faults named exactly | readings a unit |");
        line("|---|---|---|---|---|---|");
        for (int[] size : COMPLETE) {
            Random random = new Random(size[0]);
            int passed = 0;
            int failed = 0;
            int exact = 0;
            long readings = 0;
            for (int i = 0; i < size[1]; i++) {
                RandomHarness cable = RandomHarness.cable(random, size[0]).sabotage(i % (MAX_FAULTS + 1));
                TestConditions conditions =
                        Cables.conditions(DiagnosisRun.ACCURACIES[i % DiagnosisRun.ACCURACIES.length]);
                Probe probe = new Probe(cable.unit(), conditions, random, badContact);
                List<AnalysisReading> taken = Bench.readings(cable.design(), conditions, probe);
                Analysis analysis = Analysis.of(cable.design(), conditions, taken);
                List<String> truth = cable.truth().stream().sorted().toList();
                passed += !truth.isEmpty() && analysis.state() == Analysis.AnalysisState.PASS ? 1 : 0;
                failed += truth.isEmpty() && analysis.state() == Analysis.AnalysisState.FAIL ? 1 : 0;
                exact += Bench.found(analysis).equals(truth) ? 1 : 0;
                readings += taken.size();
            }
            line("| %d | %d | %d | %d | %.1f %% | %d |"
                    .formatted(size[0], size[1], passed, failed, 100.0 * exact / size[1], readings / size[1])
                    .replace(',', '.'));
        }
        line("");
    }

    private void adaptive() {
        line("## Measurements to a finished diagnosis, one in 50 without contact");
        line("");
        line(
                "Finished: one repair is at least 95 % probable. The analysis is given the share of bad contacts. Fixed order: each");
        line(
                "wire end to end, each near end to the later ones and the frame, then the ends of wires that read open crosswise. The bound");
        line(
                "is the entropy of what may be wrong over the two bits that a measurement can tell at most (as expected, too high, open,");
        line(
                "something else); no order can do with fewer on average. Given up after 15 measurements a wire; mean and median are of those that finished.");
        line("");
        line(
                "| wires | units | order | finished | right of those finished | measurements, mean | measurements, median | bound |");
        line("|---|---|---|---|---|---|---|---|");
        for (int[] size : ADAPTIVE) {
            List<DiagnosisRun> best = new ArrayList<>();
            List<DiagnosisRun> fixed = new ArrayList<>();
            for (int i = 0; i < size[1]; i++) {
                RandomHarness cable = RandomHarness.cable(new Random(1000L * size[0] + i), size[0])
                        .sabotage(i % (MAX_FAULTS + 1));
                best.add(DiagnosisRun.run(cable, i, true, Symptoms.NONE));
                fixed.add(DiagnosisRun.run(cable, i, false, Symptoms.NONE));
            }
            row(size, "chosen", best);
            row(size, "fixed", fixed);
        }
        line("");
        line(
                "Far above the bound: most measurements go to pairs that turn out to be apart, because a short between any two wires is");
        line(
                "as likely here as anything else and one measurement asks one pair. Linked ends ask many pairs at once, but cost clips.");
        line("");
        oneFault();
        sayingWhatFails();
    }

    /** One fault, and the usual priors of a unit of which somebody says that something is wrong with it. */
    private void oneFault() {
        line("## One fault, nobody says what fails");
        line("");
        line(
                "The same with one fault a unit and the usual priors, each order as long as the fixed one is. What is not finished counts");
        line("with the measurements made. With clips:");
        line(
                "the near ends not yet read may be linked, so that one reading asks many pairs; putting clips on and off has its price.");
        line("");
        line(
                "| wires | units | order | finished | right of those finished | measurements of all, mean | median | worst |");
        line("|---|---|---|---|---|---|---|---|");
        for (int[] size : ADAPTIVE) {
            for (DiagnosisRun.Order order : DiagnosisRun.Order.values()) {
                List<DiagnosisRun> runs = new ArrayList<>();
                for (int i = 0; i < size[1]; i++) {
                    RandomHarness cable = RandomHarness.cable(new Random(4000L * size[0] + i), size[0])
                            .sabotage(1);
                    Priors usual = Priors.usual().withBadContact(DiagnosisRun.BAD_CONTACT);
                    runs.add(DiagnosisRun.run(
                            cable,
                            i,
                            order,
                            Symptoms.NONE,
                            usual,
                            DiagnosisRun.fixedOrder(cable).size()));
                }
                allOf(size, order.words, runs);
            }
        }
        line("");
    }

    private void allOf(int[] size, String order, List<DiagnosisRun> runs) {
        int[] measurements = runs.stream().mapToInt(DiagnosisRun::measurements).sorted().toArray();
        long finished = runs.stream().filter(DiagnosisRun::finished).count();
        long right =
                runs.stream().filter(each -> each.finished() && each.right()).count();
        line("| %d | %d | %s | %d | %d | %.1f | %d | %d |"
                .formatted(
                        size[0],
                        size[1],
                        order,
                        finished,
                        right,
                        runs.stream().mapToInt(DiagnosisRun::measurements).average().orElse(0),
                        measurements[measurements.length / 2],
                        measurements[measurements.length - 1]));
    }

    /** The same where a person says which functions work, which do not, and how. */
    private void sayingWhatFails() {
        line("## The same, with the symptoms entered");
        line("");
        line(
                "1 to 3 faults; the functions of faulty wires are dead, come and go or stay on, all others work; usual priors.");
        line("");
        line(
                "| wires | units | order | finished | right of those finished | measurements, mean | measurements, median | bound |");
        line("|---|---|---|---|---|---|---|---|");
        for (int[] size : TOLD) {
            List<DiagnosisRun> best = new ArrayList<>();
            List<DiagnosisRun> fixed = new ArrayList<>();
            for (int i = 0; i < size[1]; i++) {
                RandomHarness cable = RandomHarness.cable(new Random(2000L * size[0] + i), size[0])
                        .sabotage(1 + i % MAX_FAULTS);
                best.add(DiagnosisRun.run(cable, i, true, symptoms(cable)));
                fixed.add(DiagnosisRun.run(cable, i, false, symptoms(cable)));
            }
            row(size, "chosen", best);
            row(size, "fixed", fixed);
        }
    }

    static Symptoms symptoms(RandomHarness cable) {
        Map<String, Symptoms.Behaviour> functions = new HashMap<>();
        cable.assembly()
                .conductors()
                .forEach(wire -> wire.function().ifPresent(each -> functions.put(each, Symptoms.Behaviour.WORKS)));
        for (String named : cable.truth()) {
            Symptoms.Behaviour behaviour = named.startsWith("short")
                    ? Symptoms.Behaviour.STAYS_ON
                    : named.startsWith("high") ? Symptoms.Behaviour.SOMETIMES : Symptoms.Behaviour.DEAD;
            DiagnosisRun.namesOf(List.of(named)).forEach(wire -> functions.put("function of " + wire, behaviour));
        }
        return new Symptoms(functions);
    }

    private void row(int[] size, String order, List<DiagnosisRun> runs) {
        List<DiagnosisRun> finished =
                runs.stream().filter(DiagnosisRun::finished).toList();
        long right = finished.stream().filter(DiagnosisRun::right).count();
        double mean =
                finished.stream().mapToInt(DiagnosisRun::measurements).average().orElse(0);
        int median = finished.stream()
                .mapToInt(DiagnosisRun::measurements)
                .sorted()
                .skip(finished.size() / 2)
                .findFirst()
                .orElse(0);
        line("| %d | %d | %s | %d | %d | %.1f | %d | %.1f |"
                .formatted(size[0], size[1], order, finished.size(), right, mean, median, bits(size[0]) / 2));
    }

    /** Entropy of a unit with 0 to 3 faults, each of a kind and place alike likely. */
    private static double bits(int wires) {
        double pairs = wires * (wires - 1) / 2.0;
        double place = (3 * log2(wires) + 2 * log2(pairs) + log2(1.5 * wires)) / KINDS;
        double fault = log2(KINDS) + place;
        double orderings = (log2(2) + log2(6)) / 4;
        return log2(MAX_FAULTS + 1) + (1 + 2 + 3) / 4.0 * fault - orderings;
    }

    private static double log2(double value) {
        return Math.log(value) / Math.log(2);
    }
}
