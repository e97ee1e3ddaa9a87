package zestymarten.web.testrun;

import java.util.List;
import java.util.Optional;
import zestymarten.web.drawing.BandDrawing;
import zestymarten.web.drawing.FieldDrawing;
import zestymarten.web.drawing.StepDrawing;
import zestymarten.web.drawing.TrendDrawing;
import zestymarten.web.platform.ChoiceView;

/** The run page as ready text and drawings. */
record RunView(
        long id,
        String unit,
        String assembly,
        long assemblyId,
        int revision,
        String meter,
        String conditions,
        String pulse,
        boolean underWay,
        boolean complete,
        String measurementsLeft,
        String minutesLeft,
        int percent,
        List<StageView> stages,
        Optional<StepView> step,
        Optional<ResultView> result,
        List<EntryView> last,
        Optional<String> takeBack,
        List<String> findings,
        List<Proposal> proposals,
        String symptoms,
        List<String> toRestore,
        String halves,
        PurposeView purpose,
        String outcome) {

    /**
     * What the test is for.
     *
     * @param ending what ends it where nothing is due any more
     * @param suspects what may be wrong, the likeliest first; none where the diagnosis does not lead
     */
    record PurposeView(String words, String ending, List<Suspect> suspects) {}

    /** What may be wrong, with its probability in whole per cent. */
    record Suspect(long percent, String text) {}

    /** A stage of the rail. */
    record StageView(String name, String title, String count, String state, Optional<FieldDrawing> field) {}

    /**
     * The step at hand.
     *
     * @param byWords whether Enter on an empty slot says that it is done or as it should be
     * @param hint what the empty slot asks for
     * @param choices answers offered as buttons
     * @param places where along the way something may happen, in the order in which they are tried; none where that is not asked
     */
    record StepView(
            StepForm form,
            int attempt,
            Sentence sentence,
            String why,
            Optional<String> asks,
            Optional<StepDrawing> drawing,
            Optional<BandDrawing> band,
            Optional<TrendDrawing> curve,
            List<Pad> pads,
            boolean byWords,
            String hint,
            List<ChoiceView> choices,
            List<String> places) {}

    /** The step in words; the two terminals stand out. */
    record Sentence(String before, String black, String between, String red, String after) {
        String plain() {
            return before + black + between + red + after;
        }
    }

    /** A pin with its neighbours, enlarged for the phone. */
    record Pad(String probe, String terminal, List<String> before, String pin, List<String> after) {}

    /** What was just kept, when it does not pass: it stays until the technician goes on. */
    record ResultView(String id, String state, String word, String step, String typed, String reason) {}

    /** One of the last entries. */
    record EntryView(
            int sequence,
            String step,
            String typed,
            String corrected,
            String state,
            String word,
            boolean takenBack,
            String by) {}

    /** A measurement that would settle something. */
    record Proposal(StepForm form, String text) {}
}
