package dobbin.server.web;

import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** What Tomcat itself turns away gets a problem document with the headers that all answers have. */
@Component
class ProblemReport implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.addContextCustomizers(
                context -> context.getParent().getPipeline().addValve(new Valve()));
    }

    private static final class Valve extends ErrorReportValve {
        @Override
        protected void report(Request request, Response response, Throwable failure) {
            HttpStatus status = HttpStatus.resolve(response.getStatus());
            if (status == null
                    || !status.isError()
                    || response.getContentWritten() > 0
                    || !response.setErrorReported()) {
                return;
            }
            try {
                OriginFilter.addHeaders(response);
                response.setHeader("Cache-Control", "no-store");
                ProblemWriter.write(response, status, "Refused", ErrorPages.sentence(status));
                response.finishResponse();
            } catch (IOException | IllegalStateException e) {
                container.getLogger().debug("Nobody waits for the answer any more", e);
            }
        }
    }
}
