package lynchet.core.rank;

import java.util.List;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;

/**
 * A named part of a syllabus.
 *
 * @param choose how many of the items must be met; 0: all of them
 */
public record SyllabusGroup(
        String name, @Usual("0") int choose, @Most(200) List<Item> items) {
    public SyllabusGroup {
        Require.text("the name of a syllabus group", name);
        items = Require.list(items);
        Require.within("how many to choose in " + name, choose, 0, 1000);
    }

    /** Whether fewer are asked for than there are. */
    public boolean choosesSome() {
        return choose > 0 && choose < items.size();
    }

    /** How many items must be met. */
    public int needed() {
        return choose == 0 ? items.size() : choose;
    }
}
