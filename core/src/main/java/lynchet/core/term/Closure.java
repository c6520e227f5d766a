package lynchet.core.term;

import java.time.LocalDate;
import java.util.List;
import lynchet.core.mat.TrainingClass;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;

/**
 * Days on which the weekly slots give no class: holidays, a hall that is let to others.
 *
 * @param from first day
 * @param until last day, at most a year after the first
 * @param tracks ids of the tracks that do not train; empty: nobody does
 */
public record Closure(
        String id,
        @Most(100) String name,
        LocalDate from,
        LocalDate until,
        @Most(200) List<String> tracks) {

    public Closure {
        Require.id("a closure", id);
        Require.text("the name of this closure", name);
        Require.present("the first day of this closure", from);
        Require.present("the last day of this closure", until);
        if (until.isBefore(from)) {
            throw new IllegalArgumentException("this closure ends before it begins");
        }
        if (until.isAfter(from.plusYears(1))) {
            throw new IllegalArgumentException("this closure is longer than a year; give the slots an end instead");
        }
        tracks = Require.list(tracks);
    }

    public boolean closes(String track, LocalDate day) {
        return !day.isBefore(from) && !day.isAfter(until) && (tracks.isEmpty() || tracks.contains(track));
    }

    /** Whether nobody at all trains on a day. */
    public boolean closesAll(LocalDate day) {
        return tracks.isEmpty() && !day.isBefore(from) && !day.isAfter(until);
    }

    public boolean closes(TrainingClass trained) {
        return closes(trained.track(), trained.date());
    }
}
