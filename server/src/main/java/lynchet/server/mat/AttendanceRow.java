package lynchet.server.mat;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import lynchet.core.mat.Attendance;
import lynchet.server.keep.Row;

@Entity
@Table(name = "attendance")
class AttendanceRow extends Row<Attendance> {

    private String student;

    private String classId;

    /** The day of the class, so that what somebody attended lately is found at once. */
    private LocalDate classDate;

    @Enumerated(EnumType.STRING)
    private Attendance.How how;

    private Instant at;

    @Column(name = "by_account")
    private String by;

    protected AttendanceRow() {}

    AttendanceRow(Attendance value, LocalDate day) {
        super(value.id());
        keep(value);
        classDate = day;
    }

    @Override
    public void keep(Attendance value) {
        student = value.student();
        classId = value.classId();
        how = value.how();
        at = value.at();
        by = value.by();
    }

    @Override
    public Attendance toCore() {
        return new Attendance(getId(), student, classId, how, at, by);
    }
}
