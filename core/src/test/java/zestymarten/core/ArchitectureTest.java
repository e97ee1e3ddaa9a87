package zestymarten.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "zestymarten.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule theCoreKnowsNoFrameworkStorageOrPage = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.springframework..",
                    "org.apache.ibatis..",
                    "java.sql..",
                    "javax.sql..",
                    "jakarta..",
                    "org.thymeleaf..");

    @ArchTest
    static final ArchRule theCoreHasNoClockAndNoChanceOfItsOwn = noClasses()
            .should()
            .callMethod(java.time.Instant.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(System.class, "nanoTime")
            .orShould()
            .callMethod(Math.class, "random")
            .orShould()
            .callMethod(java.util.UUID.class, "randomUUID");

    @ArchTest
    static final ArchRule roomsFormNoCycle =
            slices().matching("zestymarten.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule dataFlowsOneWay = noClasses()
            .that()
            .resideInAnyPackage(
                    "..quantity..",
                    "..assembly..",
                    "..network..",
                    "..limit..",
                    "..meter..",
                    "..judgement..",
                    "..testplan..",
                    "..finding..",
                    "..analysis..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("..testrun..");
}
