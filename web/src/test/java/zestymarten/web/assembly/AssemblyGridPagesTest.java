package zestymarten.web.assembly;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Component;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** Assemblies with parts, described in the grid by keyboard, without a file. */
@ExtendWith(Workshop.class)
class AssemblyGridPagesTest {
    private final Site site;
    private final Browser browser;

    AssemblyGridPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    @BeforeEach
    void signIn() {
        browser.desktop().signIn("bench");
    }

    private static String cell(String name) {
        return "[name='" + name + "']";
    }

    private String value(String cell) {
        return Objects.requireNonNull(browser.find(cell(cell)).getDomProperty("value"));
    }

    private Browser type(String cell, String text) {
        return browser.fill(cell(cell), text);
    }

    /** Cells are separated by tabs and rows by line feeds, as a spreadsheet copies them. */
    private void paste(String cell, String text) {
        browser.find(cell(cell)).click();
        browser.run(
                "const data = new DataTransfer(); data.setData('text/plain', arguments[1]);"
                        + "document.querySelector(arguments[0]).dispatchEvent("
                        + "new ClipboardEvent('paste', {clipboardData: data, bubbles: true, cancelable: true}))",
                cell(cell),
                text);
    }

    private Assembly saved() {
        browser.click(".head .do").waitForPath("/assemblies/\\d+");
        long id = Long.parseLong(browser.path().replaceAll("\\D", ""));
        return site.bean(Assemblies.class).latest(id).assembly();
    }

    @Test
    void aHarnessWithSpliceFuseSwitchAndThreeConnectorsFromNothing() {
        browser.open("/assemblies/grid");
        type("name", site.fresh("Lamp harness"));
        paste(
                "wires.0.id",
                "W1\tJ1.1\tF.1\tRD\tsupply\t0.4\t1.5\nW2\tF.2\tS1\tRD\t\t0.5\t1.5\nW3\tS1\tJ2.1\tRD\tlamp left\t2\t0.75\n"
                        + "W4\tS1\tJ3.1\tRD\tlamp right\t2.5\t0.75\n");
        type("parts.0.id", "F1");
        type("parts.0.a", "F.1");
        type("parts.0.b", "F.2");
        type("parts.1.id", "SW1");
        browser.run("const s = document.querySelector(\"[name='parts.1.kind']\"); s.value = 'switch';"
                + "s.dispatchEvent(new Event('change', {bubbles: true}))");
        type("parts.1.a", "J2.1");
        type("parts.1.b", "J2.2");
        type("positions.0.id", "off");
        type("positions.1.id", "on");
        type("positions.1.closed", "SW1");
        browser.see("output[data-row='wires.0']", "max");
        assertThat(browser.count("#check svg")).isEqualTo(1);
        Assembly harness = saved();
        assertThat(harness.conductors()).hasSize(4);
        assertThat(harness.conductors().get(2).lengthM().orElse(0)).isEqualTo(2);
        assertThat(harness.components())
                .extracting(Component::kind)
                .containsExactly(Component.ComponentKind.FUSE, Component.ComponentKind.SWITCH);
        assertThat(harness.states().get(1).closed()).containsExactly("SW1");
        assertThat(harness.connectors()).extracting(each -> each.id()).containsExactly("J1", "F", "J2", "J3");
    }

    @Test
    void theNextRowContinuesThePatternAndEveryStepCanBeUndone() {
        browser.open("/assemblies/grid");
        type("wires.0.id", "W1");
        type("wires.0.from", "J1.5");
        type("wires.0.to", "J2.5");
        browser.find(cell("wires.1.id")).sendKeys(Keys.chord(Keys.CONTROL, Keys.SHIFT, "d"));
        assertThat(value("wires.1.from")).isEqualTo("J1.6");
        assertThat(value("wires.1.to")).isEqualTo("J2.6");
        assertThat(browser.has(cell("wires.2.id")))
                .as("there is always an empty row")
                .isTrue();
        browser.find(cell("wires.1.id")).sendKeys(Keys.chord(Keys.CONTROL, "z"));
        assertThat(value("wires.1.from")).isEmpty();
        browser.find(cell("wires.1.id")).sendKeys(Keys.chord(Keys.CONTROL, "y"));
        assertThat(value("wires.1.from")).isEqualTo("J1.6");
        browser.find(cell("wires.0.from")).sendKeys(Keys.ENTER);
        assertThat(browser.run("return document.activeElement.name")).isEqualTo("wires.1.from");
    }

