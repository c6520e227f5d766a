package lynchet.server.club;

import java.util.List;
import lynchet.server.keep.PartStore;

/** Which records an edit touches, part by part; what it does not name stays as it is. */
public interface RecordSelection {

    /** No records. */
    RecordSelection NONE = new RecordSelection() {
        @Override
        public <T> List<T> of(PartStore<T> store) {
            return List.of();
        }
    };

    <T> List<T> of(PartStore<T> store);
}
