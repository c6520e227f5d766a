package lynchet.core.club;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainCheck;
import lynchet.core.chain.ChainFinding;
import lynchet.core.grading.Grading;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.WellFormed;
import lynchet.core.mat.Attendance;
import lynchet.core.mat.DrillShape;
import lynchet.core.mat.Mark;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.Student;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.round.Round;
import lynchet.core.rule.Breach;
import lynchet.core.term.Term;
import lynchet.core.walk.IgnoredGap;
import lynchet.core.words.Word;

/** Whether a whole club holds together: the map, and every reference from the rest into it and among records. */
public final class ClubCheck {

    private final Club club;
    private final List<Breach> breaches = new ArrayList<>();

    private ClubCheck(Club club) {
        this.club = club;
    }

    /** Every breach, map first; an empty list means that the club can be taken in as it is. */
    public static List<Breach> check(Club club) {
        List<Breach> ofTheMap = WellFormed.check(club.map());
        if (!ofTheMap.isEmpty()) {
            return ofTheMap;
        }
        ClubCheck check = new ClubCheck(club);
        GrapplingMap map = GrapplingMap.of(club.map());
        check.chains(map);
        check.ladders(map);
        check.words(map);
        check.drills(map);
        check.records(map);
        return List.copyOf(check.breaches);
    }

