package lynchet.server.keep;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import lynchet.core.map.NotWellFormed;
import lynchet.core.rule.Breach;
import lynchet.core.rule.Nonsense;
import lynchet.format.ArchiveRefused;
import org.hibernate.exception.ConstraintViolationException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.validation.BindException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Every error as problem details with a code and the place it is about. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {

    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    static final String BROKEN =
            "Something went wrong here. Nothing was saved; try again, and tell the head coach if it stays.";

    private final Disk disk;

    Problems(Disk disk) {
        this.disk = disk;
    }

    @ExceptionHandler
    ProblemDetail refused(Refusal refusal) {
        return problem(refusal.status(), refusal.code(), refusal.where(), refusal.getMessage());
    }

    @ExceptionHandler
    ProblemDetail refused(ArchiveRefused refused) {
        return breaches(refused.breaches());
    }

    @ExceptionHandler
    ProblemDetail refused(NotWellFormed refused) {
        return breaches(refused.breaches());
    }

    @ExceptionHandler
    ProblemDetail overtaken(OptimisticLockingFailureException e) {
        return problem(
                HttpStatus.PRECONDITION_FAILED,
                "STALE",
                null,
                "Somebody else saved this in the same moment. Nothing was changed; look at theirs and save again.");
    }

    @ExceptionHandler
    ProblemDetail nonsense(IllegalArgumentException e) {
        String code = e instanceof Nonsense refused ? refused.rule().name() : "NOT_VALID";
        String where = e instanceof Nonsense refused ? refused.where() : null;
        return problem(HttpStatus.UNPROCESSABLE_ENTITY, code, where, sentence(e.getMessage()));
    }

    /** Two made the same thing in the same moment, and the second look did not help either. */
    @ExceptionHandler({DataIntegrityViolationException.class, ConstraintViolationException.class})
    ProblemDetail conflict(Exception e) {
        LOG.info("Refused by the database: {}", e.getMessage());
        return problem(
                HttpStatus.CONFLICT,
                "CONFLICT",
                null,
                "Somebody changed the same thing in the same moment. Nothing was changed; look and try again.");
    }

    /** The problem that something thrown is, for work that runs outside a request. */
    ProblemDetail of(Throwable e) {
        if (e instanceof Refusal refusal) {
            return refused(refusal);
        }
        if (e instanceof ArchiveRefused refused) {
            return refused(refused);
        }
        if (e instanceof NotWellFormed refused) {
            return refused(refused);
        }
        if (e instanceof OptimisticLockingFailureException overtaken) {
            return overtaken(overtaken);
        }
        if (disk.isGone(e)) {
            return gone(false);
        }
        return e instanceof IllegalArgumentException nonsense ? nonsense(nonsense) : broken();
    }

    private static ProblemDetail broken() {
        return problem(HttpStatus.INTERNAL_SERVER_ERROR, "BROKEN", null, BROKEN);
    }

    /** An answer that has begun is broken off: a browser that saves it says that it failed, not given its half. */
    @ExceptionHandler
    ProblemDetail broken(RuntimeException e, HttpServletRequest request, HttpServletResponse response) {
        if (response.isCommitted()) {
            throw e;
        }
        if (disk.isGone(e)) {
            LOG.error(
                    "The data cannot be reached: {}",
                    NestedExceptionUtils.getMostSpecificCause(e).toString());
            return gone(request.getMethod().equals("GET") || request.getMethod().equals("HEAD"));
        }
        LOG.error("A request failed", e);
        return broken();
    }

    private static ProblemDetail gone(boolean isReading) {
        return problem(
                HttpStatus.SERVICE_UNAVAILABLE,
                isReading ? "NOT_REACHED" : "NOT_KNOWN",
                null,
                isReading
                        ? "What is kept cannot be read just now. Try again in a moment, and tell the head coach if it stays."
                        : "It is not known whether this was kept. Look again in a moment; what is missing then, send once more.");
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String where = null;
        String sentence = "This could not be read.";
        String code = "NOT_READABLE";
        if (e.getCause() instanceof JacksonException unreadable) {
            StringBuilder path = new StringBuilder();
            unreadable.getPath().forEach(step -> path.append('/')
                    .append(step.getPropertyName() != null ? step.getPropertyName() : step.getIndex()));
            where = path.toString();
            Throwable cause = unreadable.getCause();
            if (cause instanceof Nonsense refused && refused.where() != null) {
                where += refused.where();
            }
            boolean isRefused = cause instanceof IllegalArgumentException;
            sentence = isRefused ? cause.getMessage() : unreadable(unreadable, where);
            code = cause instanceof Nonsense refused
                    ? refused.rule().name()
                    : isMissing(unreadable) ? Nonsense.Rule.MISSING.name() : code;
        }
        ProblemDetail problem = problem(HttpStatus.BAD_REQUEST, code, where, sentence(sentence));
        return ResponseEntity.badRequest().body(problem);
    }

    /** Whether a number, or a yes or no, is missing or null. */
    private static boolean isMissing(JacksonException unreadable) {
        return unreadable instanceof MismatchedInputException
                && unreadable.getOriginalMessage().startsWith("Cannot map `null` into type");
    }

    /** What cannot be read, without a word of how it is read. */
    private static String unreadable(JacksonException unreadable, String where) {
        String field = where.isEmpty() ? "this" : where.substring(where.lastIndexOf('/') + 1);
        if (isMissing(unreadable)) {
            return field + " is missing";
        }
        if (unreadable instanceof UnrecognizedPropertyException) {
            return "there is no field called " + field;
        }
        if (unreadable instanceof InvalidFormatException wrong) {
            return "\u201c" + wrong.getValue() + "\u201d cannot be read as " + field;
        }
        return unreadable instanceof MismatchedInputException
                ? field + " cannot be read as it was sent"
                : "what was sent is cut off, or is not JSON";
    }

    /** A parameter that is missing or cannot be read is named, like every other bad input. */
    @Override
    protected ResponseEntity<Object> handleMissingServletRequestParameter(
            MissingServletRequestParameterException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return ResponseEntity.badRequest()
                .body(problem(
                        HttpStatus.BAD_REQUEST,
                        "NOT_READABLE",
                        e.getParameterName(),
                        "Say " + e.getParameterName() + " too."));
    }

    @Override
    protected ResponseEntity<Object> handleTypeMismatch(
            TypeMismatchException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String name = e instanceof MethodArgumentTypeMismatchException argument ? argument.getName() : null;
        return ResponseEntity.badRequest()
                .body(problem(
                        HttpStatus.BAD_REQUEST,
                        "NOT_READABLE",
                        name,
                        "“" + e.getValue() + "” cannot be read as " + (name == null ? "this" : name) + "."));
    }

    /** What Spring refuses by itself gets a code as well. */
    @Override
    protected ResponseEntity<Object> handleExceptionInternal(
            Exception e, Object body, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        ResponseEntity<Object> answer = super.handleExceptionInternal(e, body, headers, status, request);
        if (answer != null
                && answer.getBody() instanceof ProblemDetail problem
                && (problem.getProperties() == null || !problem.getProperties().containsKey("code"))) {
            problem.setProperty("code", codeOf(status.value()));
            if (e instanceof BindException bound && bound.getFieldError() != null) {
                problem.setProperty("where", bound.getFieldError().getField());
                problem.setDetail("“" + bound.getFieldError().getRejectedValue() + "” cannot be read as "
                        + bound.getFieldError().getField() + ".");
            }
        }
        return answer;
    }

    static String codeOf(int status) {
        return switch (status) {
            case 404 -> "NOT_FOUND";
            case 405 -> "METHOD";
            case 406, 415 -> "MEDIA_TYPE";
            case 413 -> "TOO_LARGE";
            case 500, 503 -> "BROKEN";
            default -> "NOT_READABLE";
        };
    }

    private static ProblemDetail breaches(List<Breach> breaches) {
        Breach first = breaches.get(0);
        ProblemDetail problem =
                problem(HttpStatus.UNPROCESSABLE_ENTITY, first.rule(), first.where(), sentence(first.sentence()));
        problem.setProperty("breaches", breaches.subList(0, Math.min(20, breaches.size())));
        return problem;
    }

    static ProblemDetail problem(HttpStatus status, String code, String where, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setProperty("code", code);
        if (where != null) {
            problem.setProperty("where", where);
        }
        return problem;
    }

    private static String sentence(String text) {
        if (text == null || text.isBlank()) {
            return "This is not valid.";
        }
        String first = text.lines().findFirst().orElse(text);
        return Character.toUpperCase(first.charAt(0)) + first.substring(1) + (first.endsWith(".") ? "" : ".");
    }
}
