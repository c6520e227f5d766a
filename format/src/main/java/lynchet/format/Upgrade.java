package lynchet.format;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.BiPredicate;
import lynchet.core.club.Target;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What was written in format 1, as format 2 has it: ranks that a student carried become promotions from before, slots that
 * a term carried become slots of their tracks. What was not checked then and points at nothing is let go of: a track that is
 * not there, a version or a fault that has gone from its card. An old file and an old club on the disk go the same way.
 */
public final class Upgrade {

    private record Weekly(String track, String day, String start, int minutes, String coach, String area) {}

    /** A weekly time of a track as it was found in terms, from the first day of any of them to the last. */
    private record TermSlot(String id, LocalDate from, LocalDate until) {}

    private final Map<Weekly, TermSlot> slots = new LinkedHashMap<>();
    private final BiPredicate<Target, String> exists;

    /** @param exists whether there is such a thing in the same club */
    public Upgrade(BiPredicate<Target, String> exists) {
        this.exists = exists;
    }

    /** A student's ranks as promotions from before; call it before {@link #student}. */
    public static List<ObjectNode> promotions(ObjectNode student) {
        List<ObjectNode> all = new ArrayList<>();
        for (JsonNode held : student.path("ranks")) {
            String id = student.path("id").asString("");
            String ladder = held.path("ladder").asString("");
            String promotion = "before-" + ladder + "-" + id;
            all.add(student.objectNode()
                    .put("id", promotion.length() <= 80 ? promotion : "before-" + Digest.of(promotion))
                    .put("student", id)
                    .put("ladder", ladder)
                    .put("to", held.path("rank").asString(null))
                    .put("stripes", held.path("stripes").asInt(0))
                    .put("date", held.path("since").asString(""))
                    .put("fromBefore", true));
        }
        return all;
    }

    /** A student without the ranks they carried. */
    public ObjectNode student(ObjectNode student) {
        student.remove("ranks");
        keepThere(student, "tracks", Target.TRACK, "");
        keepThere(student, "keepApart", Target.STUDENT, "");
        keepThere(student, "prefers", Target.STUDENT, "");
        return student;
    }

    /** A ladder that counts the classes of tracks that are there. */
    public ObjectNode ladder(ObjectNode ladder) {
        keepThere(ladder, "tracks", Target.TRACK, "");
        return ladder;
    }

    /** A class whose blocks name versions and faults that are on the cards. */
    public ObjectNode trained(ObjectNode trained) {
        for (JsonNode block : trained.path("blocks")) {
            String card = block.path("technique").asString("") + "/";
            keepThere((ObjectNode) block, "version", Target.VERSION, card);
            keepThere((ObjectNode) block, "watchFault", Target.FAULT, card);
        }
        return trained;
    }

    /** A mark that names a version and faults that are on the card. */
    public ObjectNode mark(ObjectNode mark) {
        String card = mark.path("subject").asString("") + "/";
        keepThere(mark, "version", Target.VERSION, card);
        keepThere(mark, "faults", Target.FAULT, card);
        return mark;
    }

    private void keepThere(ObjectNode of, String field, Target target, String prefix) {
        JsonNode named = of.path(field);
        if (named.isArray()) {
            ArrayNode there = of.arrayNode();
            for (JsonNode one : named) {
                if (exists.test(target, prefix + one.asString(""))) {
                    there.add(one);
                }
            }
            of.set(field, there);
        } else if (named.isString() && !exists.test(target, prefix + named.asString(""))) {
            of.remove(field);
        }
    }

    /** A term that uses slots by id; its slots are remembered for their tracks. Terms come before {@link #track}. */
    public ObjectNode term(ObjectNode term) {
        LocalDate from = LocalDate.parse(term.path("from").asString(""));
        LocalDate until = LocalDate.parse(term.path("until").asString(""));
        ArrayNode used = term.arrayNode();
        for (JsonNode slot : term.path("slots")) {
            Weekly weekly = new Weekly(
                    slot.path("track").asString(""),
                    slot.path("day").asString(""),
                    slot.path("start").asString(""),
                    slot.path("minutes").asInt(0),
                    slot.path("coach").asString(null),
                    slot.path("area").asString(null));
            TermSlot known = slots.get(weekly);
            String id = known == null ? free(weekly) : known.id();
            slots.put(
                    weekly,
                    new TermSlot(
                            id,
                            known == null || from.isBefore(known.from()) ? from : known.from(),
                            known == null || until.isAfter(known.until()) ? until : known.until()));
            used.add(id);
        }
        term.set("slots", used);
        return term;
    }

    private String free(Weekly weekly) {
        String track = weekly.track().length() > 40 ? weekly.track().substring(0, 40) : weekly.track();
        String base = track + "-" + weekly.day().substring(0, 3).toLowerCase(Locale.ROOT) + "-"
                + LocalTime.parse(weekly.start()).toString().replace(":", "");
        String id = base;
        for (int n = 2; isTaken(id); n++) {
            id = base + "-" + n;
        }
        return id;
    }

    private boolean isTaken(String id) {
        return slots.values().stream().anyMatch(slot -> slot.id().equals(id));
    }

    /** A track with the slots that terms carried for it. */
    public ObjectNode track(ObjectNode track) {
        ArrayNode its = track.arrayNode();
        slots.forEach((weekly, found) -> {
            if (weekly.track().equals(track.path("id").asString(""))) {
                its.addObject()
                        .put("id", found.id())
                        .put("from", found.from().toString())
                        .put("until", found.until().toString())
                        .put("day", weekly.day())
                        .put("start", weekly.start())
                        .put("minutes", weekly.minutes())
                        .put("area", weekly.area())
                        .put("coach", weekly.coach());
            }
        });
        track.set("slots", its);
        return track;
    }
}
