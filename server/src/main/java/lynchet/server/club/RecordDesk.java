package lynchet.server.club;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import lynchet.core.club.Part;
import lynchet.core.rule.Stamped;
import lynchet.server.keep.Durable;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Refusal;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The one way in which a record of what happened is taken in, and taken back. It carries an id made by the sender: the
 * same record sent again is the first answer, another one under that id is refused. All of it is one transaction, and what is
 * answered is on the disk.
 */
@Component
public class RecordDesk {

    /** A device's clock may be ahead by so much; what it sends is taken as now. */
    private static final Duration AHEAD = Duration.ofMinutes(10);

    private final Stores stores;
    private final ReferenceCheck known;
    private final TeachingSnapshots taught;
    private final Durable durable;
    private final TransactionTemplate transaction;
    private final Journal journal;
    private final Clock clock;

    RecordDesk(
            Stores stores,
            ReferenceCheck known,
            TeachingSnapshots taught,
            Durable durable,
            TransactionTemplate transaction,
            Journal journal,
            Clock clock) {
        this.stores = stores;
        this.known = known;
        this.taught = taught;
        this.durable = durable;
        this.transaction = transaction;
        this.journal = journal;
        this.clock = clock;
    }

    /** Runs a write in one transaction; what it answers is on the disk. */
    public <T> T write(Supplier<T> work) {
        return durable.write(() -> transaction.execute(status -> work.get()));
    }

    /** The same while nobody changes people or what is taught. */
    public <T> T writeInTurn(Supplier<T> work) {
        return durable.write(() -> taught.inTurn(() -> transaction.execute(status -> work.get())));
    }

    /**
     * Takes a record in, stamped with the time of the device and the account.
     *
     * @param before locks what it changes, and refuses what its own rules forbid
     * @param after what follows from it
     */
    public <T extends Stamped<T>> T take(Part<T> part, T sent, Consumer<T> before, Consumer<T> after) {
        return write(() -> taken(part, sent, before, after));
    }

    /** The same in the caller's transaction. */
    public <T extends Stamped<T>> T taken(Part<T> part, T sent, Consumer<T> before, Consumer<T> after) {
        return taken(part, sent, "", before, after);
    }

    /** @param where the record stands in what was sent, such as {@code /incident} */
    public <T extends Stamped<T>> T taken(Part<T> part, T sent, String where, Consumer<T> before, Consumer<T> after) {
        return same(part, sent, kept -> sent.stamped(kept.at(), kept.by())).orElseGet(() -> {
            before.accept(sent);
            known.check(part, sent, where);
            T stamped = stamped(sent);
            stores.of(part).add(List.of(stamped));
            after.accept(stamped);
            return stamped;
        });
    }

    /** Takes a record back; who did it stays in the journal. */
    public <T> T takeBack(Part<T> part, String id, Consumer<T> after) {
        return write(() -> takenBack(part, id, after));
    }

    /** The same in the caller's transaction. */
    public <T> T takenBack(Part<T> part, String id, Consumer<T> after) {
        T there = one(part, id);
        stores.of(part).remove(List.of(id));
        journal.write("remove", part.one(), id, there, null);
        after.accept(there);
        return there;
    }

    /** Takes a count back that names nobody; nothing of it stays. */
    public void uncount(Part<?> part, String id) {
        write(() -> {
            one(part, id);
            stores.of(part).remove(List.of(id));
            return id;
        });
    }

    /** @throws Refusal 404 if there is none */
    public <T> T one(Part<T> part, String id) {
        return stores.of(part).find(id).orElseThrow(() -> Refusal.missing(part.one(), id));
    }

    /**
     * What is kept under the id already.
     *
     * @param asKept what was sent with what the house wrote onto what was kept, so that only what the caller said is compared
     * @throws Refusal 409 if that is something else
     */
    public <T extends Stamped<T>> Optional<T> same(Part<T> part, T sent, UnaryOperator<T> asKept) {
        return stores.of(part).find(sent.id()).map(kept -> {
            if (!asKept.apply(kept).equals(kept)) {
                throw Refusal.taken(sent.id(), "Something else was already recorded under this id.");
            }
            return kept;
        });
    }

    /** With the account that sends it, and the time at which its device says that it was made. */
    public <T extends Stamped<T>> T stamped(T sent) {
        return sent.stamped(at(sent.at()), Journal.who());
    }

    /** Devices may send later what was recorded earlier; the time stamp is theirs if they give one. */
    private Instant at(@Nullable Instant sent) {
        Instant now = clock.instant();
        Instant at = sent == null || sent.isAfter(now) && !sent.isAfter(now.plus(AHEAD)) ? now : sent;
        if (at.isAfter(now)) {
            throw Refusal.bad("NOT_YET", "/at", "The time " + sent + " has not come yet.");
        }
        return at.truncatedTo(ChronoUnit.MILLIS);
    }
}
