package lynchet.core.mat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import lynchet.core.card.Family;
import lynchet.core.card.Jacket;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

/**
 * A stream of classes: juniors, fundamentals, no-jacket …, with its weekly times.
 *
 * @param teaches the families of techniques that it is about, which its plans are offered first; none: all of them
 */
public record Track(
        String id,
        @Most(60) String name,
        Jacket jacket,
        List<Slot> slots,
        @Most(12) List<Family> teaches) {

    /**
     * A weekly time.
     *
     * @param from first day on which it holds; null: always so far
     * @param until last day on which it holds; null: until further notice
     * @param minutes length of a class, 5 to 480
     * @param area the mat area; may be null
     * @param coach who usually gives it: the id of a person, an account, or a name as it was written; may be null
     * @param lanes how many pairs have room to throw at once, 0 to 60; 0: all of them
     */
    public record Slot(
            @Most(60) String id,
            @Nullable LocalDate from,
            @Nullable LocalDate until,
            DayOfWeek day,
            LocalTime start,
            int minutes,
            @Nullable String area,
            @Most(80) @Nullable String coach,
            @Usual("0") int lanes) {
        public Slot {
            Require.id("a slot", id);
            Require.present("the day of this slot", day);
            Require.present("the start of this slot", start);
            Require.within("the lanes of this slot", lanes, 0, 60);
            Require.within("the minutes of this slot", minutes, 5, 480);
            if (from != null && until != null && until.isBefore(from)) {
                throw new IllegalArgumentException("this slot ends before it begins");
            }
        }

        /** The same time with another coach. */
        public Slot givenBy(@Nullable String other) {
            return new Slot(id, from, until, day, start, minutes, area, other, lanes);
        }

        /** Whether there is a class in it on a day. */
        public boolean holdsOn(LocalDate date) {
            return date.getDayOfWeek() == day
                    && (from == null || !date.isBefore(from))
                    && (until == null || !date.isAfter(until));
        }

        /** The id of its class on a day, the same wherever it is made. */
        public String classOn(LocalDate date) {
            return id + "-" + date;
        }
    }

    public Track {
        Require.id("a track", id);
        Require.text("the name of this track", name);
        jacket = jacket == null ? Jacket.EITHER : jacket;
        slots = Require.list(slots);
        teaches = Require.list(teaches);
        if (slots.stream().map(Slot::id).distinct().count() != slots.size()) {
            throw new IllegalArgumentException("this track names a slot twice");
        }
    }

    /** The same track with another coach where one is named so. */
    public Track givenBy(String named, String coach) {
        List<Slot> others = slots.stream()
                .map(slot -> named.equals(slot.coach()) ? slot.givenBy(coach) : slot)
                .toList();
        return new Track(id, name, jacket, others, teaches);
    }

    /** Whether something is of what the track is about; falls are part of throwing. */
    public boolean teaches(Family family) {
        boolean throwing = teaches.stream().anyMatch(Family::bringsDown);
        return teaches.isEmpty() || teaches.contains(family) || throwing && family == Family.BREAKFALL;
    }

    /** A class of one of its slots on a day, nothing planned for it yet. */
    public TrainingClass planned(Slot slot, LocalDate date, String term) {
        return TrainingClassBuilder.builder()
                .id(slot.classOn(date))
                .date(date)
                .start(slot.start())
                .minutes(slot.minutes())
                .track(id)
                .slot(slot.id())
                .term(term)
                .coach(slot.coach())
                .area(slot.area())
                .lanes(slot.lanes())
                .build();
    }
}
