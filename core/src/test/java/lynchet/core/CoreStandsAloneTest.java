package lynchet.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class CoreStandsAloneTest {

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("lynchet.core");

    @Test
    void knowsNoFrameworkAndNoClock() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "jakarta..", "org.springframework..", "org.hibernate..", "tools.jackson..", "com.fasterxml..")
                .check(CORE);
        noClasses().should().callMethod(java.time.LocalDate.class, "now").check(CORE);
        noClasses().should().callMethod(java.time.Instant.class, "now").check(CORE);
        noClasses().should().callMethod(Math.class, "random").check(CORE);
    }

    @Test
    void itsPackagesFormNoCycle() {
        slices().matching("lynchet.core.(*)..").should().beFreeOfCycles().check(CORE);
    }
}
