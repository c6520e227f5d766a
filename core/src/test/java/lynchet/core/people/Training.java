package lynchet.core.people;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import lynchet.core.club.TinyClub;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Credit;
import lynchet.core.mat.Mark;
import lynchet.core.mat.MarkBuilder;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.PracticeEntryBuilder;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.mat.TrainingClass;
import lynchet.core.rank.Ladder;

/** One student's classes, drills and passes, put together a line at a time. */
public final class Training {
    public final List<TrainingClass> classes = new ArrayList<>();
    public final List<PracticeEntry> practice = new ArrayList<>();
    public final List<Mark> marks = new ArrayList<>();

    public void drill(String technique, LocalDate day, Side side, int reps) {
        drill(technique, day, side, reps, false, null);
    }

    public void drill(String technique, LocalDate day, Side side, int reps, boolean part, Role role) {
        practice.add(PracticeEntryBuilder.builder()
                .id("p" + practice.size())
                .classId(attend(day))
                .technique(technique)
                .side(side)
                .reps(reps)
                .part(part)
                .role(role)
                .build());
    }

    public String attend(LocalDate day) {
        String id = "c" + day;
        if (classes.stream().noneMatch(c -> c.id().equals(id))) {
            classes.add(TinyClub.trained(id, day, "all", null, false));
        }
        return id;
    }

    public void pass(String technique) {
        mark(technique, null, Standard.SHOWN, true, List.of());
    }

    public void mark(String technique, LocalDate day, Standard standard, boolean passed, List<String> faults) {
        marks.add(MarkBuilder.builder()
                .id("m" + marks.size())
                .student("ana")
                .subject(technique)
                .side(Side.RIGHT)
                .standard(standard)
                .passed(passed)
                .faults(faults)
                .classId(day == null ? null : attend(day))
                .at(Instant.EPOCH.plusSeconds(marks.size()))
                .by("coach")
                .build());
    }

    public final List<Promotion> promotions = new ArrayList<>();
    public final List<Credit> credits = new ArrayList<>();
    public final List<Brought> brought = new ArrayList<>();

    public StudentRecord record() {
        Map<String, LocalDate> days = new HashMap<>();
        classes.forEach(c -> days.put(c.id(), c.date()));
        return new StudentRecord("ana", promotions, classes, practice, marks, days, null, Map.of(), credits, brought);
    }

    public StudentState state(Ladder... ladders) {
        return record().state(List.of(ladders), new TinyMap().map());
    }
}
