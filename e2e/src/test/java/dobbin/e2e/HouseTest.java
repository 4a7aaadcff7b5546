package dobbin.e2e;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaMethod;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import com.tngtech.archunit.library.Architectures;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;
import java.io.PrintStream;
import java.io.PrintWriter;
import java.time.format.DateTimeFormatter;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The arrows between modules: interface to server over HTTP, server to core, commands to core, and none back. */
class HouseTest {
    /** A module's tests are in a folder of classes or, once it is packaged, in a jar of their own. */
    private static final JavaClasses HOUSE = new ClassFileImporter(
                    List.of(new ImportOption.DoNotIncludeTests(), location -> !location.contains("-tests.jar")))
            .importPackages("dobbin");

    @Test
    void arrowsGoOneWay() {
        Architectures.layeredArchitecture()
                .consideringOnlyDependenciesInLayers()
                .layer("server")
                .definedBy("dobbin.server..")
                .layer("cli")
                .definedBy("dobbin.cli..")
                .layer("document")
                .definedBy("dobbin.document..")
                .layer("core")
                .definedBy(
                        "dobbin.color",
                        "dobbin.raster",
                        "dobbin.lettering",
                        "dobbin.still",
                        "dobbin.palette",
                        "dobbin.dither",
                        "dobbin.gif",
                        "dobbin.timing",
                        "dobbin.gather",
                        "dobbin.reel",
                        "dobbin.edit",
                        "dobbin.render",
                        "dobbin.slim",
                        "dobbin.inspect",
                        "dobbin.skerry")
                .whereLayer("server")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("cli")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("document")
                .mayOnlyBeAccessedByLayers("server", "cli")
                .whereLayer("core")
                .mayOnlyBeAccessedByLayers("server", "cli", "document")
                .check(HOUSE);
    }

    @Test
    void featuresOfTheServerDoNotGoInCircles() {
        SlicesRuleDefinition.slices()
                .matching("dobbin.server.(*)..")
                .should()
                .beFreeOfCycles()
                .check(HOUSE);
    }

    @Test
    void pixelsAreTheCoresBusiness() {
        noClasses()
                .that()
                .resideInAnyPackage("dobbin.server..", "dobbin.cli..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("java.awt..", "javax.imageio..")
                .check(HOUSE);
    }

    @Test
    void sqlIsWrittenInStoresAlone() {
        noClasses()
                .that()
                .haveSimpleNameNotContaining("Store")
                .and()
                .haveNameNotMatching(".*SpringCGLIB.*")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("java.sql..", "org.springframework.jdbc..")
                .check(HOUSE);
    }

    /** The application has no validator, which would be asked for these; springdoc brings one into the tests. Core checks by {@code Ranges}. */
    @Test
    void rangesStandOnRecordsAndNotOnParameters() {
        methods()
                .that()
                .areDeclaredInClassesThat()
                .resideInAPackage("dobbin.server..")
                .should(haveNoConstrainedParameter())
                .check(HOUSE);
    }

    /** What a program reads must not depend on the language of the system: some have digits and letters of their own. */
    @Test
    void textIsNeverMadeInTheLanguageOfTheSystem() {
        noClasses()
                .should()
                .callMethod(String.class, "format", String.class, Object[].class)
                .orShould()
                .callMethod(String.class, "formatted", Object[].class)
                .orShould()
                .callMethod(String.class, "toLowerCase")
                .orShould()
                .callMethod(String.class, "toUpperCase")
                .orShould()
                .callMethod(PrintStream.class, "printf", String.class, Object[].class)
                .orShould()
                .callMethod(PrintWriter.class, "printf", String.class, Object[].class)
                .orShould()
                .callMethod(PrintStream.class, "format", String.class, Object[].class)
                .orShould()
                .callMethod(PrintWriter.class, "format", String.class, Object[].class)
                .orShould()
                .callMethod(DateTimeFormatter.class, "ofPattern", String.class)
                .check(HOUSE);
    }

    private static ArchCondition<JavaMethod> haveNoConstrainedParameter() {
        return new ArchCondition<>("have no parameter with a constraint") {
            @Override
            public void check(JavaMethod method, ConditionEvents events) {
                boolean constrained = method.getParameters().stream()
                        .flatMap(parameter -> parameter.getAnnotations().stream())
                        .anyMatch(annotation ->
                                annotation.getRawType().getPackageName().equals("jakarta.validation.constraints"));
                if (constrained) {
                    events.add(SimpleConditionEvent.violated(method, method.getFullName()));
                }
            }
        };
    }
}
