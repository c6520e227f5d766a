package lynchet.core.map;

import lynchet.core.rule.Say;

/** Another name for the same thing, and the tongue it comes from ("Japanese", "wrestling", "plain"). */
public record Alias(String text, String tongue) {
    public Alias {
        Say.text("an alias", text, 80);
        tongue = tongue == null ? "plain" : tongue;
    }
}
