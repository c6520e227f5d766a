package lynchet.core.club;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import lynchet.core.map.Family;
import lynchet.core.map.Fault;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Stage;
import lynchet.core.map.Technique;
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
        assertThatThrownBy(() -> TechniqueMerge.of(club, "bump", "nothing")).hasMessageContaining("nothing");
    }
}
