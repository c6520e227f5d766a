package lynchet.server.house;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** The records that callers send, with those inside them. */
final class SentRecords {

    private final Set<Class<?>> all = new LinkedHashSet<>();

    SentRecords(RequestMappingHandlerMapping handlers) {
        handlers.getHandlerMethods().values().stream()
                .flatMap(method -> Stream.of(method.getMethodParameters()))
                .filter(parameter -> parameter.hasParameterAnnotation(RequestBody.class))
                .map(MethodParameter::getParameterType)
                .forEach(this::add);
    }

    Set<Class<?>> all() {
        return all;
    }

    private void add(Type type) {
        if (type instanceof ParameterizedType generic) {
            Stream.of(generic.getActualTypeArguments()).forEach(this::add);
        } else if (type instanceof Class<?> plain && plain.isRecord() && all.add(plain)) {
            for (RecordComponent component : plain.getRecordComponents()) {
                add(component.getGenericType());
            }
        }
    }
}
