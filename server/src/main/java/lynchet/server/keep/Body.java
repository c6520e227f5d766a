package lynchet.server.keep;

import lynchet.core.rule.Nonsense;
import lynchet.format.Json;

/** How a thing is kept: in the open format. */
final class Body {

    /** Longer than anything that a coach writes as one thing, and short enough to be read in a blink. */
    static final int LONGEST = 500_000;

    private Body() {}

    /** @throws Nonsense if it is longer than fits */
    static String of(Object thing) {
        String body = Json.write(thing);
        if (body.length() > LONGEST) {
            throw new Nonsense(
                    Nonsense.Rule.TEXT_LONG,
                    "/",
                    "all of it together has " + body.length() + " characters and at most " + LONGEST + " fit");
        }
        return body;
    }
}
