package lynchet.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noMethods;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import jakarta.persistence.Entity;
import lynchet.server.keep.OpenTo;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.Repository;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

class ArchitectureTest {

    private static final JavaClasses SERVER = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("lynchet.server");

    @Test
    void entitiesAndRepositoriesStayInTheirFeature() {
        classes()
                .that()
                .areAnnotatedWith(Entity.class)
                .should()
                .bePackagePrivate()
                .check(SERVER);
        classes()
                .that()
                .areAssignableTo(Repository.class)
                .should()
                .bePackagePrivate()
                .check(SERVER);
    }

    @Test
    void controllersNeverSeeEntitiesOrRepositories() {
        noClasses()
                .that()
                .areAnnotatedWith(RestController.class)
                .should()
                .dependOnClassesThat()
                .areAnnotatedWith(Entity.class)
                .orShould()
                .dependOnClassesThat()
                .areAssignableTo(Repository.class)
                .check(SERVER);
    }

    /** Who may call a path is read off its handler; one that says nothing would be open to nobody. */
    @Test
    void everyHandlerSaysToWhomItIsOpen() {
        methods()
                .that()
                .areMetaAnnotatedWith(RequestMapping.class)
                .should()
                .beAnnotatedWith(OpenTo.class)
                .orShould()
                .beDeclaredInClassesThat()
                .areAnnotatedWith(OpenTo.class)
                .check(SERVER);
    }

    /** A thread that waits for a monitor with a connection in hand may keep it from the one that holds the monitor. */
    @Test
    void nothingWaitsForAMonitorWithAConnectionInHand() {
        noMethods()
                .that()
                .areAnnotatedWith(Transactional.class)
                .should()
                .haveModifier(JavaModifier.SYNCHRONIZED)
                .check(SERVER);
    }

    @Test
    void featuresFormNoCycle() {
        slices().matching("lynchet.server.(*)..").should().beFreeOfCycles().check(SERVER);
    }
}
