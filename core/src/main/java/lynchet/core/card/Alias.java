package lynchet.core.card;

import lynchet.core.rule.Most;
import lynchet.core.rule.Require;

/** Another name for the same thing, and the tongue it comes from ("Japanese", "wrestling", "plain"). */
public record Alias(String text, @Most(40) String tongue) {
    public Alias {
        Require.text("an alias", text);
        tongue = tongue == null ? "plain" : tongue;
    }
}
