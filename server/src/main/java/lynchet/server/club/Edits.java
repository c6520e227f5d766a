package lynchet.server.club;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import lynchet.core.club.Club;
import lynchet.core.club.ClubCheck;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rule.Breach;
import lynchet.core.rule.Limits;
import lynchet.format.ArchiveRefused;
import lynchet.server.keep.Change;
import lynchet.server.keep.Durable;
import lynchet.server.keep.Journal;
import lynchet.server.keep.PartStore;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The one way in which what is taught is changed, and records with it: the edit is a function from club to club, its result
 * is checked like an archive, and only what differs is written and journalled, all in one transaction.
 */
@Service
public class Edits {

    private final Stores stores;
    private final TeachingSnapshots taught;
    private final ReferenceCheck known;
    private final Journal journal;
    private final Durable durable;
    private final TransactionTemplate transaction;
    private final ObjectProvider<AfterRecords> afterRecords;

    Edits(
            Stores stores,
            TeachingSnapshots taught,
            ReferenceCheck known,
            Journal journal,
            Durable durable,
            TransactionTemplate transaction,
            ObjectProvider<AfterRecords> afterRecords) {
        this.stores = stores;
        this.taught = taught;
        this.known = known;
        this.journal = journal;
        this.durable = durable;
        this.transaction = transaction;
        this.afterRecords = afterRecords;
    }

    /** A club, or the slice of it that an edit sees, before and after. */
    public record Changed(Club before, Club after) {}

    /** Changes what is taught; {@code edit} sees the present state with nobody else changing it. */
    public Changed taught(UnaryOperator<Club> edit) {
        return change(() -> RecordSelection.NONE, edit);
    }

    /**
     * Changes what is taught and the records of a slice, while nobody else writes: a record that comes in meanwhile would point
     * at what this takes out.
     *
     * @param slice says which records, when nobody else changes what is taught any more
     * @throws ArchiveRefused if the changed club would not hold together; nothing is changed then
     */
    public Changed change(Supplier<RecordSelection> slice, UnaryOperator<Club> edit) {
        return durable.writeAlone(() -> taught.inTurn(() -> transaction.execute(status -> {
            Club before = sliced(taught.now().taught(), slice.get());
            Club after = edit.apply(before);
            put(before, after);
            return new Changed(before, after);
        })));
    }

    /**
     * Looks whether a change of what is taught and of a slice would be taken, and leaves everything as it is.
     *
     * @throws ArchiveRefused if the changed club would not hold together
     */
    public void tried(Supplier<RecordSelection> slice, UnaryOperator<Club> edit) {
        taught.inTurn(() -> transaction.execute(status -> {
            status.setRollbackOnly();
            Club before = sliced(taught.now().taught(), slice.get());
            write(before, edit.apply(before));
            return null;
        }));
    }

    /** What an edit of this slice would see. */
    public Club look(RecordSelection slice) {
        return transaction.execute(status -> sliced(taught.now().taught(), slice));
    }

    private Club sliced(Club taughtNow, RecordSelection slice) {
        Club club = taughtNow;
        for (Part<?> part : Parts.records().toList()) {
            club = sliced(club, part, slice);
        }
        return club;
    }

    private <T> Club sliced(Club club, Part<T> part, RecordSelection slice) {
        return club.with(part, slice.of(stores.of(part)));
    }

    /** Writes what differs in the caller's transaction and under the lock, and publishes it after the commit. */
    void put(Club before, Club after) {
        if (write(before, after)) {
            afterRecords.stream().forEach(one -> one.changed(before, after));
        }
    }

    /** Whether anything differs. */
    private boolean write(Club before, Club after) {
        Map<Part<?>, List<? extends Change<?>>> changes = new LinkedHashMap<>();
        Parts.ALL.forEach(part -> between(part, before, after, changes));
        if (changes.values().stream().allMatch(List::isEmpty)) {
            return false;
        }
        Club teaching = after;
        for (Part<?> part : Parts.records().toList()) {
            teaching = teaching.with(part, List.of());
        }
        Snapshot now = taught.now();
        refuse(ClubCheck.check(teaching).stream()
                .filter(breach -> !now.isAlreadyBroken(breach))
                .toList());
        Snapshot next = taught.next(teaching);
        List<Breach> breaches = new ArrayList<>();
        changes.forEach((part, of) -> incoming(part, of, next, breaches));
        refuse(breaches);
        changes.forEach(this::write);
        List<Part<?>> backwards = new ArrayList<>(changes.keySet());
        java.util.Collections.reverse(backwards);
        backwards.forEach(part -> remove(part, changes.get(part)));
        nothingIsLeftPointing(changes, next);
        journal(changes);
        taught.publishAfterCommit(next);
        return true;
    }

