package app.narrowgate.server.gym;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Says at the start when the server works as somebody whom the rows' own rules do not bind: then only one wall stands. */
@Component
@Order(0)
class RowRulesCheck implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(RowRulesCheck.class);

    private final GymMapper mapper;

    RowRulesCheck(GymMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (mapper.isAboveRowRules()) {
            LOG.warn("The server works as a user of the database for whom no row is hidden, so that the database does not keep gyms "
                    + "apart. Give NARROWGATE_DB_USER a user without superuser and bypassrls.");
        }
    }
}
