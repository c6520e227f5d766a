package lynchet.starter.demo;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.List;
import lynchet.core.mat.TrainingClass;
import lynchet.core.safety.Incident;
import lynchet.core.safety.IncidentBuilder;

/** What happened on the demo club's mats. */
final class DemoIncidents {

    private DemoIncidents() {}

    static List<Incident> of(LocalDate today, List<TrainingClass> past) {
        TrainingClass juniors = lastOf(past, "juniors", today.minusWeeks(2));
        TrainingClass throwing = lastOf(past, "throws", today.minusWeeks(3));
        return List.of(
                incident(
                        "inc-heads",
                        "bo-lindale",
                        "ada-quickly",
                        juniors,
                        LocalTime.of(17, 40),
                        Incident.Kind.COLLISION,
                        Incident.BodyPart.HAND,
                        "Two pairs ran into each other during the moving rounds; fell on the outstretched hand.",
                        "Cooled for ten minutes; the family was told at the door.",
                        "wren",
                        Incident.Outcome.SAT_OUT),
                incident(
                        "inc-shoulder",
                        "kit-harrowgate",
                        null,
                        throwing,
                        LocalTime.of(20, 5),
                        Incident.Kind.INJURY,
                        Incident.BodyPart.SHOULDER,
                        "Reached for the mat with the arm when thrown forward, instead of rolling over the shoulder.",
                        "Taken off the mat, arm in a sling.",
                        null,
                        Incident.Outcome.TO_DOCTOR));
    }

    private static Incident incident(
            String id,
            String student,
            String partner,
            TrainingClass trained,
            LocalTime time,
            Incident.Kind kind,
            Incident.BodyPart part,
            String what,
            String done,
            String seenBy,
            Incident.Outcome outcome) {
        return IncidentBuilder.builder()
                .id(id)
                .student(student)
                .partner(partner)
                .classId(trained.id())
                .on(trained.date())
                .time(time)
                .kind(kind)
                .part(part)
                .what(what)
                .done(done)
                .seenBy(seenBy)
                .outcome(outcome)
                .at(trained.date().atTime(time).plusHours(1).toInstant(ZoneOffset.UTC))
                .by("head")
                .build();
    }

    private static TrainingClass lastOf(List<TrainingClass> past, String track, LocalDate before) {
        return past.stream()
                .filter(c ->
                        c.track().equals(track) && !c.cancelled() && !c.date().isAfter(before))
                .reduce((first, second) -> second)
                .orElseThrow();
    }
}
