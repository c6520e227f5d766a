package lynchet.server.club;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import lynchet.core.club.Club;
import lynchet.core.club.ClubCheck;
import lynchet.core.club.ClubMerge;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.map.WellFormed;
import lynchet.core.rule.Breach;
import lynchet.core.rule.Limits;
import lynchet.format.ArchiveRefused;
import lynchet.server.keep.Change;
import lynchet.server.keep.Durable;
import lynchet.server.keep.Journal;
import lynchet.server.keep.PartStore;
import lynchet.server.keep.Progress;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes a whole club in, in the place of the present one or merged with it. It is looked through and checked before anything
 * is written; then what differs is written, a handful at a time, in one transaction. Records are never held.
 */
@Service
public class Imports {

    private final Stores stores;
    private final TeachingSnapshots taught;
    private final ReferenceCheck known;
    private final ClubSettings settings;
    private final Journal journal;
    private final Durable durable;
    private final JdbcTemplate jdbc;
    private final TransactionTemplate transaction;
    private final ObjectProvider<AfterRecords> afterRecords;

    Imports(
            Stores stores,
            TeachingSnapshots taught,
            ReferenceCheck known,
            ClubSettings settings,
            Journal journal,
            Durable durable,
            JdbcTemplate jdbc,
            TransactionTemplate transaction,
            ObjectProvider<AfterRecords> afterRecords) {
        this.stores = stores;
        this.taught = taught;
        this.known = known;
        this.settings = settings;
        this.journal = journal;
        this.durable = durable;
        this.jdbc = jdbc;
        this.transaction = transaction;
        this.afterRecords = afterRecords;
    }

    /**
     * Looks a club through and changes nothing.
     *
     * @throws ArchiveRefused if it does not hold together
     */
    public Contents look(Incoming club, Progress progress) {
        return look(club, ClubCheck.ofAll(), progress);
    }

    private static Contents look(Incoming club, ClubCheck check, Progress progress) {
        Map<String, Integer> things = new LinkedHashMap<>();
        Club map = Club.named(club.name());
        for (Part<?> part : Parts.MAP) {
            map = held(map, part, club);
        }
        refuse(WellFormed.check(map.map()));
        Limits.kept(map.name());
        for (Part<?> part : Parts.ALL) {
            things.put(part.name(), look(part, club, check, progress));
        }
        refuse(check.breaches());
        return new Contents(club.name(), things, List.of(), List.of());
    }

    private static <T> Club held(Club into, Part<T> part, Incoming club) {
        List<T> all = new ArrayList<>();
        club.each(part, all::add);
        return into.with(part, all);
    }

    private static <T> int look(Part<T> part, Incoming club, ClubCheck check, Progress progress) {
        ClubCheck.Looking<T> looking = check.begin(part);
        int[] seen = new int[1];
        club.each(part, thing -> {
            looking.at(thing);
            if (++seen[0] % PartStore.BATCH_SIZE == 0) {
                progress.at("checking " + part.name(), seen[0], 0);
            }
        });
        looking.end();
        return seen[0];
    }

    private static void refuse(List<Breach> breaches) {
        if (!breaches.isEmpty()) {
            throw new ArchiveRefused(breaches);
        }
    }

    /** Puts a club in the place of everything but the accounts: all of it or nothing. */
    public Contents replace(Incoming club, Progress progress) {
        Contents contents = look(club, progress);
        return durable.writeAlone(() -> taught.inTurn(() -> transaction.execute(status -> {
            put(club, contents, progress);
            return contents;
        })));
    }

    /** The same in the caller's transaction, for a club that nobody else can write to yet. */
    public void begin(Incoming club) {
        put(club, look(club, Progress.UNWATCHED), Progress.UNWATCHED);
    }

    private void put(Incoming club, Contents contents, Progress progress) {
        Club before = taught.now().taught();
        Club after = Club.named(club.name());
        for (Part<?> part : Parts.taught().toList()) {
            after = held(after, part, club);
        }
        Map<Part<?>, List<String>> stale = new HashMap<>();
        Parts.records().forEach(part -> stale.put(part, staleIds(part, club)));
        progress.at("map, chains and ladders", 0, 0);
        List<Part<?>> backwards = new ArrayList<>(Parts.ALL);
        java.util.Collections.reverse(backwards);
        for (Part<?> part : List.of(Parts.IGNORED_GAPS, Parts.ROUNDS, Parts.MARKS, Parts.PRACTICE, Parts.ATTENDANCE)) {
            stores.of(part).remove(stale.remove(part));
        }
        for (Part<?> part : Parts.taught().toList()) {
            write(part, before, after);
        }
        for (Part<?> part : Parts.records().toList()) {
            write(part, club, contents.things().get(part.name()), progress);
        }
        for (Part<?> part : backwards) {
            if (stale.containsKey(part)) {
                stores.of(part).remove(stale.get(part));
            } else if (!part.isRecord()) {
                remove(part, before, after);
            }
        }
        settings.rename(after.name());
        finish("replace", after, progress);
    }

    /** What is kept and does not come in. */
    private <T> List<String> staleIds(Part<T> part, Incoming club) {
        PartStore<T> store = stores.of(part);
        if (store.isEmpty()) {
            return List.of();
        }
        jdbc.update("delete from incoming");
        handfuls(
                part,
                club,
                some -> jdbc.batchUpdate(
                        "insert into incoming (part, thing) values (?, ?)",
                        some.stream()
                                .map(thing -> new Object[] {part.name(), part.idOf(thing)})
                                .toList()));
        List<String> stale = jdbc.queryForList(
                "select id from " + store.table() + " t where not exists"
                        + " (select 1 from incoming i where i.part = ? and i.thing = t.id)",
                String.class,
                part.name());
        jdbc.update("delete from incoming");
        return stale;
    }

