package lynchet.server.keep;

import java.lang.reflect.Type;
import lynchet.core.rule.Limits;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/** Every body that is sent keeps the {@link Limits}, before anything is done with it. */
@ControllerAdvice
class BodyLimits extends RequestBodyAdviceAdapter {

    @Override
    public boolean supports(
            MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converterType) {
        return true;
    }

    @Override
    public Object afterBodyRead(
            Object body,
            HttpInputMessage message,
            MethodParameter parameter,
            Type type,
            Class<? extends HttpMessageConverter<?>> converterType) {
        return Limits.kept(body);
    }
}
