package org.zeststack.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.testng.Assert.assertFalse;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Holds the arrows between the packages of the core. */
public class ArchitectureTest {

    private static final String ROOT = "org.zeststack.core.";
    private static final List<String> BASE = List.of("quantity", "explain", "composition");
    private static final Map<String, List<String>> MAY_USE = Map.ofEntries(
            Map.entry("air", List.of()),
            Map.entry("heat", List.of()),
            Map.entry("cavity", List.of()),
            Map.entry("slab", List.of()),
            Map.entry("weighing", List.of()),
            Map.entry("component", List.of()),
            Map.entry("rule", List.of()),
            Map.entry("typed", List.of()),
            Map.entry("naming", List.of("rule")),
            Map.entry("keeping", List.of("rule")),
            Map.entry("ingredient", List.of("temper")),
            Map.entry("household", List.of("ingredient", "heat")),
            Map.entry("temper", List.of("rule")),
            Map.entry("method", List.of("rule")),
            Map.entry("water", List.of("air")),
            Map.entry("sugar", List.of("rule", "water", "air", "heat")),
            Map.entry("workshop", List.of("cavity", "air")),
            Map.entry(
                    "formula",
                    List.of("ingredient", "component", "rule", "household", "sugar", "water", "air", "heat", "method")),
            Map.entry("bar", List.of("rule", "slab", "method")),
            Map.entry(
                    "stack",
                    List.of(
                            "bar",
                            "rule",
                            "cavity",
                            "slab",
                            "weighing",
                            "formula",
                            "method",
                            "ingredient",
                            "keeping",
                            "naming",
                            "temper",
                            "water")),
            Map.entry("picture", List.of("stack", "bar", "cavity", "slab")),
            Map.entry(
                    "judge",
                    List.of(
                            "stack",
                            "bar",
                            "rule",
                            "keeping",
                            "naming",
                            "temper",
                            "weighing",
                            "formula",
                            "ingredient",
                            "water",
                            "air",
                            "cavity",
                            "slab")),
            Map.entry("box", List.of("stack", "bar", "judge", "rule", "keeping", "weighing")),
            Map.entry("sheet", List.of("bar", "component", "method", "picture", "temper", "weighing", "workshop")),
            Map.entry(
                    "plan",
                    List.of(
                            "sheet",
                            "component",
                            "bar",
                            "rule",
                            "stack",
                            "picture",
                            "judge",
                            "formula",
                            "ingredient",
                            "sugar",
                            "temper",
                            "workshop",
                            "weighing",
                            "method")),
            Map.entry(
                    "bench",
                    List.of(
                            "sheet",
                            "typed",
                            "picture",
                            "bar",
                            "rule",
                            "sugar",
                            "temper",
                            "air",
                            "workshop",
                            "weighing",
                            "method",
                            "formula")),
            Map.entry("ledger", List.of("rule", "sheet", "bench", "weighing")),
            Map.entry("rehearse", List.of("rule", "simulate", "sugar", "temper", "water", "air")),
            Map.entry("simulate", List.of()));

    private final JavaClasses core = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("org.zeststack.core");

    @DataProvider
    public Object[][] packages() {
        return MAY_USE.entrySet().stream()
                .map(e -> new Object[] {e.getKey(), e.getValue()})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "packages")
    public void usesOnlyWhatItMay(String name, List<String> mayUse) {
        List<String> allowed =
                new ArrayList<>(List.of("java..", "org.hipparchus..", "org.apache.commons..", ROOT + name + ".."));
        BASE.forEach(base -> allowed.add(ROOT + base + ".."));
        mayUse.forEach(other -> allowed.add(ROOT + other + ".."));
        classes()
                .that()
                .resideInAPackage(ROOT + name + "..")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage(allowed.toArray(String[]::new))
                .check(core);
    }

    @Test
    public void everyPackageIsNamedHere() {
        List<String> known = new ArrayList<>(BASE);
        known.addAll(MAY_USE.keySet());
        classes()
                .should()
                .resideInAnyPackage(known.stream().map(n -> ROOT + n + "..").toArray(String[]::new))
                .check(core);
    }

    @Test
    public void thereAreNoCycles() {
        slices().matching(ROOT + "(*)..").should().beFreeOfCycles().check(core);
    }

    /** A number or a word is written the same wherever the machine stands. */
    @Test
    public void nothingIsWrittenInTheMachinesLocale() throws IOException {
        noClasses()
                .should()
                .callMethod(String.class, "toLowerCase")
                .orShould()
                .callMethod(String.class, "toUpperCase")
                .orShould()
                .callMethod(String.class, "format", String.class, Object[].class)
                .orShould()
                .dependOnClassesThat()
                .areAssignableTo(java.text.NumberFormat.class)
                .orShould()
                .callMethod(java.util.Locale.class, "getDefault")
                .check(core);
        Pattern figure = Pattern.compile("(?<!%)%[-+ 0-9,.]*[eEfgG]\\b");
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                assertFalse(
                        figure.matcher(Files.readString(file)).find(),
                        file + " formats a figure by the machine's locale");
            }
        }
    }

    @Test
    public void theCoreHasNoClockOfItsOwn() {
        noClasses()
                .should()
                .callMethod(java.time.Instant.class, "now")
                .orShould()
                .callMethod(System.class, "currentTimeMillis")
                .orShould()
                .callMethod(System.class, "nanoTime")
                .check(core);
    }
}
