package lynchet.server.mat;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.mat.Attendance;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "attendance")
class AttendanceRow extends KeptAsJson<Attendance> {

    private String student;

    @Column(name = "class_id")
    private String classId;

    protected AttendanceRow() {}

    AttendanceRow(Attendance attendance) {
        super(attendance.id(), attendance);
        student = attendance.student();
        classId = attendance.classId();
    }

    @Override
    protected Class<Attendance> type() {
        return Attendance.class;
    }
}
