package app.narrowgate.server.config;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;

/** What the connector refuses before any of this program is asked gets a problem with a sentence, too. */
@Configuration(proxyBeanMethods = false)
class ConnectorProblems {

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> problemsOfTheConnector() {
        return factory -> factory.addContextCustomizers(
                context -> ((StandardHost) context.getParent()).setErrorReportValveClass(Report.class.getName()));
    }

    /** Made by the container, so it has nothing to write with but its own hands. */
    public static final class Report extends ErrorReportValve {

        private static final String PROBLEM = """
                {"title":"%s","status":%d,"detail":"The address or the head of the request is not well formed. Open Narrow Gate \
                from its first page."}""";

        @Override
        protected void report(Request request, Response response, Throwable throwable) {
            HttpStatus status = HttpStatus.resolve(response.getStatus());
            if (status == null || status.value() < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
                return;
            }
            try {
                response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
                response.setCharacterEncoding(StandardCharsets.UTF_8.name());
                response.getReporter().write(PROBLEM.formatted(status.getReasonPhrase(), status.value()));
                response.finishResponse();
            } catch (IOException e) {
                container.getLogger().debug("Nobody reads why a request was refused", e);
            }
        }
    }
}
