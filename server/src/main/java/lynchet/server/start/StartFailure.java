package lynchet.server.start;

import java.net.BindException;
import java.util.Optional;
import lynchet.server.keep.H2File;
import org.springframework.boot.SpringBootExceptionReporter;
import org.springframework.boot.web.server.PortInUseException;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;

/** Says in one sentence why the server did not start; what it does not know is left to be reported in full. */
@Order(Ordered.HIGHEST_PRECEDENCE)
final class StartFailure implements SpringBootExceptionReporter {

    StartFailure(ConfigurableApplicationContext context) {}

    @Override
    public boolean reportException(Throwable failure) {
        Optional<String> sentence = sentence(failure);
        sentence.ifPresent(System.err::println);
        return sentence.isPresent();
    }

    static Optional<String> sentence(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof Refused refused) {
                return Optional.of(refused.getMessage());
            }
            if (cause instanceof PortInUseException inUse) {
                return Optional.of("Port " + inUse.getPort() + " is in use already. --port N takes another one.");
            }
            if (cause instanceof BindException) {
                return Optional.of(
                        "The port cannot be opened: " + cause.getMessage() + ". --port N takes another one.");
            }
            if (H2File.isOpenElsewhere(cause)) {
                return Optional.of("This club is open already: another Lynchet runs with the same data.");
            }
            if (H2File.isDamaged(cause)) {
                return Optional.of(
                        "The data file is damaged. Nothing was changed. ./lynchet restore FILE puts a copy back;"
                                + " the nightly ones stand in the folder copies beside it.");
            }
        }
        return Optional.empty();
    }
}
