package lynchet.server.people;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.people.Student;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "student")
class StudentRow extends KeptAsJson<Student> {

    private String card;

    protected StudentRow() {}

    StudentRow(Student student) {
        super(student.id(), student);
        keepStudent(student);
    }

    void keepStudent(Student student) {
        keep(student);
        card = student.card();
    }

    @Override
    protected Class<Student> type() {
        return Student.class;
    }
}
