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
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.PracticeEntryBuilder;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.server.keep.Row;

@Entity
@Table(name = "practice")
class PracticeRow extends Row<PracticeEntry> {

    private String classId;

    private String block;

    private String student;

    private String technique;

    private String chain;

    @Enumerated(EnumType.STRING)
    private Side side;

    private int reps;

    @Column(name = "is_part")
    private boolean part;

    @Column(name = "played")
    @Enumerated(EnumType.STRING)
    private Role role;

    private Instant at;

    @Column(name = "by_account")
    private String by;

    private boolean withdrawn;

    @ElementCollection
    @CollectionTable(name = "practice_except", joinColumns = @JoinColumn(name = "practice"))
    @OrderColumn(name = "place")
    @Column(name = "student")
    private List<String> except = new ArrayList<>();

    protected PracticeRow() {}

    PracticeRow(PracticeEntry value) {
        super(value.id());
        keep(value);
    }

    @Override
    public void keep(PracticeEntry value) {
        classId = value.classId();
        block = value.blockId();
        student = value.student();
        technique = value.technique();
        chain = value.chain();
        side = value.side();
        reps = value.reps();
        part = value.part();
        role = value.role();
        at = value.at();
        by = value.by();
        withdrawn = value.withdrawn();
        if (!except.equals(value.except())) {
            except.clear();
            except.addAll(value.except());
        }
    }

    @Override
    public PracticeEntry toCore() {
        return PracticeEntryBuilder.builder()
                .id(getId())
                .classId(classId)
                .blockId(block)
                .student(student)
                .technique(technique)
                .chain(chain)
                .side(side)
                .reps(reps)
                .part(part)
                .role(role)
                .except(except)
                .at(at)
                .by(by)
                .withdrawn(withdrawn)
                .build();
    }
}
