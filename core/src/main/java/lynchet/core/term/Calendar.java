package lynchet.core.term;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;

/**
 * Which classes the weekly slots give on which days: a slot of a track gives one on its weekday, while it holds, unless a
 * closure or a term that covers the day says otherwise. Such a class is kept only once something is recorded
 * or planned for it; until then everybody works it out to the same id.
 */
public final class Calendar {

    private final List<Track> tracks;
    private final List<Term> terms;
    private final List<Closure> closures;
    private final UnaryOperator<TrainingClass> filling;

    private Calendar(
            List<Track> tracks, List<Term> terms, List<Closure> closures, UnaryOperator<TrainingClass> filling) {
        this.tracks = tracks;
        this.terms = terms;
        this.closures = closures;
        this.filling = filling;
    }

    public static Calendar of(List<Track> tracks, List<Term> terms, List<Closure> closures) {
        return new Calendar(tracks, terms, closures, UnaryOperator.identity());
    }

    /** The same calendar, its classes filled by a plan. */
    public Calendar filledBy(UnaryOperator<TrainingClass> plan) {
        return new Calendar(tracks, terms, closures, plan);
    }

    /** The classes of a day and the days after it up to another one, in order of time. */
    public List<TrainingClass> between(LocalDate from, LocalDate to) {
        List<TrainingClass> classes = new ArrayList<>();
        for (LocalDate day = from; !day.isAfter(to); day = day.plusDays(1)) {
            for (Track track : tracks) {
                for (Track.Slot slot : track.slots()) {
                    if (slot.holdsOn(day) && isOpen(track.id(), day) && isUsed(slot, day)) {
                        classes.add(filling.apply(track.planned(slot, day, termOn(day))));
                    }
                }
            }
        }
        classes.sort(Comparator.comparing(TrainingClass::date)
                .thenComparing(TrainingClass::start)
                .thenComparing(TrainingClass::id));
        return classes;
    }

    /** The class of this id, if a slot gives one: its id is the slot's and the day. */
    public Optional<TrainingClass> find(String classId) {
        for (Track track : tracks) {
            for (Track.Slot slot : track.slots()) {
                if (classId.startsWith(slot.id() + "-")) {
                    Optional<LocalDate> day = day(classId.substring(slot.id().length() + 1));
                    if (day.isPresent() && slot.holdsOn(day.get())) {
                        return Optional.of(filling.apply(track.planned(slot, day.get(), termOn(day.get()))));
                    }
                }
            }
        }
        return Optional.empty();
    }

    private static Optional<LocalDate> day(String text) {
        try {
            return Optional.of(LocalDate.parse(text));
        } catch (java.time.format.DateTimeParseException e) {
            return Optional.empty();
        }
    }

    private boolean isOpen(String track, LocalDate day) {
        return closures.stream().noneMatch(closure -> closure.closes(track, day));
    }

    private boolean isUsed(Track.Slot slot, LocalDate day) {
        List<Term> covering = terms.stream().filter(term -> term.covers(day)).toList();
        return covering.isEmpty()
                || covering.stream()
                        .anyMatch(term -> term.slots().contains(slot.id())
                                && !term.closures().contains(day));
    }

    private String termOn(LocalDate day) {
        return terms.stream()
                .filter(term -> term.covers(day))
                .map(Term::id)
                .findFirst()
                .orElse(null);
    }
}
