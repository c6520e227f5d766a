package lynchet.core.club;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Set;
import lynchet.core.card.Alias;
import lynchet.core.card.Direction;
import lynchet.core.card.Family;
import lynchet.core.card.Fault;
import lynchet.core.card.Group;
import lynchet.core.card.Hazard;
import lynchet.core.card.Jacket;
import lynchet.core.card.Need;
import lynchet.core.card.Step;
import lynchet.core.card.Technique;
import lynchet.core.card.TechniqueBuilder;
import lynchet.core.card.Version;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Reaction;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import org.junit.jupiter.api.Test;

class TechniqueMergeTest {

    private final TinyClub tiny = new TinyClub();

    TechniqueMergeTest() {
        tiny.map.pair("mount", Stage.LEGS_CLEARED, 2);
        tiny.map.cost("bump", 2).cost("follow", 1, "hip-bump");
        tiny.map.link("bump-guard", "guard", "bump", "s").link("bump-mount", "mount-x", "bump", "guard");
        tiny.map.link("follow-link", "mount", "follow", "s");
        tiny.map.reaction("they-post", "sweep", "guard").answer("post", "they-post", "guard", "follow", "mount");
    }

    private Club merged() {
        return TechniqueMerge.of(tiny.club(), "bump", "hip-bump");
    }

    @Test
    void everyReferenceFollowsAndTheClubStillHoldsTogether() {
        Club club = merged();
        assertThat(ClubCheck.check(club)).isEmpty();
        GrapplingMap map = GrapplingMap.of(club.map());
        assertThat(map.technique("hip-bump").orElseThrow().retired()).isTrue();
        assertThat(map.links()).noneMatch(link -> link.technique().equals("hip-bump"));
        assertThat(map.technique("follow").orElseThrow().prerequisites()).containsExactly("bump");
        assertThat(club.ladders().get(0).ranks().get(0).items())
                .allMatch(item -> item.ref().equals("bump"));
        assertThat(club.marks().get(0).subject()).isEqualTo("bump");
        assertThat(club.practice().get(0).technique()).isEqualTo("bump");
        assertThat(club.words().get(0).techniques()).containsExactly("bump");
        assertThat(club.drills().get(0).technique()).isEqualTo("bump");
        assertThat(club.classes().get(0).blocks().get(0).technique()).isEqualTo("bump");
        assertThat(club.ignoredGaps().get(0).technique()).isEqualTo("bump");
    }

    @Test
    void aLinkThatWouldStandTwiceIsRetiredAndItsUsersFollow() {
        Club club = merged();
        GrapplingMap map = GrapplingMap.of(club.map());
        assertThat(map.link("sweep").orElseThrow().retired()).isTrue();
        assertThat(map.linksFrom("guard"))
                .extracting(Link::id)
                .contains("bump-guard")
                .doesNotContain("sweep");
        assertThat(map.reaction("they-post").orElseThrow().link()).isEqualTo("bump-guard");
        assertThat(club.chains().get(0).first().link()).isEqualTo("bump-guard");
        assertThat(club.rounds().get(0).events().get(0).link()).isEqualTo("bump-guard");
    }

    @Test
    void namesFaultsAndFallsOfBothStand() {
        tiny.map.add(card("bump", "arms", "Hangs on the arms")).add(card("hip-bump", "arms", "Pushes with the arms"));
        Technique one = GrapplingMap.of(merged().map()).technique("bump").orElseThrow();
        assertThat(one.aliases()).extracting("text").contains("hip-bump");
        assertThat(one.faults()).extracting(Fault::id).containsExactly("arms", "arms-2");
        assertThat(one.faults()).extracting(Fault::see).contains("Pushes with the arms");
    }

    /** What the one that stays leaves out is taken from the other; what both say stays as the first has it. */
    @Test
    void whatOneLeavesOutTheOtherSays() {
        for (boolean isKeptFull : List.of(true, false)) {
            tiny.map.add(isKeptFull ? full("bump") : bare("bump"));
            tiny.map.add(isKeptFull ? bare("hip-bump") : full("hip-bump"));
            Technique one = GrapplingMap.of(merged().map()).technique("bump").orElseThrow();
            Technique full = full("bump");
            assertThat(one.group()).isEqualTo(full.group());
            assertThat(one.jacket()).isEqualTo(Jacket.EITHER);
            assertThat(one.directions()).isEqualTo(full.directions());
            assertThat(one.summary()).isEqualTo("a summary");
            assertThat(one.steps()).isEqualTo(full.steps());
            assertThat(one.signs()).containsExactly("a sign");
            assertThat(one.versions()).isEqualTo(full.versions());
            assertThat(one.houseVersion()).isEqualTo("plain");
            assertThat(one.hazards()).containsExactly(Hazard.LIFT_LEGS);
            assertThat(one.soloForm()).isEqualTo("alone");
            assertThat(one.tags()).containsExactly("a tag");
            assertThat(one.aliases()).extracting(Alias::text).containsExactly("another name", "hip-bump");
        }
        tiny.map.add(full("bump")).add(full("hip-bump"));
        Technique same = GrapplingMap.of(merged().map()).technique("bump").orElseThrow();
        assertThat(same.jacket()).isEqualTo(Jacket.JACKET);
        assertThat(same.versions()).as("one of the same name is that one").hasSize(1);
        assertThat(same.signs()).containsExactly("a sign");
    }

