package lynchet.core.club;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** What is said of a kind of things once, for every list and sentence. */
class PartsTest {

    private static final Part.Names NOBODY = (target, id) -> null;
    private static final Part.Names KIT =
            (target, id) -> target == Target.STUDENT ? "Kit" : target == Target.TRACK ? "Juniors" : "the " + id;

    private final Club tiny = new TinyClub().club();

    @Test
    void everyThingIsSpokenOfWithoutAnId() {
        Parts.ALL.forEach(this::isSpokenOf);
    }

    private <T> void isSpokenOf(Part<T> part) {
        assertThat(tiny.all(part)).as(part.name()).allSatisfy(thing -> {
            String spoken = part.spoken(thing, NOBODY);
            assertThat(spoken).as(part.name()).isNotBlank().doesNotContain("null", "%", "  ");
            assertThat(part.spoken(thing, KIT)).as(part.name()).doesNotContain("null", "%");
            if (part.isRecord()) {
                assertThat(spoken).doesNotContain(part.idOf(thing) + " ").doesNotEndWith(" " + part.idOf(thing));
            }
        });
    }

    @Test
    void recordsAreKnownByWhoseTheyAre() {
        assertThat(Parts.MARKS.spoken(tiny.all(Parts.MARKS).get(0), KIT)).isEqualTo("a mark of Kit");
        assertThat(Parts.MARKS.spoken(tiny.all(Parts.MARKS).get(0), NOBODY)).isEqualTo("a mark");
        assertThat(Parts.CLASSES.spoken(tiny.all(Parts.CLASSES).get(0), KIT)).isEqualTo("the class Juniors");
        assertThat(Parts.CLASSES.spoken(tiny.all(Parts.CLASSES).get(0), NOBODY)).isEqualTo("a class");
    }

    /** A viewer's edits are none; what a coach may not write a coach takes back as little. */
    @Test
    void whatIsTakenBackFromTheListOfChangesIsNoDecisionAboutSomebody() {
        assertThat(Parts.ALL.stream().filter(part -> !part.isUndone()).map(Part::one))
                .containsExactlyInAnyOrder(
                        "closure",
                        "student",
                        "grading",
                        "promotion",
                        "attendance",
                        "incident",
                        "nomination",
                        "merit",
                        "belt",
                        "pairing",
                        "start");
        assertThat(Parts.ALL.stream().filter(Part::isOfCoaches).map(Part::one))
                .containsExactlyInAnyOrder(
                        "chain",
                        "class",
                        "practice",
                        "mark",
                        "pattern",
                        "ignoredLeak",
                        "round",
                        "plan",
                        "cycle",
                        "ask",
                        "credit",
                        "brought",
                        "tally");
        assertThat(Parts.records().filter(Part::hasHistory))
                .as("nobody's records")
                .isEmpty();
    }

    @Test
    void whatWasAboutSomebodyAloneGoesWithThem() {
        assertThat(Parts.ALL.stream()
                        .filter(part -> part.whenErased() == Part.Erased.GOES)
                        .map(Part::name))
                .containsExactlyInAnyOrder("ignoredGaps", "asks", "brought", "syllabusMoves", "nominations");
    }
}
