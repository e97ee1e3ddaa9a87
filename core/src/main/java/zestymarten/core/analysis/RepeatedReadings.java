package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import zestymarten.core.finding.Finding;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Verdict;

/**
 * Readings of the same points in the same setup, and whether they agree.
 *
 * <p>Rules: readings that agree all count as evidence. Where a path was read at one time and none at another, the wire is
 * whole but not always: after cleaning that is the surface of a contact, else it is intermittent. A figure that failed and
 * then passed without a cause is intermittent too. Nothing that once failed passes silently because it was read again. A
 * single open one is not a failure yet: where it read joined as soon as the probes were put on anew, it was the probe.
 * Through mating faces it counts: there the contact is what is tested.
 * Cost: linear.
 */
final class RepeatedReadings {
    private static final double UNLIKE = 1.5;

    private final Design design;
    private final List<Observation> valid = new ArrayList<>();
    private final List<Disagreement> disagreements = new ArrayList<>();
    private final Set<Observation.Key> unsteady = new HashSet<>();

    /** A reading that shows a fault, and a later or earlier one that does not. */
    private record Disagreement(Observation failed, Observation passed, boolean surface) {}

    RepeatedReadings(Design design, List<Observation> all) {
        this.design = design;
        Map<Observation.Key, List<Observation>> byKey = new LinkedHashMap<>();
        all.stream()
                .filter(each -> each.judgement().contact() != Contact.UNKNOWN)
                .forEach(each -> byKey.computeIfAbsent(each.key(), any -> new ArrayList<>())
                        .add(each));
        byKey.values().forEach(this::take);
    }

    private void take(List<Observation> all) {
        List<Observation> repeated = isProbe(all) ? all.subList(1, all.size()) : all;
        Optional<Observation> open =
                repeated.stream().filter(each -> isApart(each)).findFirst();
        Optional<Observation> joined =
                repeated.stream().filter(each -> isJoined(each)).reduce((first, last) -> last);
        if (open.isPresent() && joined.isPresent()) {
            unsteady.add(open.get().key());
        }
        if (open.isPresent() && joined.isPresent() && open.get().judgement().verdict() == Verdict.FAIL) {
            boolean later = joined.get().number() > open.get().number();
            disagreements.add(new Disagreement(
                    open.get(), joined.get(), later && repeated.stream().anyMatch(RepeatedReadings::isCleaned)));
            valid.add(joined.get());
            return;
        }
        Observation last = repeated.get(repeated.size() - 1);
        boolean passes =
                last.judgement().verdict() == Verdict.PASS || last.judgement().verdict() == Verdict.MARGINAL;
        Optional<Observation> failed = repeated.stream()
                .filter(each ->
                        each.judgement().verdict() == Verdict.FAIL && isFarFrom(each.judgement(), last.judgement()))
                .findFirst();
        if (passes && failed.isPresent()) {
            disagreements.add(new Disagreement(failed.get(), last, isCleaned(last)));
            valid.add(last);
        } else if (last.judgement().correctedOhm().isPresent()) {
            valid.add(last);
        } else {
            valid.addAll(repeated.stream()
                    .filter(each ->
                            each.judgement().contact() == last.judgement().contact())
                    .toList());
        }
    }

    private boolean isProbe(List<Observation> all) {
        return all.size() > 1
                && isApart(all.get(0))
                && isJoined(all.get(1))
                && all.get(1).since() == Observation.Since.PROBED_ANEW
                && !design.isMated(all.get(0).a(), all.get(0).b());
    }

    private static boolean isApart(Observation each) {
        return each.judgement().contact() == Contact.APART;
    }

    private static boolean isJoined(Observation each) {
        return each.judgement().contact() == Contact.JOINED || each.judgement().contact() == Contact.BRIDGED;
    }

    private static boolean isCleaned(Observation each) {
        return each.since() == Observation.Since.CLEANED;
    }

    private static boolean isFarFrom(Judgement one, Judgement other) {
        OptionalDouble a = one.correctedOhm();
        OptionalDouble b = other.correctedOhm();
        double doubt = one.uncertaintyOhm().orElse(0) + other.uncertaintyOhm().orElse(0);
        return a.isPresent() && b.isPresent() && Math.abs(a.getAsDouble() - b.getAsDouble()) > UNLIKE * doubt;
    }

    /** What counts for the figures: the last of those that are figures, all of those that agree. */
    List<Observation> valid() {
        return List.copyOf(valid);
    }

    /** What counts for the figures without what jumps and without the points at which readings do not agree. */
    List<Observation> steady() {
        return valid.stream()
                .filter(each -> each.judgement().contact() != Contact.UNSTABLE && !unsteady.contains(each.key()))
                .toList();
    }

    /** What does not agree, as findings. */
    List<ExplainedFinding> findings() {
        return disagreements.stream()
                .map(each -> {
                    Observation at = each.passed();
                    List<String> names = design.namesBetween(at.a(), at.b());
                    boolean surface = each.surface()
                            || (design.isMated(at.a(), at.b())
                                    && isApart(each.failed())
                                    && at.number() > each.failed().number());
                    Finding finding = surface
                            ? new Finding.ContactSurface(names, at.a(), at.b())
                            : new Finding.Intermittent(names, at.a(), at.b());
                    int first = Math.min(each.failed().number(), at.number());
                    int second = Math.max(each.failed().number(), at.number());
                    return ExplainedFinding.shown(finding, List.of(first, second), design.functionsOf(names));
                })
                .toList();
    }
}
