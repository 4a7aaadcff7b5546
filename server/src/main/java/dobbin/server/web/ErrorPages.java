package dobbin.server.web;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Requests refused before they reach a controller get a problem document, too. */
@Hidden
@RestController
class ErrorPages implements ErrorController {
    @RequestMapping("${server.error.path:/error}")
    ResponseEntity<ProblemDetail> error(HttpServletRequest request) {
        HttpStatus status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer code
                ? HttpStatus.valueOf(code)
                : HttpStatus.NOT_FOUND;
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, sentence(status));
        problem.setTitle("Refused");
        return ResponseEntity.status(status)
                .cacheControl(CacheControl.noStore())
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(problem);
    }

    static String sentence(HttpStatus status) {
        return switch (status) {
            case BAD_REQUEST -> "The request is not well formed: look at its address and its headers.";
            case NOT_FOUND -> "There is nothing at this address.";
            case URI_TOO_LONG -> "The address of the request is too long.";
            case REQUEST_HEADER_FIELDS_TOO_LARGE -> "The headers of the request are too long.";
            default ->
                status.is5xxServerError()
                        ? "Dobbin failed at this. Try again, and look at the server's log if it stays."
                        : "This request is not answered.";
        };
    }
}
