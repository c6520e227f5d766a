package lynchet.server.mat;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.mat.Track;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "track")
class TrackRow extends KeptAsJson<Track> {

    protected TrackRow() {}

    TrackRow(Track value) {
        super(value.id(), value);
    }

    @Override
    protected Class<Track> type() {
        return Track.class;
    }
}
