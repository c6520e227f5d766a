package lynchet.core.leak;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.people.Fading;
import lynchet.core.people.StudentState;
import lynchet.core.rule.Phrases;
import org.jspecify.annotations.Nullable;

/**
 * What members are caught with, from rounds and cards of a window (design: leaks). From a card come the position and the finish;
 * the missed answers are the links of the one who is caught from the counterpart of that position. Worked: 7 of 140 rounds → 5 in
 * a hundred; 4 of 140 → a list, no rate.
 */
public final class Leaks {

    /** Below so many times it is a list, not a rate. */
    public static final int RATE = 5;

    private static final String[] TIMES = {"", "once", "twice"};

    /**
     * What happened in a window.
     *
     * @param rounds how many rounds there were in it
     */
    public record Window(int rounds, List<Caught> caught) {}

    private final GrapplingMap map;
    private final Map<String, StudentState> states;
    private final LocalDate day;

    private Leaks(GrapplingMap map, Map<String, StudentState> states, LocalDate day) {
        this.map = map;
        this.states = states;
        this.day = day;
    }

    /**
     * All of them, what catches most first; where the position was not seen nothing is told.
     *
     * @param states of those who were caught, with what they have of the {@link #answers answers}
     */
    public static List<Leak> of(
            GrapplingMap map, Window now, Window before, Map<String, StudentState> states, LocalDate day) {
        Leaks leaks = new Leaks(map, states, day);
        Map<String, List<Caught>> here = byPosition(now, map);
        Map<String, List<Caught>> earlier = byPosition(before, map);
        return here.entrySet().stream()
                .map(one -> leaks.leak(
                        one.getKey(),
                        one.getValue(),
                        now.rounds(),
                        times(earlier.getOrDefault(one.getKey(), List.of())),
                        before.rounds()))
                .sorted(Comparator.comparingInt(Leak::times)
                        .thenComparingInt(leak -> leak.times() - leak.before())
                        .reversed()
                        .thenComparing(Leak::position))
                .toList();
    }

    /** Ids of the techniques that answer what happened in a window. */
    public static List<String> answers(GrapplingMap map, Window window) {
        return byPosition(window, map).keySet().stream()
                .flatMap(position -> ways(position, map).stream())
                .map(Link::technique)
                .distinct()
                .sorted()
                .toList();
    }

    private static Map<String, List<Caught>> byPosition(Window window, GrapplingMap map) {
        return window.caught().stream()
                .filter(one ->
                        one.position() != null && map.position(one.position()).isPresent())
                .collect(Collectors.groupingBy(Caught::position));
    }

    /** Ways out for the one who is caught, without those that wait for a reaction. */
    private static List<Link> ways(String position, GrapplingMap map) {
        return map.linksFrom(map.counterpart(position).id()).stream()
                .filter(link -> !link.answersReaction())
                .toList();
    }

    private static int times(List<Caught> caught) {
        return caught.stream().mapToInt(Caught::times).sum();
    }

    private Leak leak(String position, List<Caught> caught, int rounds, int before, int roundsBefore) {
        int times = times(caught);
        boolean isRate = times >= RATE;
        List<String> whose = whose(caught);
        List<Leak.Answer> answers = ways(position, map).stream()
                .map(link -> answer(link, whose))
                .sorted(Comparator.comparingInt(Leak.Answer::taught)
                        .thenComparingInt(Leak.Answer::drilled)
                        .reversed()
                        .thenComparingInt(answer -> technique(answer).learn())
                        .thenComparing(Leak.Answer::link))
                .toList();
        return new Leak(
                position,
                times,
                before,
                isRate ? perHundred(times, rounds) : null,
                isRate && roundsBefore > 0 ? perHundred(before, roundsBefore) : null,
                finishes(caught),
                whose,
                answers,
                says(position, times, whose.size(), answers));
    }

    private static @Nullable Double perHundred(int times, int rounds) {
        return rounds == 0 ? null : 100.0 * times / rounds;
    }

    private static List<String> whose(List<Caught> caught) {
        Map<String, Integer> often = new HashMap<>();
        caught.forEach(one -> often.merge(one.student(), one.times(), Integer::sum));
        return often.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue()
                        .reversed()
                        .thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .toList();
    }

    private List<Leak.Finish> finishes(List<Caught> caught) {
        Map<List<Object>, Leak.Finish> all = new HashMap<>();
        for (Caught one : caught) {
            String technique = map.link(one.link()).map(Link::technique).orElse(null);
            List<Object> key = new ArrayList<>(List.of(one.how(), String.valueOf(technique)));
            all.merge(
                    key,
                    new Leak.Finish(one.how(), technique, one.times()),
                    (a, b) -> new Leak.Finish(a.how(), a.technique(), a.times() + b.times()));
        }
        return all.values().stream()
                .sorted(Comparator.comparingInt(Leak.Finish::times)
                        .reversed()
                        .thenComparing(Leak.Finish::how)
                        .thenComparing(finish -> String.valueOf(finish.technique())))
                .toList();
    }

    private Leak.Answer answer(Link link, List<String> whose) {
        int taught = 0;
        int drilled = 0;
        int fresh = 0;
        int rusty = 0;
        int fromBefore = 0;
        for (String student : whose) {
            StudentState state = states.getOrDefault(student, StudentState.empty());
            if (!state.introduced(link.technique())) {
                continue;
            }
            taught++;
            Optional<Fading> practised = state.on(link.technique(), null).filter(Fading::isPractised);
            if (practised.isEmpty()) {
                fromBefore++;
                continue;
            }
            drilled++;
            Fading.State now = practised.get().stateOn(day);
            fresh += now == Fading.State.FRESH ? 1 : 0;
            rusty += now == Fading.State.RUSTY ? 1 : 0;
        }
        return new Leak.Answer(link.id(), link.technique(), taught, drilled, fresh, rusty, fromBefore);
    }

    private Technique technique(Leak.Answer answer) {
        return map.technique(answer.technique()).orElseThrow();
    }

    /** "Caught 7 times from front headlock; the answer is on the map, taught to 3 of 7, rusty in 2." */
    private String says(String position, int times, int people, List<Leak.Answer> answers) {
        String often = times < TIMES.length ? TIMES[times] : times + " times";
        String caught = "Caught " + often + " from "
                + map.position(position).orElseThrow().name().toLowerCase(Locale.ROOT) + "; ";
        if (answers.isEmpty()) {
            return caught + "the map has no answer yet.";
        }
        Leak.Answer best = answers.get(0);
        String answer = answers.size() == 1
                ? "the answer is on the map (" + technique(best).name() + ")"
                : "an answer is on the map (" + technique(best).name() + ")";
        return caught + answer + ", " + taughtTo(best, people) + ".";
    }

    private static String taughtTo(Leak.Answer best, int people) {
        String whom = people == 1 ? "them" : "any of the " + people;
        if (best.taught() == 0) {
            return "not shown to " + whom + " yet";
        }
        String taught = best.taught() == people
                ? people == 1 ? "they were shown it" : "shown to all " + people
                : "shown to " + best.taught() + " of " + people;
        List<String> more = new ArrayList<>(List.of(taught));
        if (best.fromBefore() > 0) {
            more.add("only from before in " + best.fromBefore());
        }
        if (best.rusty() > 0) {
            more.add("rusty in " + best.rusty());
        }
        return Phrases.and(more).replace(" and rusty", ", rusty").replace(" and only", ", only");
    }
}