    private static void refuse(List<Breach> breaches) {
        if (!breaches.isEmpty()) {
            throw new ArchiveRefused(breaches);
        }
    }

    private static <T> void between(
            Part<T> part, Club before, Club after, Map<Part<?>, List<? extends Change<?>>> changes) {
        changes.put(part, Change.between(part, before.all(part), after.all(part)));
    }

    @SuppressWarnings("unchecked")
    private static <T> List<Change<T>> typed(Part<T> part, List<? extends Change<?>> changes) {
        return (List<Change<T>>) changes;
    }

    /** What comes in keeps its limits, and a record's references are at something. */
    private <T> void incoming(Part<T> part, List<? extends Change<?>> changes, Snapshot next, List<Breach> breaches) {
        for (Change<T> change : typed(part, changes)) {
            if (change.after() != null) {
                breaches.addAll(Limits.of(change.after()));
                if (part.isRecord()) {
                    breaches.addAll(
                            ClubCheck.ofOne(part, change.after(), (target, id) -> known.exists(next, target, id)));
                }
            }
        }
    }

    private <T> void write(Part<T> part, List<? extends Change<?>> changes) {
        PartStore<T> store = stores.of(part);
        List<T> added = new ArrayList<>();
        List<T> changed = new ArrayList<>();
        for (Change<T> change : typed(part, changes)) {
            if (change.after() != null) {
                (change.before() == null ? added : changed).add(change.after());
            }
        }
        store.add(added);
        store.change(changed);
    }

    private <T> void remove(Part<T> part, List<? extends Change<?>> changes) {
        stores.of(part)
                .remove(typed(part, changes).stream()
                        .filter(change -> change.after() == null)
                        .map(Change::id)
                        .toList());
    }

    /** What is not offered any more must not be pointed at by a record that stayed. */
    private void nothingIsLeftPointing(Map<Part<?>, List<? extends Change<?>>> changes, Snapshot next) {
        Map<Target, Set<String>> gone = new HashMap<>();
        changes.forEach((part, of) -> gone(part, of, gone));
        List<Breach> breaches = new ArrayList<>();
        gone.forEach((target, ids) -> {
            ids.removeIf(id -> next.offers(target, id));
            if (!ids.isEmpty()) {
                stores.records().forEach(store -> pointing(store, target, ids, next, breaches));
            }
        });
        refuse(breaches);
    }

    private static <T> void gone(Part<T> part, List<? extends Change<?>> changes, Map<Target, Set<String>> gone) {
        for (Change<T> change : typed(part, changes)) {
            if (change.before() != null) {
                part.offers().accept(change.before(), (target, id) -> gone.computeIfAbsent(target, t -> new HashSet<>())
                        .add(id));
            }
        }
        for (Change<T> change : typed(part, changes)) {
            if (change.after() != null) {
                part.offers().accept(change.after(), (target, id) -> gone.getOrDefault(target, new HashSet<>())
                        .remove(id));
            }
        }
    }

    private <T> void pointing(
            PartStore<T> store, Target target, Set<String> gone, Snapshot next, List<Breach> breaches) {
        for (T record : store.pointingAt(target, gone, 5)) {
            ClubCheck.ofOne(store.part(), record, (to, id) -> !(to == target && gone.contains(id))).stream()
                    .map(breach -> new Breach(breach.rule(), breach.where(), breach.id(), stands(store.part())))
                    .forEach(breaches::add);
        }
    }

    private static String stands(Part<?> part) {
        return "what is written down already (" + part.name()
                + ") is about something this takes out, and what happened stays";
    }

    /** One line for each thing; a ladder is journalled rank by rank, so that its history can be read. */
    private void journal(Map<Part<?>, List<? extends Change<?>>> changes) {
        changes.forEach((part, of) -> {
            for (Change<?> change : of) {
                if (change.before() instanceof Ladder was
                        && change.after() instanceof Ladder is
                        && onlySyllabuses(was, is)) {
                    syllabuses(was, is);
                } else if (part.equals(Parts.PEOPLE) || part.equals(Parts.PROMOTIONS)) {
                    throw new IllegalStateException("people are not changed by an edit of what is taught");
                } else {
                    String what = change.before() == null ? "add" : change.after() == null ? "remove" : "change";
                    journal.write(what, part.one(), change.id(), change.before(), change.after());
                }
            }
        });
    }

    private static boolean onlySyllabuses(Ladder was, Ladder is) {
        Ladder same = was;
        for (Rank rank : is.ranks()) {
            same = same.withRank(rank);
        }
        return same.equals(is);
    }

    private void syllabuses(Ladder was, Ladder is) {
        for (Rank rank : is.ranks()) {
            Rank before = was.rank(rank.id()).orElseThrow();
            if (!before.equals(rank)) {
                journal.write("change", "syllabus", rank.id(), before, rank);
            }
        }
    }
}
