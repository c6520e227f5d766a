package lynchet.server.map;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.map.Link;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "link")
class LinkRow extends KeptAsJson<Link> {

    @Column(name = "from_position")
    private String from;

    @Column(name = "to_position")
    private String to;

    private String technique;

    @Column(name = "when_reaction")
    private String whenReaction;

    protected LinkRow() {}

    LinkRow(Link value) {
        super(value.id(), value);
        point(value);
    }

    @Override
    public void keep(Link value) {
        super.keep(value);
        point(value);
    }

    private void point(Link value) {
        from = value.from();
        to = value.endsInTap() ? null : value.to();
        technique = value.technique();
        whenReaction = value.when();
    }

    @Override
    protected Class<Link> type() {
        return Link.class;
    }
}
