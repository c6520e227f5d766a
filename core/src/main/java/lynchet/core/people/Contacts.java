package lynchet.core.people;

import lynchet.core.rule.Most;

/** Whom to call; seen by coaches only. */
public record Contacts(
        @Most(120) String guardian,
        @Most(40) String guardianPhone,
        @Most(120) String emergency,
        @Most(40) String emergencyPhone) {}
