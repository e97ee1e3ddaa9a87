package zestymarten.web.search;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.meter.Meters;
import zestymarten.web.platform.Words;
import zestymarten.web.testrun.TestRuns;
import zestymarten.web.unit.Units;

/** One field for everything: a name, a serial number, a finding. What is found leads to its page. */
@Controller
class SearchController {
    private static final int MAX_OF_A_KIND = 12;

    private final Assemblies assemblies;
    private final Units units;
    private final TestRuns runs;
    private final Meters meters;

    SearchController(Assemblies assemblies, Units units, TestRuns runs, Meters meters) {
        this.assemblies = assemblies;
        this.units = units;
        this.runs = runs;
        this.meters = meters;
    }

    /** Something found: what it is called, what is said of it, where it is. */
    record Hit(String title, String detail, String path) {}

    /** What was found of one kind. */
    record Group(String kind, List<Hit> hits, boolean more) {
        static Group of(String kind, Stream<Hit> hits) {
            List<Hit> first = hits.limit(MAX_OF_A_KIND + 1).toList();
            boolean more = first.size() > MAX_OF_A_KIND;
            return new Group(kind, more ? first.subList(0, MAX_OF_A_KIND) : first, more);
        }
    }

    @GetMapping("/search")
    String search(@RequestParam(defaultValue = "") String q, Model model) {
        String text = q.strip();
        model.addAttribute("q", text);
        model.addAttribute(
                "groups",
                text.isEmpty()
                        ? List.of()
                        : Stream.of(assemblies(text), units(text), records(text), meters(text))
                                .filter(each -> !each.hits().isEmpty())
                                .toList());
        return "search/search";
    }

    private Group assemblies(String text) {
        return Group.of(
                Words.say("search_controller.assemblies"),
                assemblies.page(text, 0).stream()
                        .map(each -> new Hit(
                                each.name(),
                                Words.say("search_controller.revision", each.kind(), each.number()),
                                "/assemblies/" + each.id())));
    }

    private Group units(String text) {
        return Group.of(
                Words.say("search_controller.units"),
                units.page(text, "", 0).stream()
                        .map(each -> new Hit(
                                each.serial(),
                                each.assembly() + ", " + Words.say(each.state()),
                                "/units/" + each.id())));
    }

    private Group records(String text) {
        return Group.of(
                Words.say("search_controller.records"),
                runs.ended(text, TestRuns.ALL, MAX_OF_A_KIND + 1).stream()
                        .map(each -> new Hit(
                                each.serial() + ", " + each.assembly(),
                                String.valueOf(each.findings()),
                                "/runs/" + each.id() + "/record")));
    }

    private Group meters(String text) {
        String small = text.toLowerCase(Locale.ROOT);
        return Group.of(
                Words.say("search_controller.meters"),
                meters.all().stream()
                        .filter(each -> (each.name() + " " + each.note())
                                .toLowerCase(Locale.ROOT)
                                .contains(small))
                        .map(each -> new Hit(each.name(), each.note(), "/meters/" + each.id())));
    }
}
