package zestymarten.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import org.apache.ibatis.annotations.Mapper;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RestController;

@AnalyzeClasses(packages = "zestymarten.web", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule roomsFormNoCycle =
            slices().matching("zestymarten.web.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule statementsStayInTheirRoom =
            classes().that().areAnnotatedWith(Mapper.class).should().bePackagePrivate();

    @ArchTest
    static final ArchRule controllersAreNobodysDoor = classes()
            .that()
            .areAnnotatedWith(Controller.class)
            .or()
            .areAnnotatedWith(RestController.class)
            .should()
            .bePackagePrivate();

    @ArchTest
    static final ArchRule drawingsKnowNoStorageAndNoFramework = noClasses()
            .that()
            .resideInAPackage("..web.drawing..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework..", "org.apache.ibatis..", "java.sql..");

    @ArchTest
    static final ArchRule theGroundKnowsNoRoom = noClasses()
            .that()
            .resideInAPackage("..web.platform..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "..web.testrun..", "..web.assembly..", "..web.unit..", "..web.record..", "..web.people..");

    @ArchTest
    static final ArchRule nobodyLeansOnTheDemo = noClasses()
            .that()
            .resideOutsideOfPackage("..web.demo..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("..web.demo..");
}
