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

/** Holds the arrows between the modules: web to app to store to core, never back. */
public class ArchitectureTest {

    private static final String WEB = "org.zeststack.web.";
    private static final String APP = "org.zeststack.app.";

    /** Which rooms of the interface may ask which: an arrow that is new is a decision, and is written down here. {@code start} puts them together. */
    private static final Map<String, List<String>> PAGES = Map.ofEntries(
            Map.entry("api", List.of("page", "workshop")),
            Map.entry("bar", List.of("design", "page", "security")),
            Map.entry("bench", List.of("page", "security")),
            Map.entry("box", List.of("design", "page", "security")),
            Map.entry("design", List.of("page", "security")),
            Map.entry("form", List.of()),
            Map.entry("formula", List.of("design", "page", "security")),
            Map.entry("ingredient", List.of("page", "security")),
            Map.entry("ledger", List.of("page")),
            Map.entry("page", List.of("security")),
            Map.entry("photo", List.of("page", "security")),
            Map.entry("rehearse", List.of("page", "security")),
            Map.entry("rule", List.of("page", "security")),
            Map.entry("run", List.of("design", "page", "security")),
            Map.entry("security", List.of()),
            Map.entry("temper", List.of("page")),
            Map.entry("workshop", List.of("page", "security")));

    /** The same of what people do, without the pages they do it on. */
    private static final Map<String, List<String>> USES = Map.ofEntries(
            Map.entry("bar", List.of("design", "drawing", "result", "shelf", "words")),
            Map.entry("bench", List.of("drawing", "words")),
            Map.entry("design", List.of("words")),
            Map.entry("drawing", List.of()),
            Map.entry("exchange", List.of()),
            Map.entry("formula", List.of("bar", "design", "exchange", "result", "shelf")),
            Map.entry("people", List.of()),
            Map.entry("result", List.of()),
            Map.entry("run", List.of("bar", "result", "shelf")),
            Map.entry("shelf", List.of("design")),
            Map.entry("words", List.of("people")));

    private final JavaClasses all = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .withImportOption(location -> !location.contains("-tests.jar"))
            .importPackages("org.zeststack");

    @Test
    public void arrowsGoFromWebToAppToStoreToCore() {
        noClasses()
                .that()
                .resideInAPackage("org.zeststack.core..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.zeststack.store..",
                        "org.zeststack.app..",
                        "org.zeststack.web..",
                        "org.zeststack.postgres..")
                .check(all);
        noClasses()
                .that()
                .resideInAPackage("org.zeststack.store..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.zeststack.app..", "org.zeststack.web..", "org.zeststack.postgres..")
                .check(all);
        noClasses()
                .that()
                .resideInAPackage("org.zeststack.postgres..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.zeststack.core..", "org.zeststack.store..", "org.zeststack.app..", "org.zeststack.web..")
                .check(all);
    }

    @Test
    public void onlyTheStoreKnowsTheSchemaAndJooq() {
        noClasses()
                .that()
                .resideInAnyPackage("org.zeststack.web..", "org.zeststack.app..", "org.zeststack.core..")
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

    /** Whoever does the same from a program, a message or a clock needs no page for it. */
    @Test
    public void useCasesKnowNoPages() {
        noClasses()
                .that()
                .resideInAPackage("org.zeststack.app..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.zeststack.web..",
                        "org.zeststack.demo..",
                        "org.zeststack.postgres..",
                        "jakarta.servlet..",
                        "org.thymeleaf..",
                        "org.springframework.web..",
                        "org.springframework.http..",
                        "org.springframework.ui..",
                        "org.springframework.security..")
                .check(all);
    }

    @Test
    public void packagesHaveNoCycles() {
        slices().matching(WEB + "(*)..").should().beFreeOfCycles().check(all);
        slices().matching(APP + "(*)..").should().beFreeOfCycles().check(all);
    }

    @DataProvider
    public Object[][] rooms() {
        return Map.of(WEB, PAGES, APP, USES).entrySet().stream()
                .flatMap(module -> module.getValue().entrySet().stream()
                        .map(room -> new Object[] {module.getKey(), room.getKey(), room.getValue()}))
                .toArray(Object[][]::new);
    }

    private static Stream<String> roomsOf(String module) {
        return module.equals(WEB) ? Stream.concat(PAGES.keySet().stream(), Stream.of("start")) : USES.keySet().stream();
    }

    @Test(dataProvider = "rooms")
    public void aRoomAsksOnlyThoseItMay(String module, String name, List<String> mayUse) {
        String[] others = roomsOf(module)
                .filter(other -> !other.equals(name) && !mayUse.contains(other))
                .map(other -> module + other + "..")
                .toArray(String[]::new);
        noClasses()
                .that()
                .resideInAPackage(module + name + "..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(others)
                .check(all);
    }

    @Test
    public void everyRoomIsNamedHere() {
        for (String module : List.of(WEB, APP)) {
            classes()
                    .that()
                    .resideInAPackage(module + "*..")
                    .should()
                    .resideInAnyPackage(
                            roomsOf(module).map(n -> module + n + "..").toArray(String[]::new))
                    .check(all);
        }
    }
}
