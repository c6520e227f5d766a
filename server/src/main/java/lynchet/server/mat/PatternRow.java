package lynchet.server.mat;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.mat.ClassPattern;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "class_pattern")
class PatternRow extends KeptAsJson<ClassPattern> {

    protected PatternRow() {}

    PatternRow(ClassPattern value) {
        super(value.id(), value);
    }

    @Override
    protected Class<ClassPattern> type() {
        return ClassPattern.class;
    }
}
