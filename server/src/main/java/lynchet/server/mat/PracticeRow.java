package lynchet.server.mat;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.mat.PracticeEntry;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "practice")
class PracticeRow extends KeptAsJson<PracticeEntry> {

    @Column(name = "class_id")
    private String classId;

    protected PracticeRow() {}

    PracticeRow(PracticeEntry entry) {
        super(entry.id(), entry);
        classId = entry.classId();
    }

    @Override
    protected Class<PracticeEntry> type() {
        return PracticeEntry.class;
    }
}
