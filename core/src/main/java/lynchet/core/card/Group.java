package lynchet.core.card;

/** A finer class in a family: five groups of throws, four of submissions. */
public enum Group {
    HAND(Family.THROW),
    HIP(Family.THROW),
    FOOT_AND_LEG(Family.THROW),
    REAR_SACRIFICE(Family.THROW),
    SIDE_SACRIFICE(Family.THROW),
    CHOKE(Family.SUBMISSION),
    ARM_LOCK(Family.SUBMISSION),
    SHOULDER_LOCK(Family.SUBMISSION),
    LEG_LOCK(Family.SUBMISSION);

    private final Family family;

    Group(Family family) {
        this.family = family;
    }

    public Family family() {
        return family;
    }
}
