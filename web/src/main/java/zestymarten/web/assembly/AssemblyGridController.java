package zestymarten.web.assembly;

import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyChanges;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.Connector;
import zestymarten.core.quantity.Problem;
import zestymarten.web.drawing.AssemblyDrawing;
import zestymarten.web.platform.ProblemView;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.TypedForm;
import zestymarten.web.platform.Words;

/** Describes an assembly in a grid: wires, parts, positions, joints and connectors, each in a table of its own. */
@Controller
class AssemblyGridController {
    private static final int EMPTY_ROWS = 2;
    private static final AssemblyGrid FRESH = new AssemblyGrid(Map.of("kind", AssemblyKind.HARNESS.code()));

    private final Assemblies assemblies;
    private final AssemblyViews views;

    AssemblyGridController(Assemblies assemblies, AssemblyViews views) {
        this.assemblies = assemblies;
        this.views = views;
    }

    /** A cell with what was typed and what is wrong with it. */
    record CellView(String name, AssemblyTable.TableColumn column, String value, String problem) {}

    /** A table with the rows that it begins with, of so many in all, the last ones empty. */
    record TableView(
            String code,
            int total,
            String title,
            String help,
            List<AssemblyTable.TableColumn> columns,
            List<List<CellView>> rows) {}

    /** @param from a template to begin from; empty, or any other text, for an empty grid */
    @GetMapping("/assemblies/grid")
    ModelAndView fresh(@RequestParam(defaultValue = "") String from) {
        AssemblyGrid grid = AssemblyTemplate.of(from)
                .map(template -> AssemblyGrid.of(template.assembly()))
                .orElse(FRESH);
        return page(0, 0, grid, List.of(), HttpStatus.OK);
    }

    @GetMapping("/assemblies/{id}/grid")
    ModelAndView edit(@PathVariable long id) {
        Revision revision = assemblies.latest(id);
        return page(id, revision.number(), AssemblyGrid.of(revision.assembly()), List.of(), HttpStatus.OK);
    }

    private static ModelAndView page(
            long id, int base, AssemblyGrid grid, List<Problem> problems, HttpStatusCode status) {
        Map<String, String> wrong = problems.stream()
                .map(ProblemView::of)
                .collect(Collectors.toMap(ProblemView::where, ProblemView::text, (first, next) -> first + " " + next));
        ModelAndView page = new ModelAndView("assembly/grid");
        page.setStatus(status);
        page.addObject(
                "title",
                id == 0
                        ? Words.say("assembly_grid_controller.new_assembly")
                        : Words.say("assembly_grid_controller.edit", grid.field("name")));
        page.addObject("id", id);
        page.addObject("base", base);
        page.addObject("grid", grid);
        page.addObject("shown", AssemblyGrid.SHOWN_ROWS);
        page.addObject("most", AssemblyGrid.MAX_ROWS);
        Map<AssemblyTable, List<Integer>> rows = grid.rows();
        page.addObject(
                "tables",
                List.of(AssemblyTable.values()).stream()
                        .map(each -> view(each, rows.getOrDefault(each, List.of()), grid, wrong))
                        .toList());
        page.addObject("kinds", AssemblyViews.kinds());
        page.addObject(
                "problems",
                ProblemView.all(problems).stream()
                        .filter(each -> !each.where().contains("."))
                        .toList());
        page.addObject("count", problems.size());
        return page;
    }

    private static TableView view(
            AssemblyTable table, List<Integer> filled, AssemblyGrid grid, Map<String, String> wrong) {
        int total = EMPTY_ROWS + (filled.isEmpty() ? 0 : filled.get(filled.size() - 1) + 1);
        List<List<CellView>> rows = IntStream.range(0, Math.min(total, AssemblyGrid.SHOWN_ROWS))
                .mapToObj(row -> table.columns().stream()
                        .map(column -> {
                            String name = AssemblyGrid.cell(table, row, column);
                            return new CellView(name, column, grid.field(name), wrong.getOrDefault(name, ""));
                        })
                        .toList())
                .toList();
        return new TableView(table.code(), total, table.title(), table.help(), table.columns(), rows);
    }

