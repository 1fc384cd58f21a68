package app.narrowgate.server.config;

import app.narrowgate.server.limit.Limits;
import app.narrowgate.server.problem.ProblemWriter;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;

/** When bodies are read: edits at the door, files once it is known who sends them. */
@Configuration(proxyBeanMethods = false)
class BodyFilters {

    private static final int AFTER_SECURITY = 0;

    @Bean
    FilterRegistrationBean<BodyReadingFilter> readEdits(ProblemWriter problems, Limits limits) {
        return ordered(new BodyReadingFilter(problems, limits, false), Ordered.HIGHEST_PRECEDENCE + 3);
    }

    @Bean
    FilterRegistrationBean<BodyReadingFilter> readFiles(ProblemWriter problems, Limits limits) {
        return ordered(new BodyReadingFilter(problems, limits, true), AFTER_SECURITY);
    }

    private static FilterRegistrationBean<BodyReadingFilter> ordered(BodyReadingFilter filter, int order) {
        FilterRegistrationBean<BodyReadingFilter> registration = new FilterRegistrationBean<>(filter);
        registration.setOrder(order);
        registration.setName(order == AFTER_SECURITY ? "files" : "edits");
        return registration;
    }
}
