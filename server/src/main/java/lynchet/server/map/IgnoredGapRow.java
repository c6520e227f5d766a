package lynchet.server.map;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.walk.IgnoredGap;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "ignored_gap")
class IgnoredGapRow extends KeptAsJson<IgnoredGap> {

    private String rankId;

    private String student;

    protected IgnoredGapRow() {}

    IgnoredGapRow(IgnoredGap value) {
        super(value.id(), value);
        point(value);
    }

    @Override
    public void keep(IgnoredGap value) {
        super.keep(value);
        point(value);
    }

    private void point(IgnoredGap value) {
        rankId = value.rank();
        student = value.student();
    }

    @Override
    protected Class<IgnoredGap> type() {
        return IgnoredGap.class;
    }
}
