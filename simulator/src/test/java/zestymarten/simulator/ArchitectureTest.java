package zestymarten.simulator;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "zestymarten.simulator", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule theBenchStandsOnTheCoreAlone = classes()
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage("zestymarten.simulator..", "zestymarten.core..", "java..", "org.jspecify..");

    @ArchTest
    static final ArchRule theLanguageKnowsNoInstrument = noClasses()
            .that()
            .resideInAPackage("..simulator.scpi..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("zestymarten.core.*", "..simulator.unit..", "..simulator.instrument..");

    @ArchTest
    static final ArchRule roomsFormNoCycle =
            slices().matching("zestymarten.simulator.(*)..").should().beFreeOfCycles();
}
