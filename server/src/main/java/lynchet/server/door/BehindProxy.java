package lynchet.server.door;

import java.util.regex.Pattern;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * Believes what a proxy forwards (who asks, and that they ask by HTTPS) from the one that is named and from nobody else;
 * without a name nothing that is forwarded is looked at.
 */
@Component
class BehindProxy implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    private final String proxy;

    /** @param proxy the address from which it asks; empty: there is none */
    BehindProxy(@Value("${lynchet.proxy}") String proxy) {
        this.proxy = proxy;
    }

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        if (!proxy.isBlank()) {
            RemoteIpValve valve = new RemoteIpValve();
            valve.setInternalProxies(Pattern.quote(proxy.strip()));
            valve.setTrustedProxies("");
            valve.setRemoteIpHeader("X-Forwarded-For");
            valve.setProtocolHeader("X-Forwarded-Proto");
            factory.addEngineValves(valve);
        }
    }
}
