package lynchet.server.door;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.lang.reflect.WildcardType;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** The records that are sent and answered, with those inside them, by the name they have in the API document. */
final class SpokenRecords {

    private final Map<String, Class<?>> sent = new TreeMap<>();
    private final Map<String, Class<?>> all = new TreeMap<>();

    SpokenRecords(RequestMappingHandlerMapping handlers) {
        for (HandlerMethod method : handlers.getHandlerMethods().values()) {
            if (method.getBeanType().getPackageName().startsWith("lynchet")) {
                Stream.of(method.getMethodParameters())
                        .filter(parameter -> parameter.hasParameterAnnotation(RequestBody.class))
                        .map(MethodParameter::getGenericParameterType)
                        .forEach(type -> add(type, sent));
                add(method.getMethod().getGenericReturnType(), all);
            }
        }
        sent.values().forEach(type -> add(type, all));
    }

    Map<String, Class<?>> sent() {
        return sent;
    }

    Map<String, Class<?>> all() {
        return all;
    }

    private static void add(Type type, Map<String, Class<?>> to) {
        if (type instanceof ParameterizedType generic) {
            add(generic.getRawType(), to);
            Stream.of(generic.getActualTypeArguments()).forEach(argument -> add(argument, to));
        } else if (type instanceof WildcardType wild) {
            Stream.of(wild.getUpperBounds()).forEach(bound -> add(bound, to));
        } else if (type instanceof Class<?> plain && plain.isRecord()) {
            Class<?> namesake = to.putIfAbsent(plain.getSimpleName(), plain);
            if (namesake == null) {
                for (RecordComponent component : plain.getRecordComponents()) {
                    add(component.getGenericType(), to);
                }
            } else if (namesake != plain) {
                throw new IllegalStateException(namesake.getName() + " and " + plain.getName()
                        + " would be one in the API document; call one of them something else.");
            }
        }
    }
}