    /** What the grid says as it stands: the drawing and what each wire may read, or what is wrong. Nothing is saved. */
    @PostMapping("/assemblies/grid/check")
    String check(@RequestParam Map<String, String> fields, Model model) {
        AssemblyGrid grid = AssemblyGrid.sent(fields);
        AssemblyGrid.GridResult reading = grid.read();
        model.addAttribute("problems", ProblemView.all(reading.problems()));
        model.addAttribute("drawing", reading.assembly().map(each -> AssemblyDrawing.of(each, List.of())));
        model.addAttribute(
                "limits",
                reading.assembly()
                        .map(each -> limits(grid, each, (int) TypedForm.number(fields.getOrDefault("window", "0"))))
                        .orElse(Map.of()));
        return "assembly/grid-check";
    }

    /** What the wires may read of which the rows show, from a row on. */
    private Map<String, String> limits(AssemblyGrid grid, Assembly assembly, int window) {
        List<Integer> rows = grid.rows().getOrDefault(AssemblyTable.WIRES, List.of());
        int first = (int) rows.stream().filter(row -> row < window).count();
        List<AssemblyView.WireRow> wires = views.wires(assembly, first);
        return IntStream.range(0, Math.min(Math.min(rows.size() - first, wires.size()), AssemblyGrid.SHOWN_ROWS))
                .boxed()
                .collect(Collectors.toMap(
                        each -> "wires." + rows.get(first + each),
                        each -> Words.say(
                                "assembly_grid_controller.good_max",
                                wires.get(each).nominal(),
                                wires.get(each).limit())));
    }

    @PostMapping("/assemblies/grid")
    ModelAndView create(@RequestParam Map<String, String> fields, Principal who) {
        return saved(0, fields, assembly -> assemblies.create(assembly, who.getName()));
    }

    /** Saves the next revision; if somebody saved one meanwhile, says what differs before it is saved over. */
    @PostMapping("/assemblies/{id}/grid")
    ModelAndView save(@PathVariable long id, @RequestParam Map<String, String> fields, Principal who) {
        Revision latest = assemblies.latest(id);
        int base = (int) TypedForm.number(fields.getOrDefault("base", ""));
        if (base != latest.number()) {
            AssemblyGrid grid = AssemblyGrid.sent(fields);
            ModelAndView page = page(id, latest.number(), grid, grid.read().problems(), HttpStatus.CONFLICT);
            page.addObject("meanwhile", latest);
            page.addObject(
                    "changes",
                    grid.read()
                            .assembly()
                            .map(mine -> AssemblyChanges.between(latest.assembly(), mine)
                                    .lines())
                            .orElse(List.of()));
            return page;
        }
        Assembly before = latest.assembly();
        return saved(id, fields, assembly -> {
            Assembly after = kept(assembly, before);
            return after.equals(before) ? latest : assemblies.revise(id, after, who.getName());
        });
    }

    private ModelAndView saved(long id, Map<String, String> fields, Function<Assembly, Revision> saving) {
        AssemblyGrid grid = AssemblyGrid.sent(fields);
        AssemblyGrid.GridResult reading = grid.read();
        int base = (int) TypedForm.number(fields.getOrDefault("base", ""));
        Optional<Assembly> read = reading.assembly();
        if (read.isEmpty()) {
            return page(id, base, grid, reading.problems(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        try {
            return new ModelAndView(
                    "redirect:/assemblies/" + saving.apply(read.get()).assemblyId());
        } catch (Refusal refused) {
            return page(id, base, grid, refused.problems(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
    }

    /** What the grid does not ask for stays: how connectors are reached, and the limits of the assembly. */
    private static Assembly kept(Assembly changed, Assembly before) {
        Map<String, Connector> known =
                before.connectors().stream().collect(Collectors.toMap(Connector::id, each -> each));
        List<Connector> connectors = changed.connectors().stream()
                .map(each -> new Connector(
                        each.id(),
                        each.name(),
                        each.face(),
                        each.pins(),
                        Optional.ofNullable(known.get(each.id()))
                                .map(Connector::reach)
                                .orElse(each.reach())))
                .toList();
        return changed.withConnectors(connectors).withAllowances(before.allowances());
    }
}
