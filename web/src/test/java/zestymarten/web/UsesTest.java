package zestymarten.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.Dependency;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaPackage;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import zestymarten.core.Uses;

/** What each package says that it uses is what it uses: nothing more and nothing less, in all modules. */
class UsesTest {
    private static final JavaClasses ALL = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("zestymarten");

    private static final List<String> MODULES = List.of("zestymarten.core", "zestymarten.simulator", "zestymarten.web");

    static Stream<String> packages() {
        return ALL.stream()
                .map(JavaClass::getPackageName)
                .filter(each -> !MODULES.contains(each))
                .distinct()
                .sorted();
    }

    private static String module(String packageName) {
        return MODULES.stream()
                .filter(each -> packageName.startsWith(each + "."))
                .findFirst()
                .orElseThrow();
    }

    private static Set<String> used(JavaPackage of) {
        String module = module(of.getName()) + ".";
        return of.getClasses().stream()
                .flatMap(each -> each.getDirectDependenciesFromSelf().stream())
                .map(Dependency::getTargetClass)
                .map(each -> each.getBaseComponentType().getPackageName())
                .filter(each -> each.startsWith(module) && !each.equals(of.getName()))
                .map(each -> each.substring(module.length()))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    @ParameterizedTest
    @MethodSource("packages")
    void aPackageUsesWhatItSays(String name) {
        JavaPackage of = ALL.getPackage(name);
        assertThat(of.isAnnotatedWith(Uses.class)).as("says what it uses").isTrue();
        assertThat(List.of(of.getAnnotationOfType(Uses.class).value())).containsExactlyElementsOf(used(of));
    }
}
