package zestymarten.core.check;

import java.util.Optional;
import zestymarten.core.limit.Limit;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;
import zestymarten.core.quantity.Ohms;

/** Limits and figures of things that are checked by themselves. */
final class CheckFigures {
    /** What a closed contact may have: the usual figure for switches and relays that carry current. */
    static final double CONTACT_OHM = 0.2;

    private CheckFigures() {}

    static GoodReading atMost(double ohm, Limit.Rule rule) {
        return new GoodReading.Resistance(
                new Limit(Ohms.of(0), Optional.empty(), Ohms.of(ohm), false, rule, rule.words()));
    }

    static GoodReading around(double ohm, double below, double above) {
        return new GoodReading.Resistance(new Limit(
                Ohms.of(ohm * (1 - below)),
                Optional.of(Ohms.of(ohm)),
                Ohms.of(ohm * (1 + above)),
                true,
                Limit.Rule.PART,
                Limit.Rule.PART.words()));
    }

    static MessageArgument ohms(CheckReading answer) {
        return answer.figure().isPresent()
                ? Message.figure(answer.figure().getAsDouble(), "Ω")
                : answer.meaning().message();
    }

    static MessageArgument limit(CheckReading answer) {
        return answer.question().expected() instanceof GoodReading.Resistance known
                ? MessageArgument.of(known.limit().high())
                : Message.NONE;
    }
}
