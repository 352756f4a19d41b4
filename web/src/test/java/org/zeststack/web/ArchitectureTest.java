package org.zeststack.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Holds the arrows between the modules: web to store to core, never back. */
public class ArchitectureTest {

    private static final String WEB = "org.zeststack.web.";

    /** Which rooms of the interface may ask which: an arrow that is new is a decision, and is written down here. {@code start} puts them together. */
    private static final Map<String, List<String>> MAY_USE = Map.ofEntries(
            Map.entry("api", List.of("bar", "bench", "page", "shelf", "workshop")),
            Map.entry("bar", List.of("design", "drawing", "form", "page", "result", "security", "shelf")),
            Map.entry("bench", List.of("drawing", "page", "security")),
            Map.entry("box", List.of("bar", "design", "page", "security")),
            Map.entry("demo", List.of("run", "security")),
            Map.entry("design", List.of("page", "security")),
            Map.entry("drawing", List.of()),
            Map.entry("exchange", List.of()),
            Map.entry("form", List.of()),
            Map.entry("formula", List.of("bar", "design", "exchange", "page", "result", "security", "shelf")),
            Map.entry("ingredient", List.of("page", "security", "shelf")),
            Map.entry("ledger", List.of("bench", "page", "result")),
            Map.entry("page", List.of("drawing", "security")),
            Map.entry("photo", List.of("page", "security")),
            Map.entry("rehearse", List.of("page", "security")),
            Map.entry("result", List.of()),
            Map.entry("rule", List.of("page", "security")),
            Map.entry("run", List.of("bar", "bench", "design", "drawing", "page", "result", "security", "shelf")),
            Map.entry("security", List.of()),
            Map.entry("shelf", List.of("design")),
            Map.entry("temper", List.of("bench", "page")),
            Map.entry("workshop", List.of("page", "security")));

    private final JavaClasses all = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .withImportOption(location -> !location.contains("-tests.jar"))
            .importPackages("org.zeststack");

    @Test
    public void arrowsGoFromWebToStoreToCore() {
        noClasses()
                .that()
                .resideInAPackage("org.zeststack.core..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.zeststack.store..", "org.zeststack.web..", "org.zeststack.postgres..")
                .check(all);
        noClasses()
                .that()
                .resideInAPackage("org.zeststack.store..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.zeststack.web..", "org.zeststack.postgres..")
                .check(all);
        noClasses()
                .that()
                .resideInAPackage("org.zeststack.postgres..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.zeststack.core..", "org.zeststack.store..", "org.zeststack.web..")
                .check(all);
    }

    @Test
    public void onlyTheStoreKnowsTheSchemaAndJooq() {
        noClasses()
                .that()
                .resideInAnyPackage("org.zeststack.web..", "org.zeststack.core..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.jooq..", "org.zeststack.store.schema..")
                .check(all);
    }

    @Test
    public void theCoreKnowsNoFramework() {
        classes()
                .that()
                .resideInAPackage("org.zeststack.core..")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("java..", "org.hipparchus..", "org.apache.commons..", "org.zeststack.core..")
                .check(all);
    }

    @Test
    public void onlyTheWebUsesLedgerAndSimulator() {
        noClasses()
                .that()
                .resideInAPackage("org.zeststack.store..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.zeststack.core.ledger..", "org.zeststack.core.simulate..")
                .check(all);
    }

    @Test
    public void webPackagesHaveNoCycles() {
        slices().matching("org.zeststack.web.(*)..").should().beFreeOfCycles().check(all);
    }

    @DataProvider
    public Object[][] rooms() {
        return MAY_USE.entrySet().stream()
                .map(e -> new Object[] {e.getKey(), e.getValue()})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "rooms")
    public void aRoomAsksOnlyThoseItMay(String name, List<String> mayUse) {
        String[] others = Stream.concat(MAY_USE.keySet().stream(), Stream.of("start"))
                .filter(other -> !other.equals(name) && !mayUse.contains(other))
                .map(other -> WEB + other + "..")
                .toArray(String[]::new);
        noClasses()
                .that()
                .resideInAPackage(WEB + name + "..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(others)
                .check(all);
    }

    @Test
    public void everyRoomIsNamedHere() {
        classes()
                .that()
                .resideInAPackage(WEB + "*..")
                .should()
                .resideInAnyPackage(Stream.concat(MAY_USE.keySet().stream(), Stream.of("start"))
                        .map(n -> WEB + n + "..")
                        .toArray(String[]::new))
                .check(all);
    }
}
