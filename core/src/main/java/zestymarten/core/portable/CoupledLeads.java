package zestymarten.core.portable;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;

/**
 * Leads coupled in a row: which is bad, in few measurements. One core is read from the start to couplings.
 *
 * <p>Method: the differences between neighbouring readings are judged, never the whole alone. A stretch with more than all its
 * leads may have holds a bad one and is halved. A stretch with more than one lead may have could hide one in the slack of the
 * others, and is halved too; one with no more than that cannot. Cost: about the logarithm of their number for one bad lead;
 * at most one reading a lead to clear them all.
 *
 * @param leads how many
 * @param suspects the leads among which one is bad or may hide, from 1; empty where none is
 * @param next the lead at whose far end to measure next, from 1; empty once it is known, or nothing is wrong
 * @param says what is known
 */
public record CoupledLeads(int leads, List<Integer> suspects, Optional<Integer> next, Message says) {
    /** More are never coupled. */
    public static final int MAX = 60;

    private static final double CONTACT_OHM = 0.02;

    public CoupledLeads {
        suspects = List.copyOf(suspects);
    }

    /** Leads between two readings, the first from 1, with the resistance between them; infinite for no continuity. */
    private record LeadStretch(int first, int last, double ohm) {
        int count() {
            return last - first + 1;
        }

        boolean isBad(double eachOhm) {
            return ohm > count() * eachOhm;
        }

        /** Whether a lead above its own limit could hide in what the others leave. */
        boolean mayHide(double eachOhm) {
            return ohm > eachOhm;
        }

        List<Integer> numbers() {
            List<Integer> numbers = new ArrayList<>();
            for (int i = first; i <= last; i++) {
                numbers.add(i);
            }
            return numbers;
        }
    }

    /**
     * What is known of a row.
     *
     * @param eachOhm what one lead may have with its coupling, above 0
     * @param read resistance from the start to the far end of a lead, by its number from 1; infinite for no continuity
     * @throws IllegalArgumentException for fewer than 2 or more than {@value #MAX} leads, or a limit that is not above 0
     */
    public static CoupledLeads of(int leads, double eachOhm, Map<Integer, Double> read) {
        if (leads < 2 || leads > MAX || !(eachOhm > 0)) {
            throw new NotAccepted("coupled_leads.row_leads_read", MAX, leads, NotAccepted.given(eachOhm, "Ω"));
        }
        Double whole = read.get(leads);
        if (whole == null) {
            return asks(leads, all(leads), leads, Message.of("coupled_leads.read_whole_row_first"));
        }
        List<LeadStretch> stretches = stretches(new TreeMap<>(read));
        if (stretches.stream().anyMatch(each -> each.ohm() < -CONTACT_OHM)) {
            return new CoupledLeads(
                    leads, List.of(), Optional.empty(), Message.of("coupled_leads.these_readings_contradict_each"));
        }
        Comparator<LeadStretch> worst = Comparator.comparingDouble(each -> each.ohm() - each.count() * eachOhm);
        Optional<LeadStretch> bad =
                stretches.stream().filter(each -> each.isBad(eachOhm)).max(worst);
        if (bad.isPresent()) {
            return bad(leads, bad.get());
        }
        return stretches.stream()
                .filter(each -> each.mayHide(eachOhm))
                .max(Comparator.comparingDouble(LeadStretch::ohm))
                .map(each -> hides(leads, eachOhm, whole, each))
                .orElseGet(() -> new CoupledLeads(
                        leads,
                        List.of(),
                        Optional.empty(),
                        Message.of(
                                "coupled_leads.whole_row_reads_no",
                                Message.figure(whole, "Ω"),
                                Message.figure(eachOhm, "Ω"))));
    }

    private static List<Integer> all(int leads) {
        return new LeadStretch(1, leads, 0).numbers();
    }

    /** Behind a coupling without continuity nothing is known of the rest. */
    private static List<LeadStretch> stretches(TreeMap<Integer, Double> read) {
        List<LeadStretch> stretches = new ArrayList<>();
        int first = 1;
        double before = 0;
        for (Map.Entry<Integer, Double> each : read.entrySet()) {
            stretches.add(new LeadStretch(first, each.getKey(), each.getValue() - before));
            if (each.getValue().isInfinite()) {
                return stretches;
            }
            first = each.getKey() + 1;
            before = each.getValue();
        }
        return stretches;
    }

    private static CoupledLeads bad(int leads, LeadStretch bad) {
        if (bad.count() == 1) {
            return new CoupledLeads(
                    leads,
                    bad.numbers(),
                    Optional.empty(),
                    Message.of("coupled_leads.lead_or_coupling_bad", bad.first()));
        }
        int maximum = (int) Math.ceil(Math.log(bad.count()) / Math.log(2) - 1e-9);
        return asks(
                leads,
                bad.numbers(),
                middle(bad),
                Message.of("coupled_leads.one_leads_most_measure", bad.first(), bad.last(), maximum, middle(bad)));
    }

    private static CoupledLeads hides(int leads, double eachOhm, double whole, LeadStretch slack) {
        return asks(
                leads,
                slack.numbers(),
                middle(slack),
                Message.of(
                        "coupled_leads.row_as_whole_within",
                        Message.figure(whole, "Ω"),
                        Message.figure(leads * eachOhm, "Ω"),
                        Message.figure(slack.ohm(), "Ω"),
                        slack.first(),
                        slack.last(),
                        middle(slack)));
    }

    private static int middle(LeadStretch stretch) {
        return (stretch.first() + stretch.last() - 1) / 2;
    }

    private static CoupledLeads asks(int leads, List<Integer> suspects, int next, Message says) {
        return new CoupledLeads(leads, suspects, Optional.of(next), says);
    }
}
