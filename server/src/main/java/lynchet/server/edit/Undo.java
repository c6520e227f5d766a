package lynchet.server.edit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lynchet.core.club.Club;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.format.Json;
import lynchet.server.keep.Journal;
import lynchet.server.keep.Refusal;
import org.springframework.http.HttpStatus;

/** An edit taken back: everything it changed is as it was before, unless somebody has changed it since. */
final class Undo implements Club.Change {

    private final List<Journal.Line> lines;

    private Undo(List<Journal.Line> lines) {
        this.lines = lines;
    }

    /**
     * The club without what these lines did.
     *
     * @param lines of one edit, in the order they were written
     * @throws Refusal 409 if something is not as the edit left it, 422 if the edit is not of a kind that is taken back
     */
    static Club of(Club club, List<Journal.Line> lines) {
        refuseOtherKinds(lines);
        return club.with(new Undo(lines));
    }

    /** @throws Refusal 422 if the edit is not of a kind that is taken back */
    static void refuseOtherKinds(List<Journal.Line> lines) {
        lines.stream()
                .filter(line -> !Kinds.is(line.kind(), Part::isUndone))
                .findFirst()
                .ifPresent(line -> {
                    throw Refusal.bad("NOT_UNDOABLE", line.kind(), "This change cannot be taken back here.");
                });
    }

    /** Line by line from the last to the first: a ladder and what its ranks ask may have been changed in turn. */
    @Override
    public <T> List<T> of(Part<T> part, List<T> things) {
        Map<String, T> all = new LinkedHashMap<>();
        things.forEach(thing -> all.put(part.idOf(thing), thing));
        for (int i = lines.size() - 1; i >= 0; i--) {
            Journal.Line line = lines.get(i);
            if (line.kind().equals(part.one())) {
                asLeft(line, all.get(line.target()), read(line.after(), part.type()));
                T before = read(line.before(), part.type());
                if (before == null) {
                    all.remove(line.target());
                } else {
                    all.put(line.target(), before);
                }
            } else if (line.kind().equals(Kinds.SYLLABUS) && part.equals(Parts.LADDERS)) {
                all.replaceAll((id, ladder) -> part.type().cast(syllabus((Ladder) ladder, line)));
            }
        }
        return new ArrayList<>(all.values());
    }

    private static Ladder syllabus(Ladder ladder, Journal.Line line) {
        Rank now = ladder.rank(line.target()).orElse(null);
        if (now == null) {
            return ladder;
        }
        asLeft(line, now, read(line.after(), Rank.class));
        return ladder.withRank(read(line.before(), Rank.class));
    }

    private static <T> T read(String body, Class<T> type) {
        return body == null ? null : Json.read(body, type);
    }

    private static void asLeft(Journal.Line line, Object now, Object left) {
        if (!java.util.Objects.equals(now, left)) {
            throw Refusal.of(
                    HttpStatus.CONFLICT,
                    "CHANGED_SINCE",
                    line.target(),
                    "This was changed again after that. Take the later change back first, or both together.");
        }
    }
}
