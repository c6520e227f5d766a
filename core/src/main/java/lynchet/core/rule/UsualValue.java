package lynchet.core.rule;

import java.lang.reflect.RecordComponent;
import java.util.Optional;

/** What is {@link Usual} as a value of its component's type. */
public final class UsualValue {

    private UsualValue() {}

    /** @return empty where nothing is usual */
    public static Optional<Object> of(RecordComponent component) {
        return Optional.ofNullable(component.getAnnotation(Usual.class)).map(usual -> of(usual, component.getType()));
    }

    /** @param type {@code boolean}, {@code int} or {@code double} */
    public static Object of(Usual usual, Class<?> type) {
        if (type == boolean.class) {
            return Boolean.valueOf(usual.value());
        }
        return type == int.class ? (Object) Integer.valueOf(usual.value()) : Double.valueOf(usual.value());
    }
}
