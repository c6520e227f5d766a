package lynchet.server.mat;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.mat.DrillShape;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "drill_shape")
class DrillRow extends KeptAsJson<DrillShape> {

    private String technique;

    protected DrillRow() {}

    DrillRow(DrillShape value) {
        super(value.id(), value);
        point(value);
    }

    @Override
    public void keep(DrillShape value) {
        super.keep(value);
        point(value);
    }

    private void point(DrillShape value) {
        technique = value.technique();
    }

    @Override
    protected Class<DrillShape> type() {
        return DrillShape.class;
    }
}
