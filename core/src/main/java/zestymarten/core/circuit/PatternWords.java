package zestymarten.core.circuit;

import zestymarten.core.quantity.EngineeringFormat;

/** The words for patterns. */
final class PatternWords implements Pattern.PatternCases<String> {
    static final Pattern.PatternCases<String> KINDS = new Pattern.PatternCases<>() {
        @Override
        public String good() {
            return "good";
        }

        @Override
        public String wrongWay(Pattern.WrongWay pattern) {
            return "linked wrong way";
        }

        @Override
        public String wrongWayTwice(Pattern.WrongWayTwice pattern) {
            return "linked wrong way";
        }

        @Override
        public String cut(Pattern.CableCut pattern) {
            return "cut cable";
        }

        @Override
        public String broken(Pattern.ConductorBroken pattern) {
            return "broken leg";
        }

        @Override
        public String loose(Pattern.Loose pattern) {
            return "loose joint";
        }

        @Override
        public String onSpur(Pattern.OnSpur pattern) {
            return "spur";
        }

        @Override
        public String interconnected(Pattern.Interconnected pattern) {
            return "interconnection";
        }

        @Override
        public String swapped(Pattern.Swapped pattern) {
            return "swapped polarity";
        }

        @Override
        public String missing(Pattern.Missing pattern) {
            return "missing conductor";
        }

        @Override
        public String otherProtective(Pattern.OtherProtective pattern) {
            return "other section";
        }

        @Override
        public String parallelEarth(Pattern.ParallelEarth pattern) {
            return "parallel earth";
        }

        @Override
        public String longer(Pattern.Longer pattern) {
            return pattern.factor() > 1 ? "longer than drawn" : "shorter than drawn";
        }
    };

    private final Circuit circuit;

    PatternWords(Circuit circuit) {
        this.circuit = circuit;
    }

    @Override
    public String good() {
        return circuit.ring() ? "The readings agree with the ring as drawn." : "It reads as the radial that was drawn.";
    }

    @Override
    public String wrongWay(Pattern.WrongWay pattern) {
        return "The ends are linked the wrong way, " + pattern.linked().words()
                + ": each end to its own instead of to the other's. Link the line of each end to the "
                + pattern.linked().other().words() + " of the other end and read again.";
    }

    @Override
    public String wrongWayTwice(Pattern.WrongWayTwice pattern) {
        return "The ends are linked the wrong way with either pair: each end to its own instead of to the other's. Link the line"
                + " of each end to the neutral, then to the protective conductor, of the other end and read again.";
    }

    @Override
    public String cut(Pattern.CableCut pattern) {
        return "The whole cable is open " + circuit.where(pattern.stretch())
                + ": line, neutral and protective conductor. "
                + (circuit.ring() ? "Read from end A alone, then from end B alone, to see how far each reaches." : "");
    }

    @Override
    public String broken(Pattern.ConductorBroken pattern) {
        return "The " + pattern.role().words() + " is open " + circuit.where(pattern.stretch()) + ". "
                + (circuit.ring()
                        ? "The ring is broken: each side is fed by one leg only."
                        : "Everything beyond is without it.");
    }

    @Override
    public String loose(Pattern.Loose pattern) {
        return "A joint of the " + pattern.role().words() + " is loose " + circuit.where(pattern.stretch()) + ", about "
                + EngineeringFormat.text(rounded(pattern.ohm()), "Ω") + " too much. Remake both of its ends.";
    }

    @Override
    public String onSpur(Pattern.OnSpur pattern) {
        return "Point " + pattern.point() + " hangs on the circuit by about "
                + EngineeringFormat.text(rounded(pattern.metres()), "m")
                + " of cable: it is on a spur that was not drawn.";
    }

    @Override
    public String interconnected(Pattern.Interconnected pattern) {
        return "Points " + pattern.from() + " and " + pattern.to() + " are joined by about "
                + EngineeringFormat.text(rounded(pattern.metres()), "m")
                + " of cable that was not drawn: a figure of eight, which would hide a broken leg. Find it and take it out.";
    }

    @Override
    public String swapped(Pattern.Swapped pattern) {
        return "The " + pattern.a().words() + " and the " + pattern.b().words() + " are crossed at point "
                + pattern.point() + ".";
    }

    @Override
    public String missing(Pattern.Missing pattern) {
        return "The " + pattern.role().words() + " does not reach point " + pattern.point() + "."
                + (pattern.role() == ConductorRole.PROTECTIVE
                        ? " Do not put it into use: a fault there would stay live."
                        : "");
    }

    @Override
    public String otherProtective(Pattern.OtherProtective pattern) {
        return "The protective conductor reads as " + EngineeringFormat.text(pattern.mm2(), "mm²")
                + " all along, not as drawn. See which cable it is, and whether a fault at its end is still cut off.";
    }

    @Override
    public String parallelEarth(Pattern.ParallelEarth pattern) {
        return "Something else joins the protective conductor of points " + pattern.from() + " and " + pattern.to()
                + " with about " + EngineeringFormat.text(rounded(pattern.ohm()), "Ω")
                + ": metalwork, a bond, another circuit. Take it off and read again: beside it a broken protective conductor would not show.";
    }

    @Override
    public String longer(Pattern.Longer pattern) {
        return "All of it has " + Math.round(100 * pattern.factor()) + " % of the resistance expected: the cable is "
                + (pattern.factor() > 1 ? "longer" : "shorter") + " than drawn, about "
                + EngineeringFormat.text(rounded(pattern.factor() * circuit.metres()), "m")
                + ", or of another section. See whether a fault at its end is still cut off.";
    }

    /** Two figures: more would claim what a meter of 0.01 ohm does not give. */
    private static double rounded(double value) {
        double step = Math.pow(10, Math.floor(Math.log10(value)) - 1);
        return Math.round(value / step) * step;
    }
}
