package lynchet.format.ics;

import java.io.IOException;
import java.io.StringReader;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.temporal.Temporal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lynchet.core.rule.Require;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.Recur;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ExDate;
import net.fortuna.ical4j.model.property.RRule;
import net.fortuna.ical4j.model.property.Summary;
import org.jspecify.annotations.Nullable;

/**
 * The whole days of an iCalendar file: school holidays, days on which a hall is shut.
 *
 * @param off in order of their days
 * @param timed how many events have a time of day: they close no day
 */
public record DaysOff(List<Off> off, int timed) {

    private static final int MOST = 500;
    private static final int NAME = 100;
    private static final int LONGEST_DAYS = 366;
    private static final int YEARS = 5;

    /** Some days on end, the last one among them. */
    public record Off(String name, LocalDate from, LocalDate until) {}

    public DaysOff {
        off = Require.list(off);
    }

    /**
     * Reads a file.
     *
     * @throws BadCalendar if it is no calendar, an event has no day, recurs without an end, or there are too many
     */
    public static DaysOff of(String ics) {
        List<Off> off = new ArrayList<>();
        int timed = 0;
        int n = 0;
        for (Object component : read(ics).getComponents(Component.VEVENT)) {
            VEvent event = (VEvent) component;
            n++;
            String name = name(event, n);
            LocalDate from = day(event, n, name);
            if (from == null) {
                timed++;
                continue;
            }
            LocalDate until = last(event, from, n, name);
            for (LocalDate begin : begins(event, from, n, name)) {
                off.add(new Off(name, begin, begin.plusDays(until.toEpochDay() - from.toEpochDay())));
                if (off.size() > MOST) {
                    throw new BadCalendar(
                            "ICS_MANY", "The file closes more than " + MOST + " times: take a shorter one.");
                }
            }
        }
        off.sort(Comparator.comparing(Off::from).thenComparing(Off::until).thenComparing(Off::name));
        return new DaysOff(off.stream().distinct().toList(), timed);
    }

    private static Calendar read(String ics) {
        try {
            return new CalendarBuilder().build(new StringReader(ics));
        } catch (ParserException e) {
            throw new BadCalendar("ICS_NONSENSE", "Line " + e.getLineNo() + " of the file is not iCalendar.");
        } catch (IOException | RuntimeException | StackOverflowError e) {
            throw new BadCalendar("ICS_NONSENSE", "The file is not iCalendar.");
        }
    }

    private static String name(VEvent event, int n) {
        Optional<Summary> summary = event.getProperty(Property.SUMMARY);
        String said = summary.map(Summary::getValue).map(String::strip).orElse("");
        String name = said.isEmpty() ? "Closed (" + n + ")" : said;
        return name.length() <= NAME ? name : name.substring(0, NAME).strip();
    }

    /** Its first day; null where it has a time of day. */
    private static @Nullable LocalDate day(VEvent event, int n, String name) {
        Optional<DtStart<Temporal>> start = event.getProperty(Property.DTSTART);
        Temporal from;
        try {
            from = start.map(DtStart::getDate).orElse(null);
        } catch (DateTimeException zone) {
            return null; // a time of day in a zone that the file names and does not describe
        }
        return value(from, "DTSTART", n, name) instanceof LocalDate day ? day : null;
    }

    private static Temporal value(@Nullable Temporal value, String what, int n, String name) {
        if (value == null) {
            throw new BadCalendar("ICS_DAY", "Event " + n + ", " + name + ", has no " + what + ".");
        }
        return value;
    }

    /** Its last day: the end of a whole day is the day after it. */
    private static LocalDate last(VEvent event, LocalDate from, int n, String name) {
        Optional<DtEnd<Temporal>> end = event.getProperty(Property.DTEND);
        if (end.isEmpty()) {
            return from;
        }
        Temporal day = value(date(end.get()), "DTEND", n, name);
        if (!(day instanceof LocalDate after) || after.isBefore(from)) {
            throw new BadCalendar("ICS_DAY", "Event " + n + ", " + name + ", ends before it begins.");
        }
        LocalDate last = after.isAfter(from) ? after.minusDays(1) : from;
        if (last.isAfter(from.plusDays(LONGEST_DAYS))) {
            throw new BadCalendar("ICS_DAY", "Event " + n + ", " + name + ", is longer than a year.");
        }
        return last;
    }

    private static @Nullable Temporal date(DtEnd<Temporal> end) {
        try {
            return end.getDate();
        } catch (DateTimeException zone) {
            return null;
        }
    }

    private static List<LocalDate> begins(VEvent event, LocalDate from, int n, String name) {
        Optional<RRule<LocalDate>> rule = event.getProperty(Property.RRULE);
        if (rule.isEmpty()) {
            return List.of(from);
        }
        Recur<LocalDate> recur = rule.get().getRecur();
        if (recur.getCount() < 1 && recur.getUntil() == null) {
            throw new BadCalendar(
                    "ICS_ENDLESS",
                    "Event " + n + ", " + name + ", recurs without an end: give it one, or leave it out.");
        }
        List<LocalDate> begins = new ArrayList<>(dates(recur, from, n, name));
        if (!begins.contains(from)) {
            begins.add(from);
        }
        for (Property except : event.getProperties(Property.EXDATE)) {
            begins.removeAll(days((ExDate<?>) except));
        }
        return begins;
    }

    private static List<?> days(ExDate<?> except) {
        try {
            return except.getDates();
        } catch (DateTimeException zone) {
            return List.of(); // a time of day, and no whole day
        }
    }

    private static List<LocalDate> dates(Recur<LocalDate> recur, LocalDate from, int n, String name) {
        try {
            return recur.getDates(from, from, from.plusYears(YEARS), MOST + 1);
        } catch (RuntimeException e) {
            throw new BadCalendar("ICS_NONSENSE", "Event " + n + ", " + name + ", recurs in a way that days do not.");
        }
    }
}
