package lynchet.core.rule;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * What a number or a yes or no is where somebody who sends a record leaves it out. Without it nothing is guessed from
 * silence: the record is refused at the door. Said once, on the component of a record; the door and the schemas read it here.
 * What was kept or exported before is read by the rules of its own version.
 */
@Retention(RetentionPolicy.RUNTIME)
@Target({ElementType.RECORD_COMPONENT, ElementType.PARAMETER})
public @interface Usual {

    /** As it stands in JSON: {@code 0}, {@code false}. */
    String value();
}
