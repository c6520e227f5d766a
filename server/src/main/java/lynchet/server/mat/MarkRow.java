package lynchet.server.mat;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import lynchet.core.mat.Mark;
import lynchet.core.mat.MarkBuilder;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.server.keep.Row;

@Entity
@Table(name = "mark")
class MarkRow extends Row<Mark> {

    private String student;

    private String subject;

    @Column(name = "played")
    @Enumerated(EnumType.STRING)
    private Role role;

    @Enumerated(EnumType.STRING)
    private Side side;

    private String version;

    @Enumerated(EnumType.STRING)
    private Standard standard;

    private boolean passed;

    private String classId;

    private Instant at;

    @Column(name = "by_account")
    private String by;

    private String withdraws;

    @ElementCollection
    @CollectionTable(name = "mark_fault", joinColumns = @JoinColumn(name = "mark"))
    @OrderColumn(name = "place")
    @Column(name = "fault")
    private List<String> faults = new ArrayList<>();

    protected MarkRow() {}

    MarkRow(Mark value) {
        super(value.id());
        keep(value);
    }

    @Override
    public void keep(Mark value) {
        student = value.student();
        subject = value.subject();
        role = value.role();
        side = value.side();
        version = value.version();
        standard = value.standard();
        passed = value.passed();
        classId = value.classId();
        at = value.at();
        by = value.by();
        withdraws = value.withdraws();
        if (!faults.equals(value.faults())) {
            faults.clear();
            faults.addAll(value.faults());
        }
    }

    @Override
    public Mark toCore() {
        return MarkBuilder.builder()
                .id(getId())
                .student(student)
                .subject(subject)
                .role(role)
                .side(side)
                .version(version)
                .standard(standard)
                .passed(passed)
                .faults(faults)
                .classId(classId)
                .at(at)
                .by(by)
                .withdraws(withdraws)
                .build();
    }
}
