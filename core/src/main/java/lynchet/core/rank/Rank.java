package lynchet.core.rank;

import java.util.List;
import java.util.stream.Stream;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;

/**
 * A belt in a ladder. Its syllabus is what is worked on while wearing it and must be met to leave it.
 *
 * @param colours one or two CSS-free colour names of the belt: white, yellow, orange, green, blue, brown, black …
 * @param stripes how many stripes it carries, 0 to 9
 * @param minAge least age to hold it, in years; 0: none
 * @param minWeeks least time in it before the next, in weeks
 */
public record Rank(
        String id,
        @Most(60) String name,
        List<@Most(20) String> colours,
        @Usual("0") int stripes,
        @Usual("0") int minAge,
        @Usual("0") int minWeeks,
        List<SyllabusGroup> syllabus) {

    public Rank {
        Require.id("a rank", id);
        Require.text("the name of this rank", name);
        colours = Require.list(colours);
        Require.within("the colours of this rank", colours.size(), 1, 2);
        Require.within("the stripes of this rank", stripes, 0, 9);
        Require.within("the least age of this rank", minAge, 0, 99);
        Require.within("the least weeks in this rank", minWeeks, 0, 2000);
        syllabus = Require.list(syllabus);
    }

    public Stream<Item> items() {
        return syllabus.stream().flatMap(group -> group.items().stream());
    }

    public Rank withSyllabus(List<SyllabusGroup> groups) {
        return new Rank(id, name, colours, stripes, minAge, minWeeks, groups);
    }
}
