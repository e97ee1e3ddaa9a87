package zestymarten.web.testrun;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.StepState;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.platform.Words;

/**
 * The next steps of a test in the order of its plan with how each answer would be judged, for a page that is without network.
 *
 * <p>Nothing is judged by other rules: every verdict is that of the test itself, asked of each answer without a figure and along
 * the scale of resistances, the places where it changes found by halving. Cost: a few hundred judgements a step.
 *
 * @param pulse of the test when this was made
 * @param onlyOneIsOverRange whether a bare 1 may be the meter's over-range mark, which only the test itself can ask
 */
record Ahead(String pulse, boolean onlyOneIsOverRange, List<AheadStep> steps) {
    private static final int MAX = 50;
    private static final double MIN_OHM = 1e-4;
    private static final double MAX_OHM = 1e10;
    private static final int A_DECADE = 12;
    private static final int HALVINGS = 50;

    /** What is entered at a step. */
    enum AheadKind {
        /** A reading of resistance, or a tone where that is an answer. */
        READING,
        /** Nothing, or a note: it is done, or as it should be. */
        WORDS,
        /** Something that only the page with its network can ask. */
        OTHER
    }

    /**
     * A step.
     *
     * @param attempt which entry of the step the next one will be
     * @param say the step as it is said aloud
     * @param said the verdicts of answers without a figure: {@code tone}, {@code silent}, {@code over}
     * @param bands the verdicts of figures, each up to a resistance; the last has no end
     */
    record AheadStep(
            StepForm form,
            int attempt,
            String sentence,
            String why,
            String say,
            AheadKind kind,
            Map<String, Said> said,
            List<VerdictBand> bands) {}

    /** A verdict: its state stroke and its word. */
    record Said(String state, String word) {
        private static Said of(Judgement judgement) {
            return new Said(StepState.of(judgement.verdict()).code(), Words.say(judgement.verdict()));
        }
    }

    /** A verdict of every figure up to a resistance in ohms, itself not included. */
    record VerdictBand(double upToOhm, Said said) {}

    static Ahead of(RunSnapshot run, Speech speech, Locale locale) {
        TestRun test = run.test();
        List<AheadStep> steps = test.undone()
                .limit(MAX)
                .map(step -> step(test, step, speech, locale))
                .toList();
        return new Ahead(run.pulse(), test.conditions().meter().oneIsOverRange(), steps);
    }

    private static AheadStep step(TestRun test, TestStep step, Speech speech, Locale locale) {
        AheadKind kind = kind(step);
        StepViews.StepWords words = StepViews.words(test, step);
        return new AheadStep(
                StepForm.of(step),
                test.nextAttempt(step),
                words.sentence(),
                words.why(),
                speech.say(step, words.sentence(), locale),
                kind,
                kind == AheadKind.READING ? said(test, step) : Map.of(),
                kind == AheadKind.READING ? bands(test, step) : List.of());
    }

    private static AheadKind kind(TestStep step) {
        return step.fold(
                probes -> AheadKind.READING,
                measurement -> measurement.isUnderVoltage() ? AheadKind.OTHER : AheadKind.READING,
                manual -> manual.action().answer() == ManualAction.AnswerKind.WORDS
                                && manual.action() != ManualAction.SYMPTOM
                                && manual.action() != ManualAction.FUNCTION
                        ? AheadKind.WORDS
                        : AheadKind.OTHER);
    }

    private static Map<String, Said> said(TestRun test, TestStep step) {
        Map<String, Said> said = new TreeMap<>();
        said.put("tone", Said.of(test.judge(step, new MeterReading.Tone())));
        said.put("silent", Said.of(test.judge(step, new MeterReading.Silent())));
        said.put("over", Said.of(test.judge(step, new MeterReading.OverRange())));
        return said;
    }

    private static Said at(TestRun test, TestStep step, double ohm) {
        return Said.of(test.judge(step, MeterReading.Value.ohms(ohm)));
    }

    private static List<VerdictBand> bands(TestRun test, TestStep step) {
        List<VerdictBand> bands = new ArrayList<>();
        double before = 0;
        Said said = at(test, step, 0);
        int points = (int) Math.round(A_DECADE * Math.log10(MAX_OHM / MIN_OHM));
        for (int i = 0; i <= points; i++) {
            double ohm = MIN_OHM * Math.pow(10, (double) i / A_DECADE);
            Said here = at(test, step, ohm);
            while (!here.equals(said)) { // several may end between two points of the scale
                before = change(test, step, before, ohm, said);
                bands.add(new VerdictBand(before, said));
                said = at(test, step, before);
            }
            before = ohm;
        }
        bands.add(new VerdictBand(Double.MAX_VALUE, said));
        return bands;
    }

    /** Where a verdict ends between two figures, to the last bit that matters. */
    private static double change(TestRun test, TestStep step, double from, double to, Said said) {
        double low = from;
        double high = to;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (at(test, step, middle).equals(said)) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return high;
    }
}
