package lynchet.core.people;

/** Whom to call; seen by coaches only. */
public record Contacts(String guardian, String guardianPhone, String emergency, String emergencyPhone) {}
