package lynchet.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noMethods;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import jakarta.persistence.Entity;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import lynchet.server.keep.OpenTo;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.Repository;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

class ArchitectureTest {

    private static final List<String> GONE = List.of(
            "Say", "Grown", "Spare", "Purse", "Taught", "Slice", "Door", "Sight", "Whole", "Looked", "Asked", "Known",
            "Seen", "Found", "Wanted", "Made", "Met", "Stood", "Been", "Held", "Told", "Kept");

    /** Words that only H2 understands. */
    private static final Pattern OWN_WORDS = Pattern.compile(
            "jdbc:h2|BACKUP TO|CHECKPOINT|RUNSCRIPT|SCRIPT TO|SHUTDOWN COMPACT|\\.mv\\.db|[^.]locate\\(\\?");

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

    /** Participles and small words that once were classes, several of one name; a search for them found everything. */
    @Test
    void noClassBearsANameThatWent() {
        noClasses()
                .should()
                .haveNameMatching(".*[.$](" + String.join("|", GONE) + ")")
                .check(new ClassFileImporter().importPackages("lynchet"));
    }

    /** Each feature of the database itself stands where another one would be put in its place. */
    @Test
    void onlyTheDiskKnowsTheDatabase() throws IOException {
        noClasses()
                .that()
                .haveNameNotMatching("lynchet\\.server\\.keep\\.H2.*")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("org.h2..")
                .check(SERVER);
        try (Stream<Path> sources = Files.walk(Path.of("src/main/java/lynchet"))) {
            assertThat(sources.filter(file -> file.toString().endsWith(".java"))
                            .filter(file -> !file.getFileName().toString().startsWith("H2"))
                            .filter(file -> OWN_WORDS.matcher(read(file)).find()))
                    .isEmpty();
        }
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
