package lynchet.server.club;

import java.util.List;
import lynchet.core.club.ClubCheck;
import lynchet.core.club.Part;
import lynchet.core.club.Target;
import lynchet.core.rule.Breach;
import lynchet.server.keep.Refusal;
import org.springframework.stereotype.Component;

/** What there is to point at: what is taught, and the records. One list of references is checked at every write. */
@Component
public class ReferenceCheck {

    private final TeachingSnapshots taught;
    private final Stores stores;

    ReferenceCheck(TeachingSnapshots taught, Stores stores) {
        this.taught = taught;
        this.stores = stores;
    }

    /** Whether there is such a thing. */
    public boolean exists(Target target, String id) {
        return exists(taught.now(), target, id);
    }

    /** Whether there is such a thing, with this state of what is taught. */
    boolean exists(Snapshot with, Target target, String id) {
        return with.offers(target, id) || stores.offer(target, id);
    }

    /**
     * Lets a thing pass whose every reference is at something that exists.
     *
     * @throws Refusal 422 with the rule and the field of the first that is not
     */
    public <T> void check(Part<T> part, T thing) {
        check(part, thing, "");
    }

    /**
     * @param at where the thing stands in what was sent, such as {@code /incident}
     * @throws Refusal 422 for the first rule it breaks
     */
    public <T> void check(Part<T> part, T thing, String at) {
        List<Breach> breaches = ClubCheck.ofOne(part, thing, this::exists);
        if (!breaches.isEmpty()) {
            Breach first = breaches.get(0);
            throw Refusal.bad(first.rule(), at + first.where(), sentence(first.sentence()));
        }
    }

    private static String sentence(String text) {
        return Character.toUpperCase(text.charAt(0)) + text.substring(1) + ".";
    }
}
