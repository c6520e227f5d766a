package lynchet.starter;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.core.card.Family;
import lynchet.core.card.Group;
import lynchet.core.card.Technique;
import lynchet.core.chain.Chain;
import lynchet.core.club.Club;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Position;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import org.junit.jupiter.api.Test;

/** Writes and checks docs/guide/library.md: what the library holds, counted, and what it must cover, point by point. */
class LibraryGuideTest {

    private static final Club LIBRARY = StarterLibrary.club("Library");
    private static final GrapplingMap MAP = GrapplingMap.of(LIBRARY.map());

    /** Point of the coverage list → ids of the positions, techniques or chains that cover it. */
    private static final String COVERAGE = """
            Standing ties of each kind | even-grips opposite-grips strong-grips belt-grip collar-tie two-on-one
            Clinches, rear clinch, leg held | over-under double-underhooks standing-headlock rear-clinch single-leg-up
            Front headlock, sprawl, turtle, four points | front-headlock sprawl-on-top turtle four-points
            Both seated, getting up | both-seated getting-up
            Closed, open, sleeve, lasso, outside-hook, seated-hook guards | closed-guard open-guard sleeve-guard lasso-guard outside-hook seated-hooks
            Half guards with underhook and flat, knee shield | half-guard-underhook half-guard-bottom knee-shield
            Passing positions, leg entanglement | split-legs leg-drag leg-entanglement
            Side, scarf family, knee on belly, north–south | side-control-top scarf-hold-top reverse-scarf-top shoulder-hold-top knee-on-belly north-south-top
            Mount low and high, back with hooks, crucifix | mount-top high-mount back-control crucifix
            Locked submissions with their late escapes | arm-lock-on rear-choke-on triangle-on front-choke-on shoulder-lock-on leg-shoulder-lock-on ankle-lock-on
            Grip fight to throw: take, they rip away, follow | grip-take-rip-follow
            Throw to hold-down | throw-to-hold
            Three-way attacks from closed guard | three-from-guard pendulum-and-arm choke-lock-sweep hip-bump-answers
            Arm locks from side control told apart | side-arm-locks-apart
            Back control from three tilts | back-three-tilts
            Out of the back and out of mount in two directions | out-of-back-two-ways out-of-mount
            Rear clinch backward or forward by their weight | rear-clinch-by-weight mat-return-or-back
            Sprawl and turtle attacks | sprawl-and-attack turtle-attack turtle-three-doors
            Passes in series | pass-in-series split-then-choose
            Late answers to a headlock choke by how deep it is | late-headlock-choke
            Ankles crossed in the arm lock; hip bump on hand or elbow; triangle by arm or posture | arm-lock hip-bump-sweep triangle-choke
            Mount with feet tucked or grapevines; belt over the back; breaking a grip on the leg | mount-hold belt-over-back break-leg-grip
            Side separation; entries in one, two or three steps; tripping from behind | side-separation hip-sweep rear-trip-down
            Major hip throw, arm under or at the belt; body drop, inside or outside arm | major-hip-throw body-drop
            """;

    @Test
    void theGuideSaysWhatTheLibraryHolds() throws Exception {
        String guide = guide();
        System.out.println(
                guide.lines().filter(line -> line.startsWith("| ")).limit(12).collect(Collectors.joining("\n")));
        Path file = Path.of("../docs/guide/library.md");
        if (Boolean.getBoolean("write.documents")) {
            Files.writeString(file, guide);
        }
        assertThat(Files.readString(file))
                .as("run ./lynchet api and commit the file")
                .isEqualTo(guide);
    }

    private static String guide() {
        StringBuilder out = new StringBuilder("# The library that ships\n\n");
        out.append(
                "Written by the build from the data in `starter/src/main/resources/starter`; every line is checked.\n");
        out.append("All of it is a club's to change. Local rules and qualified people come first.\n\n");
        out.append("| what | how many |\n|---|---|\n");
        long answered = MAP.reactions().stream()
                .filter(r -> !MAP.answersTo(r).isEmpty())
                .count();
        line(
                out,
                "position pairs (positions)",
                LIBRARY.map().pairs().size() + " (" + MAP.positions().size() + ")");
        line(out, "techniques", MAP.techniques().size());
        line(out, "links", MAP.links().size());
        line(
                out,
                "reactions (answered)",
                MAP.reactions().size() + " (" + 100 * answered / MAP.reactions().size() + " %)");
        line(out, "chains", LIBRARY.chains().size());
        line(out, "words", LIBRARY.words().size());
        line(out, "rulesets", LIBRARY.map().rulesets().size());
        line(out, "drill shapes", LIBRARY.drills().size());
        line(
                out,
                "techniques with versions",
                MAP.techniques().stream().filter(t -> !t.versions().isEmpty()).count());
        out.append("\n## Techniques by family\n\n| family | how many |\n|---|---|\n");
        for (Family family : Family.values()) {
            line(
                    out,
                    plain(family),
                    MAP.techniques().stream().filter(t -> t.family() == family).count());
            Arrays.stream(Group.values())
                    .filter(group -> group.family() == family)
                    .forEach(group -> line(
                            out,
                            "– " + plain(group),
                            MAP.techniques().stream()
                                    .filter(t -> t.group() == group)
                                    .count()));
        }
        out.append("\n## Ladders\n\n| ladder | rank | items |\n|---|---|---|\n");
        for (Ladder ladder : LIBRARY.ladders()) {
            for (Rank rank : ladder.ranks()) {
                out.append("| ")
                        .append(ladder.name())
                        .append(" | ")
                        .append(rank.name())
                        .append(" | ")
                        .append(rank.items().count())
                        .append(" |\n");
            }
        }
        out.append("\n## The five classical sets of eight throws\n\n| set | throws |\n|---|---|\n");
        for (String set : List.of("first", "second", "third", "fourth", "fifth")) {
            out.append("| ").append(set).append(" | ");
            out.append(MAP.techniques().stream()
                    .filter(t -> t.tags().contains(set + "-set-of-eight"))
                    .map(t -> t.name() + " ("
                            + t.aliases().stream()
                                    .filter(a -> a.tongue().equals("Japanese"))
                                    .findFirst()
                                    .orElseThrow()
                                    .text()
                            + ")")
                    .sorted()
                    .collect(Collectors.joining(", ")));
            out.append(" |\n");
        }
        out.append("\n## Coverage, point by point\n\n| must be there | is there as |\n|---|---|\n");
        COVERAGE.lines().map(line -> line.split("\\|")).forEach(point -> out.append("| ")
                .append(point[0].strip())
                .append(" | ")
                .append(Stream.of(point[1].strip().split(" "))
                        .map(LibraryGuideTest::name)
                        .collect(Collectors.joining(", ")))
                .append(" |\n"));
        return out.toString();
    }

    /** The name of whatever has this id; an id that is nowhere fails the test. */
    private static String name(String id) {
        return MAP.position(id)
                .map(Position::name)
                .or(() -> LIBRARY.chains().stream()
                        .filter(c -> c.id().equals(id))
                        .map(Chain::name)
                        .findFirst())
                .or(() -> MAP.technique(id).filter(t -> !t.versions().isEmpty()).map(Technique::name))
                .orElseThrow(() -> new AssertionError("nothing in the library is called " + id));
    }

    private static String plain(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private static void line(StringBuilder out, String what, Object howMany) {
        out.append("| ").append(what).append(" | ").append(howMany).append(" |\n");
    }
}
