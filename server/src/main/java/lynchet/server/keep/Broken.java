package lynchet.server.keep;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What went wrong before or after any controller, as a problem with a code like every other; asked for by itself there is nothing here. */
@Hidden
@RestController
class Broken implements ErrorController {

    @OpenTo(Who.STRANGERS)
    @RequestMapping("/error")
    ResponseEntity<ProblemDetail> problem(HttpServletRequest request) {
        HttpStatus status = request.getDispatcherType() == DispatcherType.ERROR
                ? Optional.ofNullable((Integer) request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE))
                        .map(HttpStatus::resolve)
                        .orElse(HttpStatus.INTERNAL_SERVER_ERROR)
                : HttpStatus.NOT_FOUND;
        String detail =
                switch (status.series()) {
                    case CLIENT_ERROR ->
                        status == HttpStatus.NOT_FOUND ? "There is nothing here." : "This could not be read.";
                    default -> Problems.BROKEN;
                };
        return ResponseEntity.status(status)
                .body(Problems.problem(status, Problems.codeOf(status.value()), null, detail));
    }
}
