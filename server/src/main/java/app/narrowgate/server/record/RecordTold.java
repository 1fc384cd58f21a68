package app.narrowgate.server.record;

import app.narrowgate.server.person.PersonTold;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Of somebody on the roster: every round in which they were below or on top, on whatever map. */
@Component
@Order(3)
class RecordTold implements PersonTold {

    private final RecordMapper mapper;

    RecordTold(RecordMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public String file() {
        return "rounds";
    }

    @Override
    public Object of(UUID person) {
        return mapper.with(person);
    }
}
