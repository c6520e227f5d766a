package lynchet.core.people;

import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import lynchet.core.mat.Credit;
import lynchet.core.mat.Mark;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.mat.TrainingClass;

/** The same questions answered the slow and obvious way, each time from everything that was recorded. */
final class SlowReplay {

    private final StudentRecord all;

    SlowReplay(StudentRecord all) {
        this.all = all;
    }

    private boolean isBrought(String subject, Side side, LocalDate day) {
        return all.brought().stream()
                .filter(one -> one.on().equals(day))
                .flatMap(one -> one.had().stream())
                .anyMatch(had -> had.subject().equals(subject) && (had.side() == Side.BOTH || had.side() == side));
    }

    private boolean isBack(Mark mark) {
        return mark.withdraws() != null
                || all.marks().stream().anyMatch(m -> mark.id().equals(m.withdraws()));
    }

    private LocalDate dayOf(String classId) {
        return all.attended().stream()
                .filter(c -> c.id().equals(classId) && !c.cancelled())
                .map(TrainingClass::date)
                .findFirst()
                .orElse(null);
    }

    private List<PracticeEntry> drills(String subject, Side side, LocalDate day) {
        return all.practice().stream()
                .filter(p -> !p.withdrawn() && p.role() == Role.PERFORMER && subject.equals(p.subject()))
                .filter(p -> p.student() == null
                        ? !p.except().contains("ana")
                        : p.student().equals("ana"))
                .filter(p -> p.side() == Side.BOTH || p.side() == side)
                .filter(p -> day.equals(dayOf(p.classId())))
                .toList();
    }

    private List<Mark> judged(String subject, Side side, LocalDate day) {
        return all.marks().stream()
                .filter(m ->
                        !isBack(m) && m.role() == Role.PERFORMER && m.subject().equals(subject))
                .filter(m -> m.side() == Side.BOTH || m.side() == side)
                .filter(m -> m.classId() != null && day.equals(all.markedIn().get(m.classId())))
                .toList();
    }

    /** Sessions, last day and half-life of one technique on one side; null: no session. */
    Fading fading(String subject, Side side) {
        Set<LocalDate> days = new TreeSet<>();
        all.attended().forEach(c -> days.add(c.date()));
        days.addAll(all.markedIn().values());
        all.credits().forEach(credit -> days.add(credit.on()));
        all.brought().forEach(one -> days.add(one.on()));
        int sessions = 0;
        LocalDate last = null;
        double h = 0;
        boolean stretched = false;
        for (LocalDate day : days) {
            if (isBrought(subject, side, day)) {
                h = Math.max(h, 180);
                last = day;
            }
            int whole = 0;
            int part = 0;
            for (Credit credit : all.credits()) {
                boolean isSide = credit.side() == Side.BOTH || credit.side() == side;
                whole += isSide
                                && credit.subject().equals(subject)
                                && credit.on().equals(day)
                        ? credit.reps()
                        : 0;
            }
            for (PracticeEntry p : drills(subject, side, day)) {
                whole += p.part() ? 0 : p.reps();
                part += p.part() ? p.reps() : 0;
            }
            List<Mark> marks = judged(subject, side, day);
            boolean live = marks.stream().anyMatch(m -> m.passed() && m.standard() == Standard.LIVE);
            if (whole < 6 && part < 10 && !live) {
                continue;
            }
            long faulty = marks.stream().filter(m -> !m.faults().isEmpty()).count();
            double q = 1 - 0.25 * (marks.isEmpty() ? 0 : (double) faulty / marks.size());
            if (last == null) {
                h = 7;
            } else {
                double recall = Math.pow(2, -ChronoUnit.DAYS.between(last, day) / h);
                h = recall < 0.25 ? Math.max(7, h / 2) : Math.min(365, h * (1 + 1.6 * (1 - recall) * q));
            }
            if (live && !stretched) {
                h = Math.min(365, h * 1.5);
                stretched = true;
            }
            sessions++;
            last = day;
        }
        return last == null ? null : new Fading(sessions, last, h);
    }

    /** The highest standard passed on a side in a version, as a reader of the lists of marks and of what was brought would say. */
    Standard best(String subject, Side side, String version) {
        Standard best = null;
        for (Standard standard : Standard.values()) {
            Moment since = latestPass(subject, side, version, standard);
            boolean suspended = since == null;
            for (Standard lower : Standard.values()) {
                Mark below = lower.compareTo(standard) < 0 ? latest(subject, side, version, lower) : null;
                suspended |= below != null
                        && !below.passed()
                        && latestPass(subject, side, version, lower) == null
                        && since != null
                        && since.isBefore(below);
            }
            best = suspended ? best : standard;
        }
        return best;
    }

    /** When something came to stand, and as what. */
    private record Moment(Instant at, String id) {
        boolean isBefore(Mark mark) {
            int byTime = mark.at().compareTo(at);
            return byTime > 0 || byTime == 0 && mark.id().compareTo(id) > 0;
        }
    }

    /** When a standard came to stand by a mark or by what was brought; null: it does not. */
    private Moment latestPass(String subject, Side side, String version, Standard standard) {
        Mark latest = latest(subject, side, version, standard);
        Moment since = latest != null && latest.passed() ? new Moment(latest.at(), latest.id()) : null;
        for (Brought one : all.brought()) {
            for (Brought.Had had : one.had()) {
                boolean fits = had.subject().equals(subject)
                        && (had.side() == Side.BOTH || had.side() == side)
                        && version.equals(had.version() == null ? "" : had.version())
                        && had.standard() == standard;
                Moment its = new Moment(one.since(), one.id());
                if (fits && !isOverruled(subject, side, standard, its)) {
                    since = latest == null || !its.isBefore(latest) ? its : since;
                }
            }
        }
        return since;
    }

    private boolean isOverruled(String subject, Side side, Standard standard, Moment since) {
        for (String version : List.of("", "kneeling")) {
            for (Standard lower : Standard.values()) {
                Mark mark = lower.compareTo(standard) <= 0 ? latest(subject, side, version, lower) : null;
                if (mark != null && !mark.passed() && since.isBefore(mark)) {
                    return true;
                }
            }
        }
        return false;
    }

    private Mark latest(String subject, Side side, String version, Standard standard) {
        Mark latest = null;
        for (Mark m : all.marks()) {
            boolean fits = !isBack(m)
                    && m.subject().equals(subject)
                    && m.role() == Role.PERFORMER
                    && (m.side() == Side.BOTH || m.side() == side)
                    && version.equals(m.version() == null ? "" : m.version())
                    && m.standard() == standard;
            latest = fits && (latest == null || isLater(m, latest)) ? m : latest;
        }
        return latest;
    }

    private static boolean isLater(Mark a, Mark b) {
        int byTime = a.at().compareTo(b.at());
        return byTime > 0 || byTime == 0 && a.id().compareTo(b.id()) > 0;
    }

    /** Classes since a day, one a day. */
    int classes(LocalDate since) {
        Set<LocalDate> days = new HashSet<>();
        all.attended().stream()
                .filter(c -> !c.cancelled() && !c.date().isBefore(since))
                .forEach(c -> days.add(c.date()));
        return days.size();
    }
}
