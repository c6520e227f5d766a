package lynchet.core.numbers;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.core.card.Hazard;
import lynchet.core.card.Technique;
import lynchet.core.rule.Nonsense;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;

/**
 * The numbers by which a club keeps its people safe. What protects may only be made stricter than usual: ages of hazards
 * rise, gaps in weight and years and falls in a class shrink; the rest is free within bounds.
 *
 * @param id always {@value #ID}: a club has them once
 * @param juniorsBelow juniors are younger than this, in years
 * @param ofAge from this age on nobody's guardian is asked, in years
 * @param newWeeks somebody is new for so many weeks: few falls, and not two new ones together in throws or live
 * @param liveWeeks before so many weeks the coach says whether somebody goes live
 * @param throwMetres a pair that throws has a square of this side, in metres
 * @param groundMetres a pair on the ground has a square of this side, in metres
 * @param weightGap per cent of the lighter's weight by which two may differ
 * @param juniorLiveGap the same for juniors in live rounds
 * @param juniorKg juniors may differ by so many kilograms all the same, where that is more
 * @param juniorLiveKg the same in live rounds
 * @param juniorYears juniors differ by at most so many years
 * @param fewFalls falls a class for juniors and for those who are new
 * @param mostFalls falls a class for everybody else
 * @param ages hazards whose ages the club raised
 */
public record ClubNumbers(
        String id,
        @Usual("16") int juniorsBelow,
        @Usual("18") int ofAge,
        @Usual("13") int newWeeks,
        @Usual("4") int liveWeeks,
        @Usual("4") double throwMetres,
        @Usual("2.5") double groundMetres,
        @Usual("20") int weightGap,
        @Usual("10") int juniorLiveGap,
        @Usual("4") double juniorKg,
        @Usual("3") double juniorLiveKg,
        @Usual("2") int juniorYears,
        @Usual("20") int fewFalls,
        @Usual("60") int mostFalls,
        List<Raised> ages) {

    /** The one id. */
    public static final String ID = "club";

    private static final int WEEK = 7;
    private static final int OLDEST = 99;

    /**
     * A hazard whose ages the club raised.
     *
     * @param from youngest age at which it is trained; 0: any
     * @param shownBelow below this age it is only shown; 0: no such age
     */
    public record Raised(
            Hazard hazard, @Usual("0") int from, @Usual("0") int shownBelow) {

        public Raised {
            Require.present("the hazard of a raised age", hazard);
            Ages usual = Ages.of(hazard);
            Require.within("the age from which it is trained", from, usual.from(), OLDEST);
            Require.within("the age up to which it is only shown", shownBelow, usual.shownBelow(), OLDEST);
        }
    }

    /**
     * Within what a number may be chosen.
     *
     * @param field its name
     * @param words what it is, for a person
     * @param unit what it counts
     */
    public record Bound(String field, String words, String unit, double least, double most, double usual) {}

    private static final Map<String, Bound> BOUNDS = Stream.of(
                    new Bound("juniorsBelow", "Juniors are younger than", "years", 13, 18, 16),
                    new Bound("ofAge", "Of age from", "years", 16, 21, 18),
                    new Bound("newWeeks", "Somebody is new for", "weeks", 4, 52, 13),
                    new Bound("liveWeeks", "Not live by themselves for", "weeks", 0, 26, 4),
                    new Bound("throwMetres", "Room for a pair that throws", "m each way", 3, 8, 4),
                    new Bound("groundMetres", "Room for a pair on the ground", "m each way", 2, 6, 2.5),
                    new Bound("weightGap", "Heavier by at most", "% of the lighter", 5, 20, 20),
                    new Bound("juniorLiveGap", "Juniors in live rounds by at most", "% of the lighter", 5, 10, 10),
                    new Bound("juniorKg", "Juniors: always allowed up to", "kg", 0, 4, 4),
                    new Bound("juniorLiveKg", "Juniors in live rounds: always allowed up to", "kg", 0, 3, 3),
                    new Bound("juniorYears", "Juniors apart by at most", "years", 0, 2, 2),
                    new Bound("fewFalls", "Falls a class, juniors and new", "falls", 0, 20, 20),
                    new Bound("mostFalls", "Falls a class, everybody else", "falls", 0, 60, 60))
            .collect(Collectors.toMap(
                    Bound::field, Function.identity(), (one, other) -> one, java.util.LinkedHashMap::new));

    /** As long as a club has not said otherwise. */
    public static final ClubNumbers USUAL =
            new ClubNumbers(ID, 16, 18, 13, 4, 4, 2.5, 20, 10, 4, 3, 2, 20, 60, List.of());

    public ClubNumbers {
        if (!ID.equals(id)) {
            throw new Nonsense(Nonsense.Rule.ID_FORM, "/id", "a club has its numbers once, under the id " + ID);
        }
        within("juniorsBelow", juniorsBelow);
        within("ofAge", ofAge);
        within("newWeeks", newWeeks);
        within("liveWeeks", liveWeeks);
        within("throwMetres", throwMetres);
        within("groundMetres", groundMetres);
        within("weightGap", weightGap);
        within("juniorLiveGap", juniorLiveGap);
        within("juniorKg", juniorKg);
        within("juniorLiveKg", juniorLiveKg);
        within("juniorYears", juniorYears);
        within("fewFalls", fewFalls);
        within("mostFalls", mostFalls);
        if (fewFalls > mostFalls) {
            throw new Nonsense(
                    Nonsense.Rule.OUT_OF_RANGE, "/fewFalls", "juniors do not fall more often than everybody else");
        }
        ages = Require.list("the raised ages", ages);
        if (ages.stream().map(Raised::hazard).distinct().count() != ages.size()) {
            throw new Nonsense(Nonsense.Rule.TOO_MANY, "/ages", "a hazard's ages are raised once");
        }
    }

    private static void within(String field, double value) {
        Bound bound = BOUNDS.get(field);
        if (!(value >= bound.least() && value <= bound.most())) {
            throw new Nonsense(
                    Nonsense.Rule.OUT_OF_RANGE,
                    "/" + field,
                    bound.words() + ": from " + plain(bound.least()) + " to " + plain(bound.most()) + " " + bound.unit()
                            + ", not " + plain(value));
        }
    }

    private static String plain(double value) {
        return value == Math.rint(value) && Math.abs(value) < 1e9
                ? String.valueOf((long) value)
                : String.valueOf(value);
    }

    /** Within what each number may be chosen, in the order in which they are read. */
    public static List<Bound> bounds() {
        return List.copyOf(BOUNDS.values());
    }

    /** From which age something of a hazard is taught here. */
    public Ages ages(Hazard hazard) {
        Ages usual = Ages.of(hazard);
        return ages.stream()
                .filter(raised -> raised.hazard() == hazard)
                .map(raised -> usual.and(new Ages(raised.from(), raised.shownBelow(), false)))
                .findFirst()
                .orElse(usual);
    }

    /** From which age a technique is taught here: the strictest of its hazards. */
    public Ages ages(Technique technique) {
        return technique.hazards().stream().map(this::ages).reduce(Ages.ANY, Ages::and);
    }

    /** For how many days somebody is new. */
    public int newDays() {
        return WEEK * newWeeks;
    }

    /** Before how many days the coach says whether somebody goes live. */
    public int liveDays() {
        return WEEK * liveWeeks;
    }
}