    @Test
    void aProblemStandsAtItsCellAndNothingTypedIsLost() {
        browser.open("/assemblies/grid");
        type("name", site.fresh("Wrong cells"));
        type("wires.0.from", "J1.1");
        type("wires.0.to", "J2.1");
        type("wires.0.length_m", "far");
        browser.find(cell("wires.0.function")).click();
        browser.see("td:has(" + cell("wires.0.length_m") + ") .wrong", "“far” is not accepted; expected a number.");
        browser.click(".head .do").see(".say.problem", "One problem. Nothing is saved until it is corrected.");
        assertThat(value("wires.0.length_m")).isEqualTo("far");
        assertThat(browser.attribute(cell("wires.0.length_m"), "aria-invalid")).isEqualTo("true");
    }

    @Test
    void whatWasTypedIsKeptOnTheDeviceUntilItIsSaved() {
        browser.open("/assemblies/grid");
        type("name", "Half described");
        type("wires.0.from", "J1.1");
        browser.find(cell("wires.0.to")).click();
        browser.open("/assemblies").open("/assemblies/grid");
        browser.click("#draft [data-take]");
        assertThat(value("name")).isEqualTo("Half described");
        assertThat(value("wires.0.from")).isEqualTo("J1.1");
        browser.run("localStorage.clear()");
    }

    @Test
    void whoSavesSecondSeesTheDifferenceFirst() {
        long id = site.wiring(site.fresh("Two at once"), "wire,from,to\nW1,J1.1,J2.1\nW2,J1.2,J2.2\n");
        browser.open("/assemblies/" + id + "/grid");
        Assemblies assemblies = site.bean(Assemblies.class);
        Assembly before = assemblies.latest(id).assembly();
        assemblies.revise(
                id,
                new Assembly(
                        before.name(),
                        before.kind(),
                        "changed meanwhile",
                        before.connectors(),
                        before.joints(),
                        before.conductors().subList(0, 1),
                        before.components(),
                        before.states(),
                        before.bonded(),
                        before.allowances()),
                "lead");
        type("wires.0.length_m", "3");
        browser.click(".head .do")
                .see(".say.caution", "Revision 2 was saved meanwhile by lead. Your rows are still here.")
                .see(".say.caution", "added: wire W2")
                .see(".say.caution", "changed: wire W1");
        assertThat(saved().conductors()).hasSize(2);
        assertThat(assemblies.latest(id).number()).isEqualTo(3);
    }

    private static final int LARGE = 2000;

    private long large() {
        return site.wiring(
                site.fresh("Machine of two thousand wires"),
                IntStream.rangeClosed(1, LARGE)
                        .mapToObj(i -> "W%d,J%d.%d,K%d.%d,2.5,0.75"
                                .formatted(i, 1 + i / 100, 1 + i % 100, 1 + i / 100, 1 + i % 100))
                        .collect(Collectors.joining("\n", "wire,from,to,length_m,area_mm2\n", "\n")));
    }

    @Test
    void aLargeAssemblyIsTypedInAndSavedWithoutWaiting() {
        long id = large();
        browser.open("/assemblies/" + id + "/grid");
        assertThat(browser.text("#wires [data-range]")).isEqualTo("Rows 1 to 100 of 2002");
        browser.see("output[data-row='wires.0']", "max");
        browser.run("""
                window.slow = [];
                new PerformanceObserver((list) => list.getEntries().forEach((each) => {
                  const taken = each.processingEnd - each.processingStart;
                  if (['keydown', 'keyup'].includes(each.name) && taken >= 50) {
                    window.slow.push(taken);
                  }
                })).observe({ type: 'event', durationThreshold: 16 });""");
        type("wires.0.function", "main contactor of the left drive");
        assertThat((List<?>) browser.run("return window.slow"))
                .as("ms of the keys that took 50 and more in the page; a busy machine holds one or two up")
                .hasSizeLessThan(3);
        browser.click("#wires [data-turn='1']").see("#wires [data-range]", "Rows 101 to 200 of 2002");
        assertThat(value("wires.100.id")).isEqualTo("W101");
        browser.see("output[data-row='wires.100']", "max");
        type("wires.100.length_m", "far");
        type("wires.101.length_m", "7.5");
        browser.click("#wires [data-turn='-1']").see("#check [data-elsewhere]", "Row 101: “far” is not accepted");
        assertThat(value("wires.0.function")).isEqualTo("main contactor of the left drive");
        browser.click("#check [data-elsewhere] button");
        type("wires.100.length_m", "2.5");
        long from = System.nanoTime();
        Assembly after = saved();
        assertThat(Duration.ofNanos(System.nanoTime() - from))
                .as("to save, with both cores busy; alone it takes less than a second")
                .isLessThan(Duration.ofSeconds(15));
        assertThat(after.conductors()).hasSize(LARGE);
        assertThat(after.conductors().get(0).function().orElse("")).isEqualTo("main contactor of the left drive");
        assertThat(after.conductors().get(101).lengthM().orElse(0)).isEqualTo(7.5);
        assertThat(after.conductors().get(LARGE - 1).id()).isEqualTo("W2000");
    }

