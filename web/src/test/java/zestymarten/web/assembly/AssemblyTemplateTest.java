package zestymarten.web.assembly;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zestymarten.core.assembly.Assembly;

/** Every template is an assembly that the grid can show and read back. */
class AssemblyTemplateTest {
    @ParameterizedTest
    @EnumSource(AssemblyTemplate.class)
    void theGridReadsBackWhatItShowsOfATemplate(AssemblyTemplate template) {
        Assembly assembly = template.assembly();
        assertThat(assembly.conductors()).isNotEmpty();
        AssemblyGrid.GridResult read = AssemblyGrid.of(assembly).read();
        assertThat(read.problems()).isEmpty();
        assertThat(read.assembly()).contains(assembly);
    }

    @ParameterizedTest
    @EnumSource(AssemblyTemplate.class)
    void itIsKnownByItsCode(AssemblyTemplate template) {
        assertThat(AssemblyTemplate.of(template.code())).contains(template);
        assertThat(AssemblyTemplate.of("no such template")).isEmpty();
    }
}
