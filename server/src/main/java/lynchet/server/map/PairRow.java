package lynchet.server.map;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Table;
import java.util.HashSet;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.map.Position;
import lynchet.core.map.PositionPair;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "position_pair")
class PairRow extends KeptAsJson<PositionPair> {

    /** The positions of the pair, so that others can point at one of them. */
    @ElementCollection
    @CollectionTable(name = "position", joinColumns = @JoinColumn(name = "pair"))
    @Column(name = "id")
    private Set<String> positions = new HashSet<>();

    protected PairRow() {}

    PairRow(PositionPair value) {
        super(value.id(), value);
        point(value);
    }

    @Override
    public void keep(PositionPair value) {
        super.keep(value);
        point(value);
    }

    private void point(PositionPair value) {
        Set<String> ids = value.positions().stream().map(Position::id).collect(Collectors.toSet());
        positions.retainAll(ids);
        positions.addAll(ids);
    }

    @Override
    protected Class<PositionPair> type() {
        return PositionPair.class;
    }
}
