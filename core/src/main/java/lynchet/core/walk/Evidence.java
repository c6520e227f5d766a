package lynchet.core.walk;

import lynchet.core.map.Link;
import lynchet.core.map.Reaction;

/**
 * What is known of how the map works, from rounds and from what is usual where there are none: what every sum that deals
 * in chances asks.
 */
public interface Evidence {

    /** The chance that a try of a link works, with its span and its tries. */
    Chance works(Link link);

    /** The estimate of {@link #works} alone, 0 to 1, which is quickly had. */
    double chance(Link link);

    /**
     * How often they react like this, 0 to 1: to a link, given that it did not work; at a position, given that I am there.
     * All reactions to one link, and {@link #none}, make 1.
     */
    double share(Reaction reaction);

    /** How often a try that did not work met none of the named reactions, 0 to 1. */
    double none(Link link);

    /** How often somebody was at a position in the rounds; 0 without rounds. */
    int visits(String position);
}
