package lynchet.core.mat;

import java.time.Instant;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Stamped;

/**
 * A student was in a class; unique per student and class.
 *
 * @param how by which way it was taken
 * @param by account name of the person who took it
 */
public record Attendance(
        String id,
        String student,
        String classId,
        How how,
        Instant at,
        @Most(40) String by) implements Stamped<Attendance> {

    /** How attendance was taken. */
    public enum How {
        NAME,
        CARD,
        BULK
    }

    public Attendance {
        Require.id("an attendance", id);
        Require.present("the student of this attendance", student);
        Require.present("the class of this attendance", classId);
        how = how == null ? How.NAME : how;
    }

    @Override
    public Attendance stamped(Instant when, String account) {
        return new Attendance(id, student, classId, how, when, account);
    }
}
