package lynchet.server.keep;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.Month;
import java.util.List;
import java.util.function.Function;
import lynchet.core.rule.Usual;
import lynchet.core.rule.UsualValue;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.Version;
import tools.jackson.databind.AnnotationIntrospector;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.cfg.CoercionAction;
import tools.jackson.databind.cfg.CoercionInputShape;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.Annotated;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.type.LogicalType;

/**
 * How a body that is sent is read: nothing is guessed. A number or a yes or no that is left out or null is refused, unless
 * its record says what is {@link Usual}; a text is no number, a number no yes. A list that is left out is an empty one, and
 * has nothing empty in it.
 */
@Configuration
class StrictBodies {

    @Bean
    JsonMapperBuilderCustomizer nothingGuessed() {
        return builder -> builder.enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
                .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
                .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
                .withCoercionConfig(
                        LogicalType.Textual, texts -> texts.setCoercion(CoercionInputShape.Integer, CoercionAction.Fail)
                                .setCoercion(CoercionInputShape.Float, CoercionAction.Fail)
                                .setCoercion(CoercionInputShape.Boolean, CoercionAction.Fail))
                .withCoercionConfig(
                        LogicalType.Boolean, said -> said.setCoercion(CoercionInputShape.Integer, CoercionAction.Fail))
                .withConfigOverride(
                        List.class,
                        lists -> lists.setNullHandling(JsonSetter.Value.construct(Nulls.AS_EMPTY, Nulls.FAIL)))
                .addModule(new Strict());
    }

    /** Days and times come as text, and as nothing else. */
    private static final class Strict extends SimpleModule {

        private static final long serialVersionUID = 1L;

        private Strict() {
            super("strict");
            addDeserializer(LocalDate.class, new OfText<>(LocalDate.class, LocalDate::parse));
            addDeserializer(LocalTime.class, new OfText<>(LocalTime.class, LocalTime::parse));
            addDeserializer(Instant.class, new OfText<>(Instant.class, Instant::parse));
            addDeserializer(Month.class, new OfText<>(Month.class, Month::valueOf));
        }

        @Override
        public void setupModule(SetupContext context) {
            super.setupModule(context);
            context.insertAnnotationIntrospector(new UsualValues());
        }
    }

    private static final class OfText<T> extends ValueDeserializer<T> {

        private final Class<T> type;
        private final Function<String, T> parse;

        private OfText(Class<T> type, Function<String, T> parse) {
            this.type = type;
            this.parse = parse;
        }

        @Override
        public @Nullable T deserialize(JsonParser parser, DeserializationContext context) {
            if (parser.currentToken() != JsonToken.VALUE_STRING) {
                return type.cast(context.handleUnexpectedToken(type, parser));
            }
            String text = parser.getString().strip();
            try {
                return text.isEmpty() ? null : parse.apply(text);
            } catch (DateTimeException | IllegalArgumentException e) {
                return type.cast(context.handleWeirdStringValue(type, text, "no such day or time"));
            }
        }
    }

    /** Gives what is {@link Usual} for what is left out. */
    private static final class UsualValues extends AnnotationIntrospector {

        private static final long serialVersionUID = 1L;

        @Override
        public Object findDeserializer(MapperConfig<?> config, Annotated part) {
            Usual usual = part.getAnnotation(Usual.class);
            return usual == null ? null : new OrUsual(part.getRawType(), UsualValue.of(usual, part.getRawType()));
        }

        @Override
        public Version version() {
            return Version.unknownVersion();
        }
    }

    private static final class OrUsual extends ValueDeserializer<Object> {

        private final Class<?> type;
        private final Object usual;

        private OrUsual(Class<?> type, Object usual) {
            this.type = type;
            this.usual = usual;
        }

        @Override
        public Object deserialize(JsonParser parser, DeserializationContext context) {
            return context.readValue(parser, type);
        }

        @Override
        public Object getNullValue(DeserializationContext context) {
            return usual;
        }
    }
}
