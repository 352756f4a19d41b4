package org.zeststack.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.testng.annotations.Test;

/** Holds the arrows between the modules: web to store to core, never back. */
public class ArchitectureTest {

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
}