    private void chains(GrapplingMap map) {
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < club.chains().size(); i++) {
            Chain chain = club.chains().get(i);
            unique(ids, "chains", i, chain.id());
            refer(
                    "CHAIN_START",
                    "chains",
                    i,
                    "start",
                    chain.id(),
                    map.position(chain.start()).isPresent(),
                    chain.start());
            for (ChainFinding finding : ChainCheck.check(map, chain, null).findings()) {
                if (finding.code() == ChainFinding.Code.UNKNOWN_LINK) {
                    refer("CHAIN_LINK", "chains", i, "first", chain.id(), false, finding.link());
                }
            }
        }
    }

    private void ladders(GrapplingMap map) {
        Set<String> ids = new HashSet<>();
        Set<String> all = ids(club.ladders(), Ladder::id);
        for (int i = 0; i < club.ladders().size(); i++) {
            Ladder ladder = club.ladders().get(i);
            unique(ids, "ladders", i, ladder.id());
            refer(
                    "LADDER_RULESET",
                    "ladders",
                    i,
                    "ruleset",
                    ladder.id(),
                    ladder.ruleset() == null || map.ruleset(ladder.ruleset()).isPresent(),
                    ladder.ruleset());
            refer(
                    "LADDER_NEXT",
                    "ladders",
                    i,
                    "nextLadder",
                    ladder.id(),
                    ladder.nextLadder() == null || all.contains(ladder.nextLadder()),
                    ladder.nextLadder());
            int index = i;
            ladder.broken(map, club.chains())
                    .ifPresent(why -> breach("SYLLABUS_ITEM", "ladders", index, "ranks", ladder.id(), why));
        }
    }

    private void words(GrapplingMap map) {
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < club.words().size(); i++) {
            Word word = club.words().get(i);
            unique(ids, "words", i, word.id());
            for (String technique : word.techniques()) {
                boolean there = map.technique(technique).isPresent();
                refer("WORD_TECHNIQUE", "words", i, "techniques", word.id(), there, technique);
            }
        }
    }

    private void drills(GrapplingMap map) {
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < club.drills().size(); i++) {
            DrillShape drill = club.drills().get(i);
            unique(ids, "drills", i, drill.id());
            String start = drill.start();
            String technique = drill.technique();
            boolean there = start == null || map.position(start).isPresent();
            refer("DRILL_START", "drills", i, "start", drill.id(), there, start);
            there = technique == null || map.technique(technique).isPresent();
            refer("DRILL_TECHNIQUE", "drills", i, "technique", drill.id(), there, technique);
        }
    }

    private void records(GrapplingMap map) {
        Set<String> tracks = ids(club.tracks(), Track::id);
        Set<String> people = ids(club.people(), Student::id);
        Set<String> classes = ids(club.classes(), TrainingClass::id);
        Set<String> subjects = new HashSet<>(ids(club.chains(), Chain::id));
        map.techniques().forEach(technique -> subjects.add(technique.id()));
        Set<String> techniques = ids(List.copyOf(map.techniques()), lynchet.core.map.Technique::id);
        club.ladders().forEach(l -> l.ranks().stream()
                .flatMap(Rank::items)
                .map(Item::subject)
                .forEach(subjects::add));

        Set<String> seen = new HashSet<>();
        for (int i = 0; i < club.tracks().size(); i++) {
            unique(seen, "tracks", i, club.tracks().get(i).id());
        }
        seen.clear();
        Set<String> cards = new HashSet<>();
        for (int i = 0; i < club.people().size(); i++) {
            Student student = club.people().get(i);
            unique(seen, "people", i, student.id());
            if (student.card() != null && !cards.add(student.card())) {
                breach(
                        "CARD_UNIQUE",
                        "people",
                        i,
                        "card",
                        student.id(),
                        "the card " + student.card() + " belongs to two people");
            }
            for (var held : student.ranks()) {
                refer("HELD_RANK", "people", i, "ranks", student.id(), holds(held.ladder(), held.rank()), held.rank());
            }
        }
        seen.clear();
        for (int i = 0; i < club.classes().size(); i++) {
            TrainingClass c = club.classes().get(i);
            unique(seen, "classes", i, c.id());
            refer("CLASS_TRACK", "classes", i, "track", c.id(), tracks.contains(c.track()), c.track());
            for (var block : c.blocks()) {
                refer(
                        "BLOCK_TECHNIQUE",
                        "classes",
                        i,
                        "blocks",
                        c.id(),
                        block.technique() == null || techniques.contains(block.technique()),
                        block.technique());
            }
        }
        attendance(people, classes);
        practice(people, classes, subjects);
        marks(people, classes, subjects);
        terms(tracks);
        gradings(people);
        rounds(map, people, classes);
        ignoredGaps(map, people);
    }

    private boolean holds(String ladder, String rank) {
        return club.ladders().stream().anyMatch(l -> l.id().equals(ladder) && l.indexOf(rank) >= 0);
    }

    private void attendance(Set<String> people, Set<String> classes) {
        Set<String> seen = new HashSet<>();
        Set<String> taken = new HashSet<>();
        for (int i = 0; i < club.attendance().size(); i++) {
            Attendance a = club.attendance().get(i);
            unique(seen, "attendance", i, a.id());
            refer("RECORD_STUDENT", "attendance", i, "student", a.id(), people.contains(a.student()), a.student());
            refer("RECORD_CLASS", "attendance", i, "classId", a.id(), classes.contains(a.classId()), a.classId());
            if (!taken.add(a.student() + " " + a.classId())) {
                breach(
                        "ATTENDANCE_ONCE",
                        "attendance",
                        i,
                        "student",
                        a.id(),
                        a.student() + " is twice in class " + a.classId());
            }
        }
    }

    private void practice(Set<String> people, Set<String> classes, Set<String> subjects) {
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < club.practice().size(); i++) {
            PracticeEntry p = club.practice().get(i);
            String subject = p.technique() != null ? p.technique() : p.chain();
            unique(seen, "practice", i, p.id());
            refer(
                    "RECORD_STUDENT",
                    "practice",
                    i,
                    "student",
                    p.id(),
                    p.student() == null || people.contains(p.student()),
                    p.student());
            refer("RECORD_CLASS", "practice", i, "classId", p.id(), classes.contains(p.classId()), p.classId());
            refer("RECORD_SUBJECT", "practice", i, "technique", p.id(), subjects.contains(subject), subject);
        }
    }

    private void marks(Set<String> people, Set<String> classes, Set<String> subjects) {
        Set<String> seen = new HashSet<>();
        Set<String> ids = ids(club.marks(), Mark::id);
        for (int i = 0; i < club.marks().size(); i++) {
            Mark m = club.marks().get(i);
            unique(seen, "marks", i, m.id());
            refer("RECORD_STUDENT", "marks", i, "student", m.id(), people.contains(m.student()), m.student());
            refer(
                    "RECORD_CLASS",
                    "marks",
                    i,
                    "classId",
                    m.id(),
                    m.classId() == null || classes.contains(m.classId()),
                    m.classId());
            refer("RECORD_SUBJECT", "marks", i, "subject", m.id(), subjects.contains(m.subject()), m.subject());
            refer(
                    "MARK_WITHDRAWS",
                    "marks",
                    i,
                    "withdraws",
                    m.id(),
                    m.withdraws() == null || ids.contains(m.withdraws()),
                    m.withdraws());
        }
    }

    private void terms(Set<String> tracks) {
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < club.terms().size(); i++) {
            Term term = club.terms().get(i);
            unique(seen, "terms", i, term.id());
            for (Term.Slot slot : term.slots()) {
                refer("SLOT_TRACK", "terms", i, "slots", term.id(), tracks.contains(slot.track()), slot.track());
            }
        }
    }

    private void gradings(Set<String> people) {
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < club.gradings().size(); i++) {
            Grading g = club.gradings().get(i);
            unique(seen, "gradings", i, g.id());
            boolean known = ids(club.ladders(), Ladder::id).contains(g.ladder());
            refer("GRADING_LADDER", "gradings", i, "ladder", g.id(), known, g.ladder());
            for (Grading.Candidate candidate : g.candidates()) {
                String student = candidate.student();
                refer("RECORD_STUDENT", "gradings", i, "candidates", g.id(), people.contains(student), student);
                boolean there = !known || holds(g.ladder(), candidate.rank());
                refer("CANDIDATE_RANK", "gradings", i, "candidates", g.id(), there, candidate.rank());
            }
        }
    }

    private void rounds(GrapplingMap map, Set<String> people, Set<String> classes) {
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < club.rounds().size(); i++) {
            Round r = club.rounds().get(i);
            unique(seen, "rounds", i, r.id());
            refer("RECORD_STUDENT", "rounds", i, "first", r.id(), people.contains(r.first()), r.first());
            refer("RECORD_STUDENT", "rounds", i, "second", r.id(), people.contains(r.second()), r.second());
            boolean there = r.classId() == null || classes.contains(r.classId());
            refer("RECORD_CLASS", "rounds", i, "classId", r.id(), there, r.classId());
            there = r.ruleset() == null || map.ruleset(r.ruleset()).isPresent();
            refer("ROUND_RULESET", "rounds", i, "ruleset", r.id(), there, r.ruleset());
            onTheMap(map, i, r.id(), r.ended().link(), r.ended().position());
            for (Round.Event event : r.events()) {
                onTheMap(map, i, r.id(), event.link(), event.position());
            }
        }
    }

    private void onTheMap(GrapplingMap map, int i, String id, String link, String position) {
        refer(
                "ROUND_LINK",
                "rounds",
                i,
                "events",
                id,
                link == null || map.link(link).isPresent(),
                link);
        boolean there = position == null || map.position(position).isPresent();
        refer("ROUND_POSITION", "rounds", i, "events", id, there, position);
    }

    private void ignoredGaps(GrapplingMap map, Set<String> people) {
        Set<String> seen = new HashSet<>();
        Set<String> ranks = club.ladders().stream()
                .flatMap(ladder -> ladder.ranks().stream())
                .map(Rank::id)
                .collect(Collectors.toSet());
        for (int i = 0; i < club.ignoredGaps().size(); i++) {
            IgnoredGap gap = club.ignoredGaps().get(i);
            String id = gap.id();
            unique(seen, "ignoredGaps", i, id);
            boolean there = gap.rank() == null || ranks.contains(gap.rank());
            refer("GAP_RANK", "ignoredGaps", i, "rank", id, there, gap.rank());
            there = gap.student() == null || people.contains(gap.student());
            refer("RECORD_STUDENT", "ignoredGaps", i, "student", id, there, gap.student());
            there = gap.position() == null || map.position(gap.position()).isPresent();
            refer("GAP_POSITION", "ignoredGaps", i, "position", id, there, gap.position());
            there = gap.technique() == null || map.technique(gap.technique()).isPresent();
            refer("GAP_TECHNIQUE", "ignoredGaps", i, "technique", id, there, gap.technique());
            there = gap.reaction() == null || map.reaction(gap.reaction()).isPresent();
            refer("GAP_REACTION", "ignoredGaps", i, "reaction", id, there, gap.reaction());
        }
    }

    private static <T> Set<String> ids(List<T> things, Function<T, String> id) {
        return things.stream().map(id).collect(Collectors.toSet());
    }

    private void unique(Set<String> seen, String part, int i, String id) {
        if (!seen.add(id)) {
            breach("ID_UNIQUE", part, i, "id", id, "the id " + id + " is used twice among the " + part);
        }
    }

    private void refer(String rule, String part, int i, String field, String id, boolean there, String to) {
        if (!there) {
            breach(rule, part, i, field, id, id + " names " + to + ", which does not exist");
        }
    }

    private void breach(String rule, String part, int i, String field, String id, String sentence) {
        breaches.add(new Breach(rule, "/" + part + "/" + i + "/" + field, id, sentence));
    }
}
