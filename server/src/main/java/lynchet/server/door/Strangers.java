package lynchet.server.door;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.util.concurrent.atomic.AtomicBoolean;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * What a stranger sends is not waited for once they were refused: the connection is closed. Else each that announces
 * a long body and sends none would hold a thread.
 */
@Component
class Strangers implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.addEngineValves(new Leaving());
    }

    private static final class Leaving extends ValveBase {

        private Leaving() {
            super(true);
        }

        @Override
        public void invoke(Request request, Response response) throws IOException, ServletException {
            boolean isStranger = request.getSession(false) == null;
            getNext().invoke(request, response);
            if (isStranger && response.getStatus() >= HttpStatus.BAD_REQUEST.value()) {
                org.apache.coyote.Request sent = request.getCoyoteRequest();
                if (isToCome(sent)) {
                    sent.action(ActionCode.DISABLE_SWALLOW_INPUT, null);
                }
            }
        }

        /** Whether more was announced than has come so far. */
        private static boolean isToCome(org.apache.coyote.Request sent) {
            AtomicBoolean isRead = new AtomicBoolean();
            sent.action(ActionCode.REQUEST_BODY_FULLY_READ, isRead);
            if (isRead.get() || sent.getContentLengthLong() == 0) {
                return false;
            }
            sent.action(ActionCode.AVAILABLE, false);
            return sent.getContentLengthLong() < 0
                    || sent.getBytesRead() + sent.getAvailable() < sent.getContentLengthLong();
        }
    }
}
