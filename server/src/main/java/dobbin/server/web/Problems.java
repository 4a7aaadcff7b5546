package dobbin.server.web;

import dobbin.edit.EditRejected;
import dobbin.reel.OutOfRange;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.RecoverableDataAccessException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import org.springframework.web.util.DisconnectedClientHelper;
import tools.jackson.core.JacksonException;

/** Every failure as a problem document (RFC 9457): what happened, in which field, and what to do. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    @ExceptionHandler
    ProblemDetail notFound(NotFound e) {
        return problem(HttpStatus.NOT_FOUND, "Not there", e.getMessage());
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(Refused e) {
        ResponseEntity.BodyBuilder answer = ResponseEntity.status(e.status());
        e.after().ifPresent(after -> answer.header(HttpHeaders.RETRY_AFTER, String.valueOf(after.toSeconds() + 1)));
        return answer.body(problem(e.status(), "Refused", e.getMessage()));
    }

    /** The request may be repeated: an edit names the revision it was made on. */
    @ExceptionHandler({
        DataAccessResourceFailureException.class,
        RecoverableDataAccessException.class,
        TransientDataAccessException.class,
        CannotCreateTransactionException.class,
        TransactionSystemException.class
    })
    ProblemDetail withoutDatabase(RuntimeException e) {
        if (Failures.isOfAFullDisk(e)) {
            return unforeseen(e);
        }
        LOG.error("The database did not answer", e);
        return problem(
                HttpStatus.SERVICE_UNAVAILABLE,
                "The database does not answer",
                "The database does not answer just now. Wait a moment, see whether this was done, and do it again if not.");
    }

    @ExceptionHandler
    ProblemDetail rejected(EditRejected e) {
        return inField(e.field(), e.getMessage());
    }

    @ExceptionHandler
    ProblemDetail outOfRange(OutOfRange e) {
        return inField(e.field(), e.getMessage());
    }

    @ExceptionHandler
    ProblemDetail outOfMemory(OutOfMemoryError e) {
        LOG.error("Out of memory", e);
        return problem(HttpStatus.SERVICE_UNAVAILABLE, "Not enough memory", Failures.sentence(e));
    }

    /** @return null where there is nobody to be told: browsers give up pictures that are out of sight */
    @ExceptionHandler
    ProblemDetail unforeseen(Exception e) {
        if (Failures.isExplained(e)) {
            return problem(HttpStatus.UNPROCESSABLE_CONTENT, "Damaged", e.getMessage());
        }
        if (Failures.isOfAFullDisk(e)) {
            LOG.error("The disk is full", e);
            return problem(HttpStatus.INSUFFICIENT_STORAGE, "The disk is full", Failures.sentence(e));
        }
        if (DisconnectedClientHelper.isClientDisconnectedException(e)) {
            LOG.debug("Nobody waits for the answer any more", e);
            return null;
        }
        LOG.error("Unforeseen failure", e);
        return problem(HttpStatus.INTERNAL_SERVER_ERROR, "Something went wrong", Failures.sentence(e));
    }

    @Override
    protected ResponseEntity<Object> handleNoResourceFoundException(
            NoResourceFoundException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String detail = "There is nothing at /" + e.getResourcePath() + ".";
        return ResponseEntity.status(status).body(problem(HttpStatus.NOT_FOUND, "Not there", detail));
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        ProblemDetail problem = unreadable(e);
        return ResponseEntity.status(problem.getStatus()).body(problem);
    }

    @Override
    protected ResponseEntity<Object> handleTypeMismatch(
            TypeMismatchException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String field = e instanceof MethodArgumentTypeMismatchException argument
                ? argument.getName()
                : String.valueOf(e.getPropertyName());
        ProblemDetail problem = inField(field, JsonWords.mustBe(e.getRequiredType()));
        problem.setStatus(HttpStatus.BAD_REQUEST);
        return ResponseEntity.badRequest().body(problem);
    }

    private static ProblemDetail unreadable(HttpMessageNotReadableException e) {
        for (Throwable cause = e.getCause(); cause != null; cause = cause.getCause()) {
            if (cause instanceof OutOfRange outOfRange) {
                return inField(outOfRange.field(), outOfRange.getMessage());
            }
        }
        ProblemDetail problem = e.getCause() instanceof JacksonException json
                ? inField(JsonWords.fieldOf(json), JsonWords.clauseOf(json))
                : inField("body", "cannot be read as JSON");
        problem.setStatus(HttpStatus.BAD_REQUEST);
        return problem;
    }

    private static ProblemDetail inField(String field, String clause) {
        ProblemDetail problem = problem(HttpStatus.UNPROCESSABLE_CONTENT, "Refused", field + " " + clause);
        problem.setProperty("field", field);
        return problem;
    }

    private static ProblemDetail problem(HttpStatus status, String title, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setTitle(title);
        return problem;
    }
}
