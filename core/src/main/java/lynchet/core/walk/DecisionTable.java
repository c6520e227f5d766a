package lynchet.core.walk;

import java.util.Comparator;
import java.util.List;
import lynchet.core.card.Need;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.safety.Caution;
import lynchet.core.safety.Cautions;
import org.jspecify.annotations.Nullable;

/**
 * What can be done at a position, as a coach reads it: on my own initiative; if they … I …; what nobody has answered;
 * what they can do to me. Rows stand best first: by chance, then by how easy they are to learn, then by name.
 */
public record DecisionTable(
        String position,
        String counterpart,
        List<Row> own,
        List<Answers> answers,
        List<Open> unanswered,
        List<Row> theirs) {

    /**
     * One link of the table.
     *
     * @param to position id from the mover's view, or {@link Link#TAP}
     * @param lands the position id from my view; null after a tap
     * @param chance of a try, from rounds or what is usual
     */
    public record Row(
            String link,
            String technique,
            String to,
            @Nullable String lands,
            Chance chance,
            List<Need> needs,
            List<Caution> cautions) {}

    /** A reaction of theirs with what I do then; {@code to} names my link that draws it, null when it happens here. */
    public record Answers(
            String reaction, String text, @Nullable String link, List<Row> rows) {}

    /** A reaction of theirs that nothing on the map answers, or nothing that the ruleset allows. */
    public record Open(
            String reaction, String text, @Nullable String link) {}

    /**
     * @param evidence how well each link works
     * @throws java.util.NoSuchElementException if there is no such position
     */
    public static DecisionTable of(GrapplingMap map, String position, Ruleset ruleset, Evidence evidence) {
        map.position(position).orElseThrow();
        String counterpart = map.counterpart(position).id();
        List<Reaction> reactions = map.reactions().stream()
                .filter(r -> !r.retired() && happensAt(map, r, position, ruleset))
                .toList();
        List<Answers> answers = reactions.stream()
                .map(r -> new Answers(r.id(), r.text(), r.link(), rows(map, map.answersTo(r), ruleset, evidence, true)))
                .toList();
        return new DecisionTable(
                position,
                counterpart,
                rows(
                        map,
                        map.linksFrom(position).stream()
                                .filter(l -> !l.answersReaction())
                                .toList(),
                        ruleset,
                        evidence,
                        true),
                answers.stream().filter(a -> !a.rows().isEmpty()).toList(),
                answers.stream()
                        .filter(a -> a.rows().isEmpty())
                        .map(a -> new Open(a.reaction(), a.text(), a.link()))
                        .toList(),
                rows(
                        map,
                        map.linksFrom(counterpart).stream()
                                .filter(l -> !l.answersReaction())
                                .toList(),
                        ruleset,
                        evidence,
                        false));
    }

    /** Nobody reacts to what the ruleset does not allow. */
    private static boolean happensAt(GrapplingMap map, Reaction reaction, String position, Ruleset ruleset) {
        return position.equals(reaction.position())
                || reaction.link() != null
                        && map.link(reaction.link())
                                .filter(link ->
                                        !link.retired() && link.from().equals(position) && allows(ruleset, map, link))
                                .isPresent();
    }

    private static List<Row> rows(
            GrapplingMap map, List<Link> links, Ruleset ruleset, Evidence evidence, boolean mine) {
        Comparator<Row> best =
                Comparator.<Row>comparingDouble(row -> row.chance().estimate()).reversed();
        return links.stream()
                .filter(link -> allows(ruleset, map, link))
                .map(link -> row(map, link, evidence.works(link), mine))
                .sorted(best.thenComparingInt(row ->
                                map.technique(row.technique()).orElseThrow().learn())
                        .thenComparing(row ->
                                map.technique(row.technique()).orElseThrow().name())
                        .thenComparing(Row::link))
                .toList();
    }

    private static boolean allows(Ruleset ruleset, GrapplingMap map, Link link) {
        return ruleset == null || ruleset.allows(map.technique(link.technique()).orElseThrow());
    }

    private static Row row(GrapplingMap map, Link link, Chance chance, boolean mine) {
        Technique technique = map.technique(link.technique()).orElseThrow();
        String lands = link.endsInTap()
                ? null
                : mine ? link.to() : map.counterpart(link.to()).id();
        return new Row(link.id(), technique.id(), link.to(), lands, chance, link.needs(), Cautions.of(technique, map));
    }
}
