package zestymarten.core.meter;

import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Ohms;

/**
 * Under which conditions the readings of a run are taken and judged.
 *
 * @param ambientC temperature of the wiring in °C
 * @param leadsOhm what the joined probes read; empty until that was read
 * @param joinedBelowOhm a corrected reading below this joins its two terminals
 * @param guarded whether the guarded decision rule is used instead of the simple one
 */
public record TestConditions(
        double ambientC,
        MeterProfile meter,
        OptionalDouble leadsOhm,
        LeadPolicy policy,
        boolean guarded,
        double joinedBelowOhm) {

    /** Below this a corrected reading joins its two terminals, unless the run says otherwise. */
    public static final double JOINED_BELOW_OHM = 10_000;

    /** Below this limit it matters what the excess policy leaves of the leads in a reading. */
    private static final double EXCESS_MATTERS_OHM = 5;

    public TestConditions {
        if (leadsOhm.isPresent() && !(leadsOhm.getAsDouble() >= 0 && leadsOhm.getAsDouble() <= 1000)) {
            throw new NotAccepted("test_conditions.test_leads_ohm", NotAccepted.given(leadsOhm.getAsDouble(), "Ω"));
        }
        if (!(joinedBelowOhm > 0 && joinedBelowOhm <= 1e6)) {
            throw new NotAccepted("test_conditions.joined_begin_below", NotAccepted.given(joinedBelowOhm, "Ω"));
        }
    }

    /** The same at another temperature, in °C. */
    public TestConditions at(double celsius) {
        return new TestConditions(celsius, meter, leadsOhm, policy, guarded, joinedBelowOhm);
    }

    public TestConditions withLeads(double ohm) {
        return new TestConditions(ambientC, meter, OptionalDouble.of(ohm), policy, guarded, joinedBelowOhm);
    }

    /** A reading less what the policy takes off for the leads, not below zero. */
    public Ohms corrected(double readOhm) {
        return Ohms.of(Math.min(Ohms.MAX, Math.max(0, readOhm - policy.share(leadsOhm.orElse(0)))));
    }

    /** Whether the leads have more ohms than a wire of that limit may have, so that the reading decides little. */
    public boolean leadsExceed(Ohms limit) {
        return leadsOhm.orElse(0) > limit.value();
    }

    /**
     * A word of caution on what the leads do to a reading: where they have more than the wire may have, and where the policy
     * leaves a part of them in a reading whose limit is below {@value #EXCESS_MATTERS_OHM} ohm. Empty where neither is so.
     */
    public Optional<Message> leadsCaution(Ohms limit) {
        double leads = leadsOhm.orElse(0);
        double left = leads - policy.share(leads);
        if (policy == LeadPolicy.EXCESS && left > 0 && limit.value() < EXCESS_MATTERS_OHM) {
            return Optional.of(
                    Message.of("test_conditions.test_leads_still_reading", Ohms.of(left), Ohms.of(EXCESS_MATTERS_OHM)));
        }
        return leadsExceed(limit)
                ? Optional.of(Message.of("test_conditions.leads_have_more_than", Ohms.of(leads)))
                : Optional.empty();
    }

    /**
     * Expanded uncertainty {@code U = 2 u} of a corrected reading, in ohms:
     * {@code u² = (pct (R_read - R_leads) / sqrt 3)² + 2 (resolution / sqrt 12)²}. The offset that reading and zero have
     * in common cancels. Source: GUM (JCGM 100), rectangular distributions.
     */
    public double uncertaintyOhm(double readOhm) {
        return uncertaintyOhm(readOhm, Zero.FRESH);
    }

    /**
     * The same where the zero has drifted by {@code drift} ohm since ({@code + (drift / (2 sqrt 3))²}), or was taken on
     * another range, whose offset does not cancel ({@code + (counts / sqrt 3)²} of both ranges).
     */
    public double uncertaintyOhm(double readOhm, Zero zero) {
        double gain = meter.accuracy() * Math.abs(readOhm - leadsOhm.orElse(0)) / Math.sqrt(3);
        double steps = 2 * meter.resolutionOhm() * meter.resolutionOhm() / 12;
        double drift = zero.driftOhm() / (2 * Math.sqrt(3));
        double counts = (zero.countsOhm() * zero.countsOhm() + zero.otherCountsOhm() * zero.otherCountsOhm()) / 3;
        return 2 * Math.sqrt(gain * gain + steps + drift * drift + counts);
    }

    /**
     * How the zero of the leads was taken.
     *
     * @param driftOhm how far it has moved since, from 0
     * @param countsOhm offset of the range in use, in ohms, where the zero was taken on another; else 0
     * @param otherCountsOhm offset of that other range; else 0
     */
    public record Zero(double driftOhm, double countsOhm, double otherCountsOhm) {
        /** On the same range, just now. */
        public static final Zero FRESH = new Zero(0, 0, 0);

        public Zero {
            if (!(driftOhm >= 0 && countsOhm >= 0 && otherCountsOhm >= 0)) {
                throw new NotAccepted(
                        "test_conditions.zero_drift_counts",
                        NotAccepted.given(driftOhm, "Ω"),
                        NotAccepted.given(countsOhm, "Ω"),
                        NotAccepted.given(otherCountsOhm, "Ω"));
            }
        }

        /** Whether so much drift puts the readings in between in doubt: more than two counts and a tenth of the tightest limit. */
        public boolean isInDoubt(double resolutionOhm, double tightestLimitOhm) {
            return driftOhm > Math.max(2 * resolutionOhm, tightestLimitOhm / 10);
        }
    }
}
