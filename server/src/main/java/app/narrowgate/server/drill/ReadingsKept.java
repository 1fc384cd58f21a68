package app.narrowgate.server.drill;

import app.narrowgate.server.account.Kept;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Of a member: every reading in the trainer, on whatever map. */
@Component
@Order(3)
class ReadingsKept implements Kept {

    private final ReadingMapper mapper;

    ReadingsKept(ReadingMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public String file() {
        return "readings";
    }

    @Override
    public Object of(UUID account) {
        return mapper.every(account);
    }
}
