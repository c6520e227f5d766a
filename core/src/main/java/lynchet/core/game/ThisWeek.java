package lynchet.core.game;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.people.Fading;
import lynchet.core.people.Progress;
import lynchet.core.people.StudentState;
import lynchet.core.rank.Rank;
import lynchet.core.rule.Phrases;
import org.jspecify.annotations.Nullable;

/**
 * One thing a student does well to work on this week, with why.
 *
 * @param subject id of the technique, chain or item
 * @param side the side it is about; null: neither in particular
 * @param why a sentence a coach would say, without the name of the thing
 */
public record ThisWeek(Kind kind, String subject, @Nullable Side side, String why) {

    /** What sort of work it is, in the order in which it is named. */
    public enum Kind {
        FALL,
        RUSTY,
        NEARLY,
        OTHER_SIDE,
        NEXT
    }

    /** Of each kind at most so many: a week is short. */
    private static final Map<Kind, Integer> MOST =
            Map.of(Kind.FALL, 1, Kind.RUSTY, 2, Kind.NEARLY, 2, Kind.OTHER_SIDE, 1, Kind.NEXT, 1);

    /** A session or two from being met. */
    private static final int NEARLY_SESSIONS = 2;

    /**
     * What to work on, most pressing first, nothing twice.
     *
     * @param ranks the ranks that the student holds, whose syllabus they work on
     */
    public static List<ThisWeek> of(
            StudentState state,
            Progress progress,
            List<Rank> ranks,
            GamePlan plan,
            Lopsided sides,
            List<GamePlan.Next> next,
            LocalDate today) {
        List<ThisWeek> all = new ArrayList<>();
        for (Rank rank : ranks) {
            progress.openFalls(rank)
                    .forEach(fall -> all.add(new ThisWeek(
                            Kind.FALL, fall, null, "a fall that the throws of this rank need; not passed yet")));
        }
        rusty(state, progress, plan, ranks, today, all);
        ranks.forEach(rank -> nearly(progress, rank, today, all));
        sides.oneSided()
                .forEach(one -> all.add(new ThisWeek(
                        Kind.OTHER_SIDE,
                        one.technique(),
                        one.weaker(),
                        one.right() + " on the right, " + one.left() + " on the left")));
        next.forEach(one -> all.add(new ThisWeek(
                Kind.NEXT,
                one.technique(),
                null,
                "one more answer at " + Phrases.count(one.helps().size(), "position", "positions"))));
        return few(all);
    }

    private static List<ThisWeek> few(List<ThisWeek> all) {
        Map<Kind, Integer> so = new HashMap<>();
        Set<String> named = new HashSet<>();
        return all.stream()
                .filter(one -> !named.contains(one.subject())
                        && so.merge(one.kind(), 1, Integer::sum) <= MOST.get(one.kind())
                        && named.add(one.subject()))
                .sorted(Comparator.comparing(ThisWeek::kind))
                .toList();
    }

    /** What has gone to weed and matters: plans it is part of, then what the rank asks, then the longest ago. */
    private static void rusty(
            StudentState state,
            Progress progress,
            GamePlan plan,
            List<Rank> ranks,
            LocalDate today,
            List<ThisWeek> all) {
        Map<String, Long> planned = new HashMap<>();
        plan.places()
                .forEach(place -> place.best().forEach(choice -> planned.merge(choice.technique(), 1L, Long::sum)));
        Set<String> asked = new HashSet<>();
        ranks.forEach(rank -> rank.items().forEach(item -> asked.add(progress.subject(item))));
        record Gone(String technique, Fading fading) {}
        List<Gone> gone = new ArrayList<>();
        Set<String> subjects = new HashSet<>(planned.keySet());
        subjects.addAll(asked);
        for (String subject : subjects) {
            Optional<Fading> fading = state.on(subject, null);
            boolean isTheirs = HowKnown.of(subject, state, today).isPresent();
            if (isTheirs
                    && fading.filter(f -> f.stateOn(today) == Fading.State.RUSTY)
                            .isPresent()) {
                gone.add(new Gone(subject, fading.orElseThrow()));
            }
        }
        gone.sort(
                Comparator.comparing((Gone one) -> planned.getOrDefault(one.technique(), 0L), Comparator.reverseOrder())
                        .thenComparing(one -> one.fading().last())
                        .thenComparing(Gone::technique));
        for (Gone one : gone) {
            long weeks = ChronoUnit.WEEKS.between(one.fading().last(), today);
            String since = one.fading().isPractised()
                    ? "last done " + Phrases.count((int) weeks, "week", "weeks") + " ago"
                    : "from before, not done here in " + Phrases.count((int) weeks, "week", "weeks");
            long places = planned.getOrDefault(one.technique(), 0L);
            String why = places == 0
                    ? since
                    : since + ", and what they go for at " + Phrases.count((int) places, "position", "positions");
            all.add(new ThisWeek(Kind.RUSTY, one.technique(), null, why));
        }
    }

    /** Items that a session or two would meet, and those that are drilled and wait to be shown. */
    private static void nearly(Progress progress, Rank rank, LocalDate today, List<ThisWeek> all) {
        record Close(Progress.ItemProgress item, int sessions) {}
        List<Close> close = new ArrayList<>();
        for (Progress.GroupProgress group : progress.of(rank, today)) {
            for (Progress.ItemProgress item : group.allMet() ? List.<Progress.ItemProgress>of() : group.items()) {
                int toGo = item.item().standard() == Standard.DRILLED ? Fading.DRILLED_AFTER - item.sessions() : 0;
                boolean isDrilled = item.have() != null && item.have().compareTo(Standard.DRILLED) >= 0;
                boolean isClose = item.item().standard() == Standard.DRILLED
                        ? item.sessions() > 0 && toGo <= NEARLY_SESSIONS
                        : isDrilled;
                if (!item.met() && isClose) {
                    close.add(new Close(item, toGo));
                }
            }
        }
        close.sort(Comparator.comparingInt(Close::sessions));
        for (Close one : close) {
            Progress.ItemProgress item = one.item();
            String why = item.item().standard() == Standard.DRILLED
                    ? item.missing()
                    : "drilled; ready to be " + judged(item.item().standard());
            all.add(new ThisWeek(Kind.NEARLY, progress.subject(item.item()), null, why));
        }
    }

    private static String judged(Standard standard) {
        return switch (standard) {
            case MOVING -> "shown on the move";
            case LIVE -> "shown live";
            case INTRODUCED, DRILLED, SHOWN -> "shown";
        };
    }
}
