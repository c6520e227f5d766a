package lynchet.core.rule;

import org.jspecify.annotations.Nullable;

/**
 * One way in which data breaks a rule.
 *
 * @param rule code of the rule
 * @param where path into the data, such as {@code /map/links/12/to}
 * @param id the thing that breaks it
 * @param sentence what is wrong, for a person
 */
public record Breach(String rule, String where, @Nullable String id, String sentence) {}
