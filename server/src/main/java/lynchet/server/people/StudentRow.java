package lynchet.server.people;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import lynchet.core.people.Student;
import lynchet.format.csv.Roll;
import lynchet.server.keep.KeptAsJson;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "student")
class StudentRow extends KeptAsJson<Student> {

    private String card;

    /** The name as it is compared and sorted. */
    private String foldedName;

    private LocalDate leftOn;

    private LocalDate joined;

    private LocalDate born;

    /** Month and day as one number, so that birthdays to come are found. */
    private Integer birthday;

    private LocalDate weighed;

    private LocalDate memberUntil;

    private LocalDate limitedUntil;

    @Column(name = "is_held")
    private boolean held;

    @Column(name = "is_guest")
    private boolean guest;

    private String name;

    private String calledBy;

    /** Of a guest: whether somebody has seen that they can fall; null: they are none. */
    private @Nullable Boolean fallsKnown;

    protected StudentRow() {}

    StudentRow(Student value) {
        super(value.id(), value);
        point(value);
    }

    @Override
    public void keep(Student value) {
        super.keep(value);
        point(value);
    }

    private void point(Student value) {
        card = value.card();
        foldedName = Roll.fold(value.name());
        leftOn = value.left();
        guest = value.guest() != null;
        name = value.name();
        calledBy = value.calledBy();
        fallsKnown = value.guest() == null ? null : (Boolean) value.guest().fallsKnown();
        joined = value.joined();
        born = value.born();
        birthday = value.birthday().orElse(null);
        weighed = value.weighed();
        memberUntil = value.memberUntil();
        limitedUntil = value.limitedUntil().orElse(null);
        held = value.staysHeld();
    }

    @Override
    protected Class<Student> type() {
        return Student.class;
    }
}