    private static Technique full(String id) {
        return made(
                id,
                List.of(new Alias("another name", null)),
                Group.HIP,
                Jacket.JACKET,
                List.of(Direction.values()[0]),
                "a summary",
                List.of(new Step("step", null, null)),
                List.of("a sign"),
                List.of(new Version("plain", "Plain", null, "why", null, null, null)),
                "plain",
                Set.of(Hazard.LIFT_LEGS),
                "alone",
                List.of("a tag"));
    }

    private static Technique bare(String id) {
        List<Alias> names =
                id.equals("bump") ? null : List.of(new Alias("another name", null), new Alias("BUMP", null));
        return made(
                id,
                id.equals("bump") ? List.of(new Alias("another name", null)) : names,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null);
    }

    private static Technique made(
            String id,
            List<Alias> aliases,
            Group group,
            Jacket jacket,
            List<Direction> directions,
            String summary,
            List<Step> steps,
            List<String> signs,
            List<Version> versions,
            String house,
            Set<Hazard> hazards,
            String solo,
            List<String> tags) {
        return TechniqueBuilder.builder()
                .id(id)
                .name(id)
                .aliases(aliases)
                .family(Family.THROW)
                .group(group)
                .jacket(jacket)
                .sided(true)
                .directions(directions)
                .summary(summary)
                .steps(steps)
                .signs(signs)
                .versions(versions)
                .houseVersion(house)
                .hazards(hazards)
                .soloForm(solo)
                .tags(tags)
                .learn(2)
                .master(3)
                .build();
    }

    /** Needs, attacks, what a fault opens and what a ruleset forbids follow to the one that stays. */
    @Test
    void whateverNamedALinkOrTheTechniqueFollows() {
        tiny.map.links.add(new Link(
                "needy",
                "mount",
                "follow",
                null,
                null,
                List.of(new Need(Need.Kind.GRIP, "a grip", "sweep"), new Need(Need.Kind.GRIP, "luck", null)),
                null,
                "guard",
                null,
                null,
                null,
                false));
        tiny.map.add(card("hip-bump", "arms", "Pushes with the arms")).add(card("bump", "arms", "Hangs on the arms"));
        tiny.map.reactions.add(new Reaction(
                "of-the-other", "bump-mount", null, "they hang", null, null, "guard", null, "arms", false));
        tiny.map.add(TinyMap.technique("opener", 1)
                .pointing(
                        List.of(),
                        List.of(),
                        List.of("hip-bump", "bump"),
                        List.of(new Fault("open", "see", "why", "fix", "sweep", false)),
                        List.of()));
        tiny.map.reactions.add(new Reaction(
                "hits-back", "follow-link", null, "they sweep", null, null, "mount", "sweep", null, false));
        tiny.map.reactions.add(
                new Reaction("invited", "sweep", null, "they wait", null, null, "guard", null, "arms", false));
        tiny.map.rulesets.add(TinyMap.pinning("pins", "mount", "hip-bump"));
        GrapplingMap map = GrapplingMap.of(merged().map());
        assertThat(map.link("needy").orElseThrow().needs())
                .extracting(Need::madeBy)
                .containsExactly("bump-guard", null);
        assertThat(map.technique("opener").orElseThrow().carriesOverTo()).containsExactly("bump");
        assertThat(map.technique("opener").orElseThrow().faults())
                .extracting(Fault::opens)
                .containsExactly("bump-guard");
        assertThat(map.reaction("hits-back").orElseThrow().attack()).isEqualTo("bump-guard");
        assertThat(map.reaction("invited").orElseThrow())
                .returns("bump-guard", Reaction::link)
                .returns("arms-2", Reaction::fault);
        assertThat(map.reaction("of-the-other").orElseThrow()).returns("arms", Reaction::fault);
        assertThat(map.ruleset("pins").orElseThrow().illegalTechniques()).containsExactly("bump");
    }

    private static Technique card(String id, String fault, String see) {
        Technique plain = TinyMap.technique(id, 2);
        return plain.pointing(
                List.of(), List.of(), List.of(), List.of(new Fault(fault, see, "why", "fix", null, false)), List.of());
    }

    @Test
    void whatCannotBeOneTechniqueIsRefused() {
        tiny.map.add(TinyMap.card("choke", Family.SUBMISSION, 2, List.of(), List.of()));
        Club club = tiny.club();
        assertThatThrownBy(() -> TechniqueMerge.of(club, "bump", "bump")).hasMessageContaining("itself");
        assertThatThrownBy(() -> TechniqueMerge.of(club, "choke", "bump")).hasMessageContaining("family");
        assertThatThrownBy(() -> TechniqueMerge.of(club, "bump", "nothing")).hasMessageContaining("not there");
    }
}
