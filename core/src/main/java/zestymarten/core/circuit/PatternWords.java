package zestymarten.core.circuit;

import zestymarten.core.quantity.Message;

/** The words for patterns. */
final class PatternWords implements Pattern.PatternCases<Message> {
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
    public Message good() {
        return circuit.ring()
                ? Message.of("pattern_words.readings_agree_ring_as")
                : Message.of("pattern_words.reads_as_radial_that");
    }

    @Override
    public Message wrongWay(Pattern.WrongWay pattern) {
        return Message.of(
                "pattern_words.ends_linked_wrong_way",
                pattern.linked().words(),
                pattern.linked().other().words());
    }

    @Override
    public Message wrongWayTwice(Pattern.WrongWayTwice pattern) {
        return Message.of("pattern_words.ends_linked_wrong_way_2");
    }

    @Override
    public Message cut(Pattern.CableCut pattern) {
        return Message.of("pattern_words.whole_cable_open_line", circuit.where(pattern.stretch()), circuit.ring());
    }

    @Override
    public Message broken(Pattern.ConductorBroken pattern) {
        return Message.of(
                "pattern_words.open", pattern.role().words(), circuit.where(pattern.stretch()), circuit.ring());
    }

    @Override
    public Message loose(Pattern.Loose pattern) {
        return Message.of(
                "pattern_words.joint_loose_about_too",
                pattern.role().words(),
                circuit.where(pattern.stretch()),
                Message.figure(rounded(pattern.ohm()), "Ω"));
    }

    @Override
    public Message onSpur(Pattern.OnSpur pattern) {
        return Message.of(
                "pattern_words.point_hangs_on_circuit",
                pattern.point(),
                Message.figure(rounded(pattern.metres()), "m"));
    }

    @Override
    public Message interconnected(Pattern.Interconnected pattern) {
        return Message.of(
                "pattern_words.points_joined_by_about",
                pattern.from(),
                pattern.to(),
                Message.figure(rounded(pattern.metres()), "m"));
    }

    @Override
    public Message swapped(Pattern.Swapped pattern) {
        return Message.of(
                "pattern_words.crossed_point",
                pattern.a().words(),
                pattern.b().words(),
                pattern.point(),
                pattern.a().isLine() && pattern.b().isLine());
    }

    @Override
    public Message missing(Pattern.Missing pattern) {
        return Message.of(
                "pattern_words.does_not_reach_point",
                pattern.role().words(),
                pattern.point(),
                pattern.role() == ConductorRole.PROTECTIVE);
    }

    @Override
    public Message otherProtective(Pattern.OtherProtective pattern) {
        return Message.of("pattern_words.protective_conductor_reads_as", Message.figure(pattern.mm2(), "mm²"));
    }

    @Override
    public Message parallelEarth(Pattern.ParallelEarth pattern) {
        return Message.of(
                "pattern_words.something_else_joins_protective",
                pattern.from(),
                pattern.to(),
                Message.figure(rounded(pattern.ohm()), "Ω"));
    }

    @Override
    public Message longer(Pattern.Longer pattern) {
        return Message.of(
                "pattern_words.all_has_resistance_expected",
                Math.round(100 * pattern.factor()),
                pattern.factor() > 1,
                Message.figure(rounded(pattern.factor() * circuit.metres()), "m"));
    }

    /** Two figures: more would claim what a meter of 0.01 ohm does not give. */
    private static double rounded(double value) {
        double step = Math.pow(10, Math.floor(Math.log10(value)) - 1);
        return Math.round(value / step) * step;
    }
}
