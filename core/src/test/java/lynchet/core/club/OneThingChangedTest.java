package lynchet.core.club;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import lynchet.core.card.Fault;
import lynchet.core.card.Need;
import lynchet.core.card.Technique;
import lynchet.core.card.Version;
import lynchet.core.chain.Chain;
import lynchet.core.map.Link;
import lynchet.core.map.MapData;
import lynchet.core.map.Position;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Block;
import lynchet.core.mat.BlockBuilder;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.Promotion;
import lynchet.core.people.Readiness;
import lynchet.core.people.Student;
import lynchet.core.rank.Ladder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** A copy says something else in what its name says, and the same in everything else. */
class OneThingChangedTest {

    private static final TinyClub TINY = new TinyClub();

    private static Arguments copy(Object was, Object is, String... changed) {
        return Arguments.of(was, is, List.of(changed));
    }

    static Stream<Arguments> copies() {
        Position position = TinyMap.position("p", 1.2);
        Technique technique = TinyMap.technique("t", 2, "before");
        Link link = new Link("l", "s", "t", "v", "r", null, null, "p", "half", "stopped", "note", false);
        Reaction reaction = new Reaction("r", "l", null, "they post", null, null, "p", "attack", "fault", false);
        PositionPair pair = new PositionPair("p", Stage.GRIPPED, position, TinyMap.position("q", -1.2));
        Ruleset ruleset = TinyMap.pinning("pins", "p", "t");
        Fault fault = new Fault("f", "see", "why", "fix", "opens", true);
        Version version = new Version("v", "Version", null, "because", null, List.of(fault), null);
        Chain chain = TinyClub.chain("c", "guard", "sweep");
        Ladder ladder = TinyClub.ladder("adult", null, null, "hip-bump");
        Student student = TinyClub.student("ana", "11").withNotes("notes");
        TrainingClass trained = TinyClub.trained("c1", "all", "hip-bump");
        Block block = trained.blocks().get(0);
        Promotion given = TinyClub.given("g", "ana", "adult", "white")
                .stamped(Readiness.Verdict.NOT_YET, List.of(), TinyClub.AT, "head");
        return Stream.of(
                copy(position, position.asRetired(), "retired"),
                copy(technique, technique.asRetired(), "retired"),
                copy(
                        technique,
                        technique.pointing(List.of("a"), List.of("b"), List.of("c"), List.of(fault), List.of(version)),
                        "faults",
                        "versions",
                        "prerequisites",
                        "receiverFalls",
                        "carriesOverTo"),
                copy(link, link.asRetired(), "retired"),
                copy(link, link.with("other", null), "technique", "version"),
                copy(link, link.withNeeds(List.of(new Need(Need.Kind.GRIP, "a grip", null))), "needs"),
                copy(reaction, reaction.asRetired(), "retired"),
                copy(reaction, reaction.with("m", null, "g"), "link", "attack", "fault"),
                copy(pair, pair.asRetired(), "first", "second"),
                copy(ruleset, ruleset.forbidding(List.of("u")), "illegalTechniques"),
                copy(fault, fault.with("g", null), "id", "opens"),
                copy(version, version.with("w", List.of()), "id", "faults"),
                copy(chain, chain.ownedBy("coach"), "owner"),
                copy(chain, chain.walking(null), "first"),
                copy(ladder, ladder.counting(List.of("juniors")), "tracks"),
                copy(student, student.as("other"), "id"),
                copy(student, student.withNotes("others"), "notes"),
                copy(student, student.withoutPrivate(), "notes"),
                copy(trained, trained.calledOff(true), "cancelled"),
                copy(trained, trained.withBlocks(List.of()), "blocks"),
                copy(block, block.drilling("other", "v", "f"), "technique", "version", "watchFault"),
                copy(given, given.withoutReasons(), "verdict"));
    }

    @ParameterizedTest
    @MethodSource("copies")
    void everythingElseStays(Record was, Record is, List<String> changed) throws Exception {
        List<String> different = new ArrayList<>();
        for (RecordComponent part : was.getClass().getRecordComponents()) {
            if (!Objects.equals(
                    part.getAccessor().invoke(was), part.getAccessor().invoke(is))) {
                different.add(part.getName());
            }
        }
        assertThat(different).containsExactlyInAnyOrderElementsOf(changed);
    }

    /** What is changed takes the place it had, what is new comes last; nothing changed leaves the very same. */
    @Test
    void aMapIsChangedInItsPlaces() {
        MapData map = TINY.map.data();
        Technique harder = TinyMap.technique("hip-bump", 5);
        PositionPair pair = new PositionPair("new", Stage.GRIPPED, TinyMap.position("new", 0), null);
        Link link = new Link("new", "s", "hip-bump", null, null, null, null, "guard", null, null, null, false);
        Reaction reaction = new Reaction("new", "sweep", null, "they post", null, null, "s", null, null, false);
        MapData changed = map.with(MapData.only(harder))
                .with(MapData.only(pair))
                .with(MapData.only(link))
                .with(MapData.only(reaction));
        assertThat(changed.techniques()).containsExactly(harder);
        assertThat(changed.pairs()).hasSize(map.pairs().size() + 1).last().isEqualTo(pair);
        assertThat(changed.links()).startsWith(map.links().get(0)).last().isEqualTo(link);
        assertThat(changed.reactions()).containsExactly(reaction);
        assertThat(changed.rulesets()).isEqualTo(map.rulesets());
    }

    @Test
    void aBlockIsFoundByItsIdAndDrillsByItsKind() {
        TrainingClass trained = TinyClub.trained("c1", "all", "hip-bump");
        assertThat(trained.block("b1")).hasValue(trained.blocks().get(0));
        assertThat(trained.block("b2")).isEmpty();
        assertThat(Stream.of(Block.Kind.values()).filter(kind -> BlockBuilder.builder()
                        .id("b")
                        .kind(kind)
                        .title("T")
                        .minutes(5)
                        .build()
                        .drills()))
                .containsExactly(Block.Kind.BREAKFALLS, Block.Kind.PART_DRILL, Block.Kind.WHOLE_DRILL);
    }

    @Test
    void aClosureClosesItsTracksOnItsDays() {
        var easter = TINY.closures.get(0);
        assertThat(easter.closes("all", easter.from())).isTrue();
        assertThat(easter.closes("all", easter.until())).isTrue();
        assertThat(easter.closes("all", easter.from().minusDays(1))).isFalse();
        assertThat(easter.closes("all", easter.until().plusDays(1))).isFalse();
        assertThat(easter.closes("juniors", easter.from())).isFalse();
        TrainingClass then = TinyClub.trained("c", easter.from(), "all", List.of(), false);
        assertThat(easter.closes(then)).isTrue();
        assertThat(easter.closes(TinyClub.trained("c1", "all", "hip-bump"))).isFalse();
    }
}
