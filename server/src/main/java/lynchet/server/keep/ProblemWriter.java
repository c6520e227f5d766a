package lynchet.server.keep;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import lynchet.format.Json;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;

/** Problem details from where no controller is at work yet. */
@Component
public class ProblemWriter {

    public void write(HttpServletResponse response, HttpStatus status, String code, String detail) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.getWriter()
                .write(Json.write(Map.of(
                        "title", status.getReasonPhrase(), "status", status.value(), "detail", detail, "code", code)));
    }
}
