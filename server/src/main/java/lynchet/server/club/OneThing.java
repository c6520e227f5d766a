package lynchet.server.club;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import lynchet.core.club.Club;
import lynchet.core.club.Part;
import lynchet.server.keep.ETags;
import lynchet.server.keep.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Adds, changes and retires one thing of what is taught, if it is still as the caller saw it. */
@Service
public class OneThing {

    private final Edits edits;

    OneThing(Edits edits) {
        this.edits = edits;
    }

    /** Adds a thing; the same one again is the same answer, another one under its id is refused. */
    public <T> T add(Part<T> part, T thing) {
        edits.taught(club -> {
            T present = find(club, part, part.idOf(thing));
            if (present != null && !present.equals(thing)) {
                throw Refusal.of(
                        HttpStatus.CONFLICT, "ID_TAKEN", "/id", "There is already something else with this id.");
            }
            return present == null ? put(club, part, thing) : club;
        });
        return thing;
    }

    /** Adds several things in one edit, all of them or none; the caller has chosen ids that are free. */
    public <T> void addAll(Part<T> part, List<T> things) {
        edits.taught(club -> {
            Club all = club;
            for (T thing : things) {
                all = put(all, part, thing);
            }
            return all;
        });
    }

    /** Changes a thing under the id of the address. */
    public <T> T change(Part<T> part, String id, String tag, T thing) {
        Refusal.unlessSame(id, part.idOf(thing));
        return become(part, id, tag, present -> thing);
    }

    /** Changes what is there under an id, with nobody else writing in between. */
    public <T> T become(Part<T> part, String id, String tag, UnaryOperator<T> change) {
        Edits.Changed changed = edits.taught(club -> {
            T present = there(club, part, id);
            ETags.match(tag, present, id);
            return put(club, part, change.apply(present));
        });
        return there(changed.after(), part, id);
    }

    /** Takes a thing out, if nothing that stays names it. */
    public <T> void remove(Part<T> part, String id, String tag) {
        edits.taught(club -> {
            ETags.match(tag, there(club, part, id), id);
            return club.changing(part, all -> all.stream()
                    .filter(one -> !part.idOf(one).equals(id))
                    .toList());
        });
    }

    private static <T> T there(Club club, Part<T> part, String id) {
        T present = find(club, part, id);
        if (present == null) {
            throw Refusal.missing(part.one(), id);
        }
        return present;
    }

    private static <T> T find(Club club, Part<T> part, String id) {
        return club.all(part).stream()
                .filter(one -> part.idOf(one).equals(id))
                .findFirst()
                .orElse(null);
    }

    private static <T> Club put(Club club, Part<T> part, T thing) {
        List<T> all = new ArrayList<>(club.all(part));
        String id = part.idOf(thing);
        for (int i = 0; i < all.size(); i++) {
            if (part.idOf(all.get(i)).equals(id)) {
                all.set(i, thing);
                return club.with(part, all);
            }
        }
        all.add(thing);
        return club.with(part, all);
    }
}
