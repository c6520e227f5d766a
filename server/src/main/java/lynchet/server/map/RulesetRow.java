package lynchet.server.map;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.map.Ruleset;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "ruleset")
class RulesetRow extends KeptAsJson<Ruleset> {

    protected RulesetRow() {}

    RulesetRow(Ruleset value) {
        super(value.id(), value);
    }

    @Override
    protected Class<Ruleset> type() {
        return Ruleset.class;
    }
}