    private static <T> void handfuls(Part<T> part, Incoming club, Consumer<List<T>> each) {
        List<T> some = new ArrayList<>(PartStore.BATCH_SIZE);
        club.each(part, thing -> {
            some.add(thing);
            if (some.size() == PartStore.BATCH_SIZE) {
                each.accept(some);
                some.clear();
            }
        });
        if (!some.isEmpty()) {
            each.accept(some);
        }
    }

    private <T> void write(Part<T> part, Club before, Club after) {
        List<Change<T>> changes = Change.between(part, before.all(part), after.all(part));
        PartStore<T> store = stores.of(part);
        store.add(changes.stream()
                .filter(change -> change.before() == null)
                .map(Change::after)
                .toList());
        store.change(changes.stream()
                .filter(change -> change.before() != null && change.after() != null)
                .map(Change::after)
                .toList());
    }

    private <T> void remove(Part<T> part, Club before, Club after) {
        stores.of(part)
                .remove(Change.between(part, before.all(part), after.all(part)).stream()
                        .filter(change -> change.after() == null)
                        .map(Change::id)
                        .toList());
    }

    private <T> void write(Part<T> part, Incoming club, int total, Progress progress) {
        PartStore<T> store = stores.of(part);
        boolean isNew = store.isEmpty();
        int[] done = new int[1];
        handfuls(part, club, some -> {
            progress.at(part.name(), done[0], total);
            done[0] += some.size();
            if (isNew) {
                store.add(some);
                return;
            }
            Map<String, T> kept = store.find(some.stream().map(part::idOf).toList());
            store.add(some.stream()
                    .filter(thing -> !kept.containsKey(part.idOf(thing)))
                    .toList());
            store.change(some.stream()
                    .filter(thing -> kept.containsKey(part.idOf(thing))
                            && !kept.get(part.idOf(thing)).equals(thing))
                    .toList());
        });
    }

    private void finish(String what, Club teaching, Progress progress) {
        afterRecords.stream().forEach(one -> one.allNew(progress));
        journal.write(what, "club", "club", null, null);
        taught.publishAfterCommit(taught.next(teaching));
    }

    /** What merging a club would do; changes nothing. */
    public Contents lookAtMerge(Incoming club, Progress progress) {
        Contents contents = look(club, ClubCheck.beside(known::exists), progress);
        ClubMerge merge = new ClubMerge();
        List<Breach> clashes = new ArrayList<>();
        transaction.executeWithoutResult(status -> {
            for (Part<?> part : Parts.ALL) {
                merging(part, club, merge, clashes, progress, added -> {}, changed -> {});
            }
        });
        return merged(contents, merge, clashes);
    }

    private static Contents merged(Contents contents, ClubMerge merge, List<Breach> clashes) {
        List<Breach> breaches = new ArrayList<>(merge.breaches());
        breaches.addAll(clashes);
        return new Contents(
                contents.name(),
                contents.things(),
                merge.counts(),
                breaches.stream().limit(50).toList());
    }

    /**
     * Takes another club in: what it teaches wins, its records are added.
     *
     * @throws ArchiveRefused if a record differs or the two do not fit together
     */
    public Contents merge(Incoming club, Progress progress) {
        return durable.writeAlone(() -> taught.inTurn(() -> transaction.execute(status -> {
            Contents contents = lookAtMerge(club, progress);
            refuse(contents.conflicts());
            if (contents.merge().stream().allMatch(count -> count.added() + count.changed() == 0)) {
                return contents;
            }
            Club[] teaching = {taught.now().taught()};
            for (Part<?> part : Parts.ALL) {
                mergeInto(part, club, teaching, progress);
            }
            refuse(ClubCheck.check(teaching[0]));
            finish("merge", teaching[0], progress);
            return contents;
        })));
    }

    private <T> void mergeInto(Part<T> part, Incoming club, Club[] teaching, Progress progress) {
        PartStore<T> store = stores.of(part);
        Map<String, T> all = new LinkedHashMap<>();
        teaching[0].all(part).forEach(thing -> all.put(part.idOf(thing), thing));
        merging(part, club, new ClubMerge(), new ArrayList<>(), progress, store::add, store::change);
        if (!part.isRecord()) {
            club.each(part, thing -> all.put(part.idOf(thing), thing));
            teaching[0] = teaching[0].with(part, List.copyOf(all.values()));
        }
    }

    private <T> void merging(
            Part<T> part,
            Incoming club,
            ClubMerge merge,
            List<Breach> clashes,
            Progress progress,
            Consumer<List<T>> added,
            Consumer<List<T>> changed) {
        PartStore<T> store = stores.of(part);
        int[] done = new int[1];
        handfuls(part, club, some -> {
            progress.at(part.name(), done[0], 0);
            Map<String, T> mine = store.find(some.stream().map(part::idOf).toList());
            List<T> write = merge.take(part, done[0], some, mine);
            List<T> fresh = write.stream()
                    .filter(thing -> !mine.containsKey(part.idOf(thing)))
                    .toList();
            part.unique().forEach(rule -> store.clashing(fresh)
                    .forEach((thing, why) ->
                            clashes.add(new Breach(rule.rule(), "/" + part.name(), part.idOf(thing), why))));
            done[0] += some.size();
            added.accept(fresh);
            changed.accept(write.stream()
                    .filter(thing -> mine.containsKey(part.idOf(thing)))
                    .toList());
        });
    }
}
