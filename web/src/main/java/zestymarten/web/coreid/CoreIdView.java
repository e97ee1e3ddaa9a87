package zestymarten.web.coreid;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import zestymarten.core.coreid.ContinuityMatching;
import zestymarten.core.coreid.GroupCodes;
import zestymarten.core.coreid.IdentificationMethod;
import zestymarten.core.coreid.MarkedVisits;
import zestymarten.core.coreid.Sorting;
import zestymarten.core.coreid.Tags;
import zestymarten.web.platform.TypedForm;
import zestymarten.web.platform.Words;

/**
 * The desk as ready text.
 *
 * @param step what to do now: {@code there}, {@code here} or {@code done}; empty for a method without a round trip
 * @param linkHere cards to be linked here before the trip; {@code linkThere} there
 * @param pairs every core here with the one there, 0 where it is not identified; empty until something is known
 * @param visits those that are still practised where there is a return; none for another method
 * @param carried what was typed in fields that are not shown
 * @param faulty whether a core is open or shorted, or the groups fit nothing
 * @param toFind names of the cores of one end, for which the form has fields
 */
record CoreIdView(
        int cores,
        boolean hasReturn,
        List<MethodLine> methods,
        IdentificationMethod.MethodKind kind,
        String step,
        List<LinkView> linkHere,
        List<LinkView> linkThere,
        int measurements,
        List<String> says,
        List<CorePairView> pairs,
        List<String> toFind,
        List<Tag> tags,
        List<VisitLine> visits,
        List<ContinuityMatching.CoreResult> through,
        List<CoreIdForm.CarriedField> carried,
        boolean faulty) {

    /** A method with its figures as text. */
    record MethodLine(
            IdentificationMethod.MethodKind kind,
            String name,
            String does,
            String counts,
            String minutes,
            String cannot) {}

    /** Cores that are linked together; a core alone stays free. */
    record LinkView(List<String> cores) {
        public boolean together() {
            return cores.size() > 1;
        }
    }

    /** A core here and the one there. */
    record CorePairView(int here, int there) {}

    /** A visit there and what is to be found here after it. */
    record VisitLine(int number, String there, boolean pair) {}

    /** The resistor of a core there. */
    record Tag(int core, String ohms) {}

    static CoreIdView of(TypedForm typed) {
        CoreIdForm form = new CoreIdForm(typed);
        int cores = form.cores();
        List<IdentificationMethod> methods = IdentificationMethod.all(cores, form.hasReturn(), form.apart());
        IdentificationMethod.MethodKind kind = form.kind(methods);
        Optional<Sorting> sorting = form.sorting(kind, cores);
        boolean byVisits = kind == IdentificationMethod.MethodKind.PAIR_AND_EARTH
                || kind == IdentificationMethod.MethodKind.ONE_BY_ONE;
        MarkedVisits visits = MarkedVisits.of(kind, cores);
        List<Integer> there =
                sorting.map(Sorting::there).orElseGet(() -> byVisits ? form.byVisits(visits) : form.byTags(cores));
        int counted = sorting.map(Sorting::cores).orElse(cores);
        return new CoreIdView(
                cores,
                form.hasReturn(),
                lines(methods, typed.figure("walk", 5)),
                kind,
                sorting.map(CoreIdView::step).orElse(""),
                sorting.map(each -> linked(each.linkedHere(), cores)).orElse(List.of()),
                sorting.flatMap(Sorting::linkedThere)
                        .map(each -> linked(each, cores))
                        .orElse(List.of()),
                sorting.map(each -> each.linkedHere().measurements()).orElse(0),
                says(sorting, kind, there, visits),
                pairs(there, cores),
                IntStream.rangeClosed(1, counted)
                        .mapToObj(core -> name(core, cores))
                        .toList(),
                form.tags().map(each -> tags(each, form.hasReturn(), cores)).orElse(List.of()),
                byVisits && form.hasReturn() ? visitLines(visits) : List.of(),
                form.through(cores),
                form.carried(shown(
                        sorting,
                        kind,
                        counted,
                        form.hasReturn(),
                        byVisits && form.hasReturn() ? visits.visits().size() : 0)),
                sorting.filter(each -> !each.there().isEmpty() && !each.whole()).isPresent());
    }

    /** The fields that the page shows for cores; those of parts behind the cores are always there. */
    private static Set<String> shown(
            Optional<Sorting> sorting, IdentificationMethod.MethodKind kind, int cores, boolean hasReturn, int visits) {
        boolean tags = kind == IdentificationMethod.MethodKind.TAGS;
        Set<String> shown = new HashSet<>(tags && !hasReturn ? Set.of("closing") : Set.of());
        for (int core = 1; core <= cores; core++) {
            shown.add("w" + core);
            if (sorting.isPresent()) {
                shown.add("f" + core);
            }
            if (sorting.flatMap(Sorting::linkedThere).isPresent()) {
                shown.add("g" + core);
            }
            if (tags && (hasReturn || core > 1)) {
                shown.add("r" + core);
            }
        }
        for (int visit = 1; visit <= visits; visit++) {
            shown.addAll(List.of("e" + visit, "q" + visit));
        }
        return shown;
    }

    private static String step(Sorting sorting) {
        if (sorting.linkedThere().isEmpty()) {
            return "there";
        }
        return sorting.there().isEmpty() ? "here" : "done";
    }

    /** The core beyond the bundle is its return. */
    private static String name(int core, int cores) {
        return core > cores ? "R" : String.valueOf(core);
    }

    private static List<LinkView> linked(GroupCodes groups, int cores) {
        return groups.groups().stream()
                .map(group -> new LinkView(
                        group.stream().map(core -> name(core, cores)).toList()))
                .toList();
    }

    private static List<MethodLine> lines(List<IdentificationMethod> methods, double tripMinutes) {
        return methods.stream()
                .map(each -> new MethodLine(
                        each.kind(),
                        Words.say(each.kind().words()),
                        Words.say(each.kind().does()),
                        each.isPossible()
                                ? Words.say(
                                        "core_id_view.links_most_measurements",
                                        each.trips(),
                                        each.links(),
                                        each.measurements())
                                : "",
                        each.isPossible()
                                ? Words.say("core_id_view.about_min", Math.round(each.minutes(tripMinutes)))
                                : "",
                        Words.say(each.cannot())))
                .toList();
    }

    private static List<CorePairView> pairs(List<Integer> there, int cores) {
        List<CorePairView> pairs = new ArrayList<>();
        for (int i = 0; i < Math.min(cores, there.size()); i++) {
            pairs.add(new CorePairView(i + 1, there.get(i) > cores ? 0 : there.get(i)));
        }
        return pairs;
    }

    private static List<String> says(
            Optional<Sorting> sorting, IdentificationMethod.MethodKind kind, List<Integer> there, MarkedVisits visits) {
        if (sorting.isPresent() || there.isEmpty()) {
            return sorting.map(each -> Words.all(each.says())).orElse(List.of());
        }
        if (kind != IdentificationMethod.MethodKind.TAGS) {
            long left = there.stream().filter(each -> each == 0).count();
            return List.of(
                    left == 0
                            ? Words.say("core_id_view.every_core_identified", unproved(visits))
                            : Words.say("core_id_view.cores_not_identified_yet", left, there.size()));
        }
        long identified = there.stream().filter(each -> each > 0).distinct().count();
        return List.of(
                identified == there.size()
                        ? Words.say("core_id_view.every_core_identified_by")
                        : Words.say("core_id_view.cores_identified_one_without", identified, there.size()));
    }

    private static String unproved(MarkedVisits visits) {
        return visits.unproved().isEmpty()
                ? ""
                : Words.say(
                        "core_id_view.core_there_known_by", visits.unproved().get(0));
    }

    private static List<VisitLine> visitLines(MarkedVisits visits) {
        List<VisitLine> lines = new ArrayList<>();
        for (MarkedVisits.Visit visit : visits.visits()) {
            boolean pair = !visit.together().isEmpty();
            lines.add(new VisitLine(
                    lines.size() + 1,
                    Words.say("core_id_view.core_return", visit.toReturn(), pair, visit.together()),
                    pair));
        }
        return lines;
    }

    private static List<Tag> tags(Tags tags, boolean hasReturn, int cores) {
        List<Double> apart = tags.apart(0.01, hasReturn);
        return IntStream.rangeClosed(1, Math.min(cores, apart.size()))
                .mapToObj(core -> new Tag(core, Words.figure(apart.get(core - 1), "Ω")))
                .toList();
    }

    /** Whether every core is identified. */
    public boolean isIdentified() {
        return !pairs.isEmpty() && pairs.stream().noneMatch(each -> each.there() == 0);
    }
}
