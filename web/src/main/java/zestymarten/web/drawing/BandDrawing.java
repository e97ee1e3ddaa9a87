package zestymarten.web.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.Judgement;
import zestymarten.web.platform.Words;

/**
 * The slot's scale: logarithmic, with the allowed stretch, this reading, and the like wires already read, so that an odd
 * one is seen before any rule speaks. The right end is "open".
 *
 * @param from left edge of the allowed stretch
 * @param to right edge of the allowed stretch
 * @param needle where this reading stands; empty while there is none
 */
public record BandDrawing(
        double width,
        double from,
        double to,
        Word allowed,
        List<BandMark> marks,
        List<Double> like,
        OptionalDouble needle) {

    private static final double WIDTH = 400;
    private static final double OPEN = 40;
    /** Room that the words above and below the scale need to either side. */
    private static final double MARGIN = 24;

    private static final double WORD_REACH = 80;
    private static final double OVERSHOOT = 4;

    public BandDrawing {
        marks = List.copyOf(marks);
        like = List.copyOf(like);
    }

    /** A decade on the scale; without a text where there is no room for one. */
    public record BandMark(double x, String text) {}

    /** The allowed stretch in words, and how the words lie to their place: {@code start}, {@code middle} or {@code end}. */
    public record Word(double x, String anchor, String text) {
        static Word over(double from, double to, String text) {
            double middle = (from + to) / 2;
            if (middle < WORD_REACH) {
                return new Word(0, "start", text);
            }
            return middle > WIDTH - WORD_REACH ? new Word(WIDTH, "end", text) : new Word(middle, "middle", text);
        }
    }

    private record BandScale(double low, double high) {
        double x(double ohm) {
            double share = Math.log10(Math.max(ohm, low) / low) / Math.log10(high / low);
            return Math.min(WIDTH - OPEN, Math.max(0, share * (WIDTH - OPEN)));
        }
    }

    /**
     * The scale for an expectation.
     *
     * @param like corrected resistance of like measurements already read
     * @param reading corrected resistance now; infinite for open
     */
    public static BandDrawing of(
            Expectation expectation, double joinedBelowOhm, List<Double> like, OptionalDouble reading) {
        BandScale scale = expectation.fold(
                joined -> new BandScale(
                        decade(joined.limit().high().value()) / 100,
                        decade(joined.limit().high().value()) * 1e4),
                () -> new BandScale(0.1, 1e8));
        double from = expectation.fold(joined -> scale.x(joined.limit().low().value()), () -> scale.x(joinedBelowOhm));
        double to = expectation.fold(
                joined ->
                        Math.max(from + OVERSHOOT, scale.x(joined.limit().high().value())),
                () -> WIDTH);
        String allowed = expectation.fold(
                joined -> joined.limit().low().value() > 0
                        ? Words.say(
                                "band_drawing.between",
                                joined.limit().low(),
                                joined.limit().high())
                        : Words.say("band_drawing.most", joined.limit().high()),
                () -> Words.say("drawing_band_page.open"));
        List<BandMark> marks = new ArrayList<>();
        boolean crowded = scale.high() / scale.low() > 1e7;
        for (double ohm = scale.low(); ohm <= scale.high() * 1.001; ohm *= 10) {
            boolean thousands = Math.round(Math.log10(ohm)) % 3 == 0;
            boolean last = ohm * 10 > scale.high() * 1.001;
            marks.add(new BandMark(scale.x(ohm), last || (crowded && !thousands) ? "" : Words.figure(ohm, "Ω")));
        }
        return new BandDrawing(
                WIDTH,
                from,
                to,
                Word.over(from, to, Words.say("band_drawing.allowed", allowed)),
                marks,
                like.stream().map(scale::x).toList(),
                reading.isEmpty() ? reading : OptionalDouble.of(place(scale, reading.getAsDouble())));
    }

    /** Where a judged reading stands: at its corrected resistance, at infinity for open, nowhere if it is no figure. */
    public static OptionalDouble place(Judgement judgement) {
        return judgement.contact() == Judgement.Contact.APART
                ? OptionalDouble.of(Double.POSITIVE_INFINITY)
                : judgement.correctedOhm();
    }

    private static double place(BandScale scale, double ohm) {
        return Double.isInfinite(ohm) ? WIDTH - OPEN / 2 : scale.x(ohm);
    }

    private static double decade(double ohm) {
        return Math.pow(10, Math.floor(Math.log10(Math.max(ohm, 1e-3))));
    }

    /** What the drawing needs to show, as SVG has it: left, top, width, height. */
    public String viewBox() {
        return Paths.figure(-MARGIN) + " 0 " + Paths.figure(width + 2 * MARGIN) + " 64";
    }

    /** Where the word "open" stands. */
    public double openAt() {
        return width - OPEN / 2;
    }

    /** The needle as a path, where there is a reading. */
    public Optional<String> needlePath() {
        return needle.isPresent() ? Optional.of(Paths.move(needle.getAsDouble(), 40) + "l-7-22h14Z") : Optional.empty();
    }
}
