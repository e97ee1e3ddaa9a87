package zestymarten.web.help;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import org.junit.jupiter.api.Test;

class HelpTextTest {
    @Test
    void headingsAreLinkedToAndTablesKeepTheColumnsThatAPersonNeeds() {
        HelpText help = HelpText.of(
                "# Words\n\n## What you type\n\n| word | meaning | where it lives |\n|---|---|---|\n| trip | to the far end | `walks` |\n",
                Set.of("where it lives"));
        assertThat(help.contents()).containsExactly(new HelpText.Section("what-you-type", "What you type"));
        assertThat(help.html())
                .contains("<h2 id=\"what-you-type\">", "<th>meaning</th>", "<td>to the far end</td>")
                .doesNotContain("where it lives", "walks");
    }

    @Test
    void htmlInADocumentIsShownAndNotRun() {
        assertThat(HelpText.of("<script>alert(1)</script> [x](javascript:alert(1))", Set.of())
                        .html())
                .doesNotContain("<script>", "href=\"javascript");
    }

    @Test
    void theGuideAndTheGlossaryShipWithTheApplication() {
        assertThat(HelpText.read("/help/guide.md", Set.of()).contents())
                .extracting(HelpText.Section::title)
                .contains("Test a unit", "Without network", "Describe an assembly");
        assertThat(HelpText.read("/help/glossary.md", Set.of("where it lives")).html())
                .contains("<td>trip</td>")
                .doesNotContain("core/testrun");
    }
}
