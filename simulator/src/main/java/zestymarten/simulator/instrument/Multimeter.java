package zestymarten.simulator.instrument;

import java.util.OptionalDouble;
import java.util.random.RandomGenerator;
import zestymarten.core.meter.MeterProfile;
import zestymarten.simulator.scpi.Commands;
import zestymarten.simulator.scpi.ScpiError;
import zestymarten.simulator.unit.Workbench;

/**
 * A multimeter on its ohm ranges, and on its diode range: ranges that it finds by itself or is given, an error within its accuracy, counts, and more
 * than the range as {@code +9.900000E+37}. Its tone is a reading below its threshold, like that of any meter.
 *
 * <p>Commands: {@code CONFigure:RESistance [range]}, {@code CONFigure:CONTinuity}, {@code READ?},
 * {@code MEASure:RESistance? [range]}, {@code MEASure:CONTinuity?}, {@code MEASure:DIODe?}, {@code RESistance:RANGe <ohms>},
 * {@code RESistance:RANGe?}, {@code RESistance:RANGe:AUTO ON|OFF}, {@code CONTinuity:THReshold?}, {@code *RST}; and those of
 * the bench, see {@link Hands}.
 */
public final class Multimeter {
    private static final double COUNTS = 20_000;
    private static final double MIN_RANGE = 1;

    private final Workbench bench;
    private final MeterProfile profile;
    private final RandomGenerator random;

    public Multimeter(Workbench bench, MeterProfile profile, RandomGenerator random) {
        this.bench = bench;
        this.profile = profile;
        this.random = random;
    }

    /** The state of one connection. */
    private final class Front {
        private boolean continuity;
        private OptionalDouble range = OptionalDouble.empty();

        private void reset() {
            continuity = false;
            range = OptionalDouble.empty();
        }

        private void setRange(double ohm) {
            range = OptionalDouble.of(profile.rangesOhm().stream()
                    .filter(each -> each >= ohm)
                    .findFirst()
                    .orElse(ohm <= profile.topOhm() && !profile.hasRanges() ? ohm : profile.topOhm()));
        }

        private String read() {
            OptionalDouble ohms = bench.ohms();
            if (ohms.isEmpty()) {
                return Figures.written(Figures.OVER_RANGE);
            }
            double shown = shown(ohms.getAsDouble());
            double maximum = continuity ? profile.toneBelowOhm() : range.orElse(profile.topOhm());
            return Figures.written(shown > maximum ? Figures.OVER_RANGE : shown);
        }
    }

    /** What the display shows of such a resistance: off by no more than the accuracy, in whole counts of the range. */
    private double shown(double ohm) {
        double read = ohm * (1 + profile.accuracy() * (2 * random.nextDouble() - 1));
        double count =
                Math.max(profile.resolutionOhm(), Math.pow(10, Math.ceil(Math.log10(Math.max(read, 1e-9) / COUNTS))));
        return Math.round(read / count) * count;
    }

    /** The commands of a connection. */
    public Commands commands() {
        Front front = new Front();
        Commands commands = new Commands("Zesty Marten,simulated multimeter,0,1");
        commands.command("*RST", any -> front.reset())
                .command("CONFigure:RESistance", with -> {
                    front.reset();
                    with.figureIfAny(MIN_RANGE, profile.topOhm()).ifPresent(front::setRange);
                })
                .command("CONFigure:CONTinuity", any -> front.continuity = true)
                .query("CONFigure?", any -> front.continuity ? "\"CONT\"" : "\"RES\"")
                .query("READ?", any -> front.read())
                .query("MEASure:RESistance?", with -> {
                    front.reset();
                    with.figureIfAny(MIN_RANGE, profile.topOhm()).ifPresent(front::setRange);
                    return front.read();
                })
                .query("MEASure:CONTinuity?", any -> {
                    front.continuity = true;
                    return front.read();
                })
                .query("MEASure:DIODe?", any -> Figures.written(bench.forwardV().orElse(Figures.OVER_RANGE)))
                .command("RESistance:RANGe", with -> front.setRange(with.figure(MIN_RANGE, profile.topOhm())))
                .query("RESistance:RANGe?", any -> Figures.written(front.range.orElse(profile.topOhm())))
                .command("RESistance:RANGe:AUTO", with -> {
                    if (with.isOn()) {
                        front.range = OptionalDouble.empty();
                    } else if (front.range.isEmpty()) {
                        throw new ScpiError.Refused(ScpiError.CONFLICT);
                    }
                })
                .query("CONTinuity:THReshold?", any -> Figures.written(profile.toneBelowOhm()));
        Hands.on(bench, commands);
        return commands;
    }
}