    @Test
    void whatIsPastedBeyondThePageIsKeptUndoneAndSaved() {
        browser.open("/assemblies/grid");
        type("name", site.fresh("Pasted at once"));
        paste(
                "wires.0.id",
                IntStream.rangeClosed(1, 700)
                        .mapToObj(i -> "W%d\tJ1.%d\tJ2.%d".formatted(i, i, i))
                        .collect(Collectors.joining("\n")));
        browser.see("#wires [data-range]", "Rows 1 to 100 of 701");
        browser.find(cell("wires.0.id")).sendKeys(Keys.chord(Keys.CONTROL, "z"));
        assertThat(value("wires.99.id")).isEmpty();
        browser.find(cell("wires.0.id")).sendKeys(Keys.chord(Keys.CONTROL, "y"));
        browser.find(cell("wires.99.from")).sendKeys(Keys.ENTER);
        assertThat(browser.run("return document.activeElement.name")).isEqualTo("wires.100.from");
        assertThat(value("wires.100.from")).isEqualTo("J1.101");
        browser.open("/assemblies").open("/assemblies/grid");
        browser.click("#draft [data-take]").see("#wires [data-range]", "Rows 1 to 100 of 70");
        assertThat(saved().conductors()).hasSize(700);
    }

    @Test
    void anOldRevisionIsComparedAndUsedAgain() {
        long id = site.wiring(site.fresh("Revised"), "wire,from,to\nW1,J1.1,J2.1\n");
        browser.open("/assemblies/" + id + "/grid");
        type("wires.1.id", "W2");
        type("wires.1.from", "J1.2");
        type("wires.1.to", "J2.2");
        assertThat(saved().conductors()).hasSize(2);
        browser.open("/assemblies/" + id + "/revisions");
        browser.see("main", "wire W2").see("main", "added");
        browser.click("form[action$='/revisions/1/restore'] button").see("main .sheet", "removed");
        assertThat(site.bean(Assemblies.class).latest(id).assembly().conductors())
                .hasSize(1);
        assertThat(site.bean(Assemblies.class).latest(id).number()).isEqualTo(3);
    }

    @Test
    void everythingIsFoundByAPartOfItsName() {
        String name = site.fresh("Zenith lamp");
        long id = site.wiring(name, "wire,from,to\nW1,J1.1,J2.1\n");
        site.run(id, "ZL-77");
        browser.open("/search?q=zenith").see("main", name).see("main", "ZL-77");
        browser.open("/units?search=zl-7").click("tbody a").see("h1", "ZL-77");
        browser.open("/units?search=nothing+of+the+kind").see(".empty", "No unit matches.");
    }

    @Test
    void anAssemblyIsRenamedArchivedAndRestored() {
        String name = site.fresh("Old loom");
        long id = site.wiring(name, "wire,from,to\nW1,J1.1,J2.1\n");
        browser.open("/assemblies/" + id).click("main details summary");
        browser.fill("input[name=name]", "Pendant control cable").click("main details form .button");
        browser.see("#say", "“Pendant control cable” is an assembly already.");
        browser.fill("input[name=name]", name + " renamed")
                .click("main details form .button")
                .see("h1", name + " renamed");
        browser.click("main details summary")
                .click("form[action$='/archived'] .button")
                .see(".say.caution", "archived");
        assertThat(browser.open("/assemblies?search=old+loom").text("main")).doesNotContain(name + " renamed");
        browser.open("/assemblies?archived=true").see("main", name + " renamed").click(".cards a");
        browser.click("main details summary")
                .click("form[action$='/archived'] .button")
                .gone(".say.caution");
        browser.open("/assemblies?search=old+loom").see("main", name + " renamed");
    }

    @Test
    void aTemplateIsChangedSavedAndDuplicated() {
        browser.open("/assemblies/new").click("a[href*='from=motor']");
        String name = site.fresh("Pump motor");
        type("name", name);
        type("parts.0.ohm", "3.2");
        Assembly motor = saved();
        assertThat(motor.components()).hasSize(3);
        assertThat(motor.components().get(0).ohm().orElse(0)).isEqualTo(3.2);
        assertThat(motor.bonded()).hasSize(1);

        String original = browser.path();
        String other = site.fresh("Fan motor");
        browser.run("document.querySelector('details.small').open = true");
        browser.fill("form[hx-post$='/duplicate'] input[name=name]", name).click("form[hx-post$='/duplicate'] button");
        browser.see("#say", "is an assembly already");
        browser.fill("form[hx-post$='/duplicate'] input[name=name]", other).click("form[hx-post$='/duplicate'] button");
        browser.see("h1", other);
        assertThat(browser.path()).isNotEqualTo(original);
        long id = Long.parseLong(browser.path().replaceAll("\\D", ""));
        assertThat(site.bean(Assemblies.class).latest(id).assembly()).isEqualTo(motor.withName(other));
    }
}
