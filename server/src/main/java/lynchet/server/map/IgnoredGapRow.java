package lynchet.server.map;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.walk.IgnoredGap;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "ignored_gap")
class IgnoredGapRow extends KeptAsJson<IgnoredGap> {

    protected IgnoredGapRow() {}

    IgnoredGapRow(IgnoredGap value) {
        super(value.id(), value);
    }

    @Override
    protected Class<IgnoredGap> type() {
        return IgnoredGap.class;
    }
}
