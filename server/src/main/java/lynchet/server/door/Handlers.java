package lynchet.server.door;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.function.Supplier;
import lynchet.server.account.Role;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Who;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.http.HttpMethod;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationManager;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerExecutionChain;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.util.ServletRequestPathUtils;

/** Asks the handler that a request would reach to whom it is {@link OpenTo open}. */
@Component
class Handlers implements AuthorizationManager<RequestAuthorizationContext> {

    private final ObjectProvider<RequestMappingHandlerMapping> mappings;

    Handlers(ObjectProvider<RequestMappingHandlerMapping> mappings) {
        this.mappings = mappings;
    }

    @Override
    public AuthorizationDecision authorize(
            Supplier<? extends @Nullable Authentication> asking, RequestAuthorizationContext context) {
        HttpServletRequest request = context.getRequest();
        Who open = handler(request).map(Handlers::openTo).orElseGet(() -> whereNobodyAnswers(request));
        return new AuthorizationDecision(open == Who.STRANGERS || isOne(asking.get(), open));
    }

    /** @throws IllegalStateException if nobody said it: then it is open to nobody */
    static Who openTo(HandlerMethod handler) {
        OpenTo said = handler.getMethodAnnotation(OpenTo.class);
        if (said == null) {
            said = AnnotatedElementUtils.findMergedAnnotation(handler.getBeanType(), OpenTo.class);
        }
        if (said == null) {
            throw new IllegalStateException("nobody said to whom " + handler + " is open");
        }
        return said.value();
    }

    /** A path that is not there is told to everybody who may read; where something would be written, to those who may write all. */
    private static Who whereNobodyAnswers(HttpServletRequest request) {
        boolean isReading = HttpMethod.GET.matches(request.getMethod()) || HttpMethod.HEAD.matches(request.getMethod());
        return isReading ? Who.ACCOUNTS : Who.HEADS;
    }

    private Optional<HandlerMethod> handler(HttpServletRequest request) {
        if (!ServletRequestPathUtils.hasParsedRequestPath(request)) {
            ServletRequestPathUtils.parseAndCache(request);
        }
        for (RequestMappingHandlerMapping mapping : mappings) {
            HandlerExecutionChain found;
            try {
                found = mapping.getHandler(request);
            } catch (Exception another) { // it is there, with another method or another kind of body
                continue;
            }
            if (found != null && found.getHandler() instanceof HandlerMethod method) {
                return Optional.of(method);
            }
        }
        return Optional.empty();
    }

    private static boolean isOne(@Nullable Authentication asking, Who open) {
        if (asking == null || !asking.isAuthenticated() || asking instanceof AnonymousAuthenticationToken) {
            return false;
        }
        return asking.getAuthorities().stream()
                .map(one -> Role.valueOf(one.getAuthority().substring("ROLE_".length())))
                .anyMatch(role -> switch (open) {
                    case STRANGERS, ACCOUNTS -> true;
                    case COACHES -> role != Role.VIEWER;
                    case HEADS -> role == Role.HEAD;
                });
    }
}
