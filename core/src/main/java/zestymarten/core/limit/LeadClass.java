package zestymarten.core.limit;

import java.util.Optional;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Ohms;

/**
 * A resistive lead, whose core is made to have ohms: so many for each metre, within a tolerance.
 *
 * @param name what it is called, not blank
 * @param ohmPerMetre nominal ohms for each metre, above 0
 * @param tolerance fraction, from 0 to below 1
 * @param endsOhm what resistors in its ends add, from 0
 */
public record LeadClass(String name, double ohmPerMetre, double tolerance, double endsOhm) {
    public LeadClass {
        if (name.isBlank() || !(ohmPerMetre > 0 && tolerance >= 0 && tolerance < 1 && endsOhm >= 0)) {
            throw new NotAccepted(
                    "lead_class.class_resistive_leads", ohmPerMetre, tolerance, NotAccepted.given(endsOhm, "Ω"));
        }
    }

    /** What a lead of that length, in metres above 0, may read. */
    public Limit limit(double lengthM) {
        if (!(lengthM > 0)) {
            throw new NotAccepted("lead_class.lead_length_above", NotAccepted.given(lengthM, "m"));
        }
        double nominal = ohmPerMetre * lengthM + endsOhm;
        Ohms low = Ohms.of(nominal * (1 - tolerance));
        Ohms high = Ohms.of(nominal * (1 + tolerance));
        Message sentence = Message.of(
                "lead_class.limit",
                low,
                high,
                name,
                Message.figure(ohmPerMetre, "Ω"),
                Message.figure(lengthM, "m"),
                Message.figure(tolerance * 100, ""));
        return new Limit(low, Optional.of(Ohms.of(nominal)), high, true, Limit.Rule.PART, sentence);
    }
}
