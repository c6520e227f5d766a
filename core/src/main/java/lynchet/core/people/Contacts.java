package lynchet.core.people;

import lynchet.core.rule.Most;
import org.jspecify.annotations.Nullable;

/** Whom to call; seen by coaches only. */
public record Contacts(
        @Most(120) @Nullable String guardian,
        @Most(40) @Nullable String guardianPhone,
        @Most(120) @Nullable String emergency,
        @Most(40) @Nullable String emergencyPhone) {}
