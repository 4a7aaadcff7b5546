package dobbin;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The core's packages from the ground up: each imports only from floors below it. */
class FloorsTest {
    private static final List<String> FLOORS = List.of(
            "color",
            "raster",
            "compare",
            "lettering",
            "still",
            "apng",
            "sheet",
            "ora",
            "register",
            "plate",
            "palette",
            "dither",
            "gif",
            "timing",
            "gather",
            "reel",
            "draw",
            "edit",
            "render",
            "slim",
            "form",
            "inspect",
            "skerry");
    private static final JavaClasses CORE =
            new ClassFileImporter(List.of(new ImportOption.DoNotIncludeTests())).importPackages("dobbin");

    static List<String> floors() {
        return FLOORS;
    }

    @ParameterizedTest
    @MethodSource("floors")
    void importsOnlyFromBelow(String floor) {
        String[] above = FLOORS.subList(FLOORS.indexOf(floor) + 1, FLOORS.size()).stream()
                .map(name -> "dobbin." + name)
                .toArray(String[]::new);
        noClasses()
                .that()
                .resideInAPackage("dobbin." + floor)
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(above)
                .allowEmptyShould(true)
                .check(CORE);
    }

    @Test
    void everyPackageHasItsFloor() {
        noClasses()
                .that()
                .resideOutsideOfPackages(
                        FLOORS.stream().map(name -> "dobbin." + name).toArray(String[]::new))
                .should()
                .haveSimpleNameNotEndingWith("package-info")
                .allowEmptyShould(true)
                .check(CORE);
        slices().matching("dobbin.(*)").should().beFreeOfCycles().check(CORE);
    }

    @Test
    void knowsNoServerNoJsonAndNoClock() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.springframework..",
                        "tools.jackson..",
                        "com.fasterxml..",
                        "java.sql..",
                        "java.net..",
                        "java.time..",
                        "javax.swing..",
                        "java.nio.file..")
                .orShould()
                .callMethod(System.class, "currentTimeMillis")
                .orShould()
                .callMethod(System.class, "nanoTime")
                .check(CORE);
    }
}
