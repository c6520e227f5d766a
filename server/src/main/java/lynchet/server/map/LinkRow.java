package lynchet.server.map;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "link")
class LinkRow extends KeptAsJson<Link> {

    @Column(name = "from_pair")
    private String fromPair;

    @Column(name = "to_pair")
    private String toPair;

    private String technique;

    @Column(name = "when_reaction")
    private String whenReaction;

    protected LinkRow() {}

    LinkRow(Link link, GrapplingMap map) {
        super(link.id(), link);
        keep(link, map);
    }

    void keep(Link link, GrapplingMap map) {
        keep(link);
        fromPair = map.pairOf(link.from()).id();
        toPair = link.endsInTap() ? null : map.pairOf(link.to()).id();
        technique = link.technique();
        whenReaction = link.when();
    }

    @Override
    protected Class<Link> type() {
        return Link.class;
    }
}
