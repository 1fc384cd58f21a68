package app.narrowgate.server.record;

import app.narrowgate.server.account.Kept;
import app.narrowgate.server.person.People;
import app.narrowgate.server.person.PersonTold;
import java.util.UUID;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Of somebody: every round in which they were below or on top, their repetitions, and what was decided on their gates, on whatever map. */
@Component
@Order(5)
class RecordTold implements Kept, PersonTold {

    private final RecordMapper mapper;
    private final ObjectProvider<People> people;

    /** The roster asks for this, too; so it is looked up when it is needed. */
    RecordTold(RecordMapper mapper, ObjectProvider<People> people) {
        this.mapper = mapper;
        this.people = people;
    }

    @Override
    public String file() {
        return "record";
    }

    @Override
    public Object of(UUID someone) {
        return mapper.with(people.getObject().of(someone).orElse(someone));
    }
}
