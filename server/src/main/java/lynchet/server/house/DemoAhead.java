package lynchet.server.house;

import java.time.LocalDate;
import java.util.concurrent.CompletableFuture;
import lynchet.core.club.Club;
import lynchet.starter.demo.DemoClub;
import org.springframework.beans.factory.config.BeanFactoryPostProcessor;
import org.springframework.beans.factory.config.ConfigurableListableBeanFactory;
import org.springframework.context.EnvironmentAware;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** Begins to make the demo club before anything else is started, so that both cores are busy while the server starts. */
@Component
class DemoAhead implements BeanFactoryPostProcessor, EnvironmentAware {

    private Environment environment;
    private CompletableFuture<Club> demo;

    @Override
    public void setEnvironment(Environment environment) {
        this.environment = environment;
    }

    @Override
    public void postProcessBeanFactory(ConfigurableListableBeanFactory factory) {
        if (environment.getProperty("lynchet.demo", Boolean.class, false)) {
            String fixed = environment.getProperty("lynchet.today", "");
            LocalDate today = fixed.isBlank() ? LocalDate.now() : LocalDate.parse(fixed);
            demo = CompletableFuture.supplyAsync(() -> DemoClub.on(today));
        }
    }

    /** The demo club, once it is made. */
    Club club() {
        return demo.join();
    }
}
