package lynchet.server.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rule.Breach;
import lynchet.format.ArchiveRefused;
import lynchet.server.club.Edits;
import lynchet.server.club.TeachingSnapshots;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Refusal;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/**
 * Taking an edit back: what goes back with it because it stands on it, and what keeps it from going back. Records of what
 * happened (attendance, practice, marks) are never taken back by it.
 */
@Service
class TakingBack {

    /** Edits that stand on each other are followed this far. */
    private static final int MOST_TOGETHER = 20;

    private final Journal journal;
    private final Edits edits;
    private final Undone undone;
    private final TeachingSnapshots taught;

    TakingBack(Journal journal, Edits edits, Undone undone, TeachingSnapshots taught) {
        this.journal = journal;
        this.edits = edits;
        this.undone = undone;
        this.taught = taught;
    }

    /**
     * How an edit can be taken back.
     *
     * @param with later edits that stand on it and go back with it
     * @param not why it cannot be taken back; null if it can
     * @param retire what can be retired instead
     */
    record Way(
            Set<String> with,
            @Nullable String not,
            @Nullable Retire retire) {}

    /**
     * Something that stays, and can be retired.
     *
     * @param kind what the journal calls it: technique, link, reaction or pair
     */
    record Retire(String kind, String id) {}

    /**
     * The way back, tried out and left as it was.
     *
     * @param who account that asks
     * @param isHead whether it may take back what others did
     */
    Way way(String edit, String who, boolean isHead) {
        Set<String> together = new TreeSet<>(Set.of(edit));
        List<Journal.Line> own = journal.ofEdit(edit);
        while (together.size() <= MOST_TOGETHER) {
            List<Journal.Line> lines = lines(together);
            String not = notAllowed(lines, who, isHead);
            if (not != null) {
                return new Way(Set.of(), not, retire(own));
            }
            Set<String> later;
            try {
                edits.tried(() -> Touching.lines(lines), now -> Undo.of(now, lines));
                together.remove(edit);
                return new Way(together, null, null);
            } catch (ArchiveRefused refused) {
                Breach breach = refused.breaches().get(0);
                later = standingOn(lines, breach);
                not = isTaught(breach)
                        ? sentence(breach.sentence())
                        : "Something that happened stands on it, and that stays as it was written down.";
            } catch (Refusal refusal) {
                later = changedSince(lines);
                not = refusal.getMessage();
            }
            later.removeAll(together);
            if (later.isEmpty()) {
                return new Way(Set.of(), not, retire(own));
            }
            together.addAll(later);
        }
        return new Way(Set.of(), "Too much was built on it since. Take back the later changes first.", retire(own));
    }

    /** Takes edits back together, if nobody has changed the same things since. */
    void back(Collection<String> together, String who, boolean isHead) {
        List<Journal.Line> lines = lines(together);
        Undo.refuseOtherKinds(lines);
        String not = notAllowed(lines, who, isHead);
        if (not != null) {
            throw Refusal.of(HttpStatus.FORBIDDEN, "NOT_YOURS", "edit", not);
        }
        edits.change(() -> Touching.lines(lines), now -> {
            undone.note(together, journal.running());
            return Undo.of(now, lines);
        });
    }

    private List<Journal.Line> lines(Collection<String> together) {
        return together.stream()
                .flatMap(edit -> journal.ofEdit(edit).stream())
                .sorted(Comparator.comparingLong(Journal.Line::id))
                .toList();
    }

    private static String notAllowed(List<Journal.Line> lines, String who, boolean isHead) {
        for (Journal.Line line : lines) {
            if (!Kinds.is(line.kind(), Part::isUndone)) {
                return "This is put right where it stands, not from here.";
            }
            if (!isHead
                    && !Kinds.is(line.kind(), Part::isOfCoaches)) { // they may have been head coach when they did it
                return "Only a head coach changes this, or takes a change of it back.";
            }
            if (!isHead && !line.who().equals(who)) {
                return line.who() + " changed it after that. A head coach can take both back.";
            }
        }
        return null;
    }

    /** Later edits of the same things that still stand. */
    private Set<String> changedSince(List<Journal.Line> lines) {
        Set<String> later = new TreeSet<>();
        for (Journal.Line line : lines) {
            same(line.kind(), line.target())
                    .forEach(thing -> later.addAll(journal.editsAfter(line.id(), thing.kind(), thing.id())));
        }
        return undone.standing(later);
    }

    /** Later edits of what breaks when these lines go. */
    private Set<String> standingOn(List<Journal.Line> lines, Breach breach) {
        long first = lines.get(0).id();
        Set<String> later = new TreeSet<>();
        if (breach.id() != null && isTaught(breach)) {
            same(part(breach).one(), breach.id())
                    .forEach(thing -> later.addAll(journal.editsAfter(first, thing.kind(), thing.id())));
        }
        return undone.standing(later);
    }

    private record Thing(String kind, String id) {}

    /** A ladder is journalled as a whole or rank by rank. */
    private List<Thing> same(String kind, String id) {
        List<Thing> all = new ArrayList<>(List.of(new Thing(kind, id)));
        for (Ladder ladder : taught.now().ladders()) {
            boolean isIt = kind.equals("ladder") && ladder.id().equals(id);
            boolean hasIt = kind.equals(Kinds.SYLLABUS) && ladder.rank(id).isPresent();
            if (isIt) {
                ladder.ranks().stream().map(Rank::id).forEach(rank -> all.add(new Thing(Kinds.SYLLABUS, rank)));
            } else if (hasIt) {
                all.add(new Thing("ladder", ladder.id()));
            }
        }
        return all;
    }

    private static boolean isTaught(Breach breach) {
        return part(breach) != null;
    }

    /** The part of what is taught that a breach is in; null for a record. */
    private static @Nullable Part<?> part(Breach breach) {
        String path = breach.where().replaceFirst("^/map/", "/");
        return Parts.taught()
                .filter(part -> path.startsWith("/" + part.name() + "/"))
                .findFirst()
                .orElse(null);
    }

    /** What the edit added, if it is of a kind that can be retired. */
    private static @Nullable Retire retire(List<Journal.Line> lines) {
        return lines.stream()
                .filter(line -> line.before() == null && line.after() != null)
                .filter(line -> Kinds.is(line.kind(), Part::isRetired))
                .findFirst()
                .map(line -> new Retire(line.kind(), line.target()))
                .orElse(null);
    }

    private static String sentence(String text) {
        return Character.toUpperCase(text.charAt(0)) + text.substring(1) + ".";
    }
}
