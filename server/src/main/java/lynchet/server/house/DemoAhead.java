package lynchet.server.house;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.concurrent.CompletableFuture;
import lynchet.core.club.Club;
import lynchet.server.keep.H2File;
import lynchet.starter.demo.DemoClub;
import org.springframework.beans.factory.config.BeanFactoryPostProcessor;
import org.springframework.beans.factory.config.ConfigurableListableBeanFactory;
import org.springframework.context.EnvironmentAware;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/**
 * Begins to make the demo club before anything else is started, so that both cores are busy while the server starts;
 * not where there is a data file already, since the club is most likely in it.
 */
@Component
class DemoAhead implements BeanFactoryPostProcessor, EnvironmentAware {

    private Environment environment;
    private CompletableFuture<Club> ahead;

    @Override
    public void setEnvironment(Environment environment) {
        this.environment = environment;
    }

    @Override
    public void postProcessBeanFactory(ConfigurableListableBeanFactory factory) {
        Path data = Path.of(environment.getProperty("lynchet.data", ""));
        if (environment.getProperty("lynchet.demo", Boolean.class, false)
                && Files.notExists(data.resolve(H2File.NAME))) {
            ahead = CompletableFuture.supplyAsync(this::make);
        }
    }

    private Club make() {
        String fixed = environment.getProperty("lynchet.today", "");
        return DemoClub.on(fixed.isBlank() ? LocalDate.now() : LocalDate.parse(fixed));
    }

    /** The demo club, once it is made. */
    Club club() {
        return ahead == null ? make() : ahead.join();
    }
}
