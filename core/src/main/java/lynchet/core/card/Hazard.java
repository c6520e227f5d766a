package lynchet.core.card;

/** What in a technique can hurt someone; each is the code of a safety rule. */
public enum Hazard {
    REAR_SIT,
    KNEE_SIDE_FALL,
    ARM_STANDING_FALL,
    NECK_CRANK,
    FRONT_CHOKE,
    CHOKE,
    ARM_LOCK,
    SHOULDER_LOCK,
    LEG_LOCK,
    TWISTING_LEG_LOCK,
    LIFTED,
    BELT_THUMB,
    PRESSURE_POINT,
    LIFT_LEGS,
    /** A head that may point at the mat. */
    HEAD_DIVE,
    /** The receiver has no free arm to fall with. */
    ARMS_HELD,
    /** Weight near the neck: folding, bridging, rolling over a shoulder. */
    NECK_LOAD,
    /** A knee that is pressed from the side, or turned by a foot that is held. */
    KNEE_LOAD
}
