package lynchet.format.ics;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.function.Function;
import lynchet.core.mat.TrainingClass;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Status;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableStatus;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/** Classes, closed days and gradings as an iCalendar file; times are the club's own, without a zone. */
public final class ClassesIcs {

    private final Calendar calendar = new Calendar();
    private final DtStamp stamp;

    /** @param written when it is written */
    public ClassesIcs(Instant written) {
        calendar.add(new ProdId("-//Lynchet//Lynchet//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        stamp = new DtStamp(written);
    }

    /**
     * Adds classes; one that is called off says so.
     *
     * @param track the name of a track by its id
     */
    public ClassesIcs classes(List<TrainingClass> classes, Function<String, String> track) {
        for (TrainingClass one : classes) {
            LocalDateTime start = one.date().atTime(one.start());
            VEvent event = event(one.id(), new VEvent(start, start.plusMinutes(one.minutes()), title(one, track)));
            if (one.area() != null) {
                event.add(new Location(one.area()));
            }
            if (one.theme() != null) {
                event.add(new Description(one.theme()));
            }
            Status status = one.cancelled() ? ImmutableStatus.VEVENT_CANCELLED : ImmutableStatus.VEVENT_CONFIRMED;
            event.add(status);
        }
        return this;
    }

    private static String title(TrainingClass one, Function<String, String> track) {
        String name = track.apply(one.track());
        return one.group() == null ? name : name + ", " + one.group();
    }

    /** Adds whole days, the last one among them. */
    public ClassesIcs days(String id, String name, LocalDate from, LocalDate until) {
        event(id, new VEvent(from, until.plusDays(1), name));
        return this;
    }

    private VEvent event(String id, VEvent event) {
        event.getProperties().stream()
                .filter(property -> property instanceof DtStamp || property instanceof Uid)
                .toList()
                .forEach(event::remove);
        event.add(stamp);
        event.add(new Uid(id + "@lynchet"));
        calendar.add(event);
        return event;
    }

    @Override
    public String toString() {
        return calendar.toString();
    }
}
