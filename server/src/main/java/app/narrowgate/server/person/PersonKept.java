package app.narrowgate.server.person;

import app.narrowgate.server.account.Kept;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Of somebody on the roster: what is known of them, with what hurts them. */
@Component
@Order(2)
class PersonKept implements Kept {

    /** As it is written. */
    record Told(PersonEdit person, List<PersonController.AilmentView> ailments) {
    }

    private final PersonMapper mapper;

    PersonKept(PersonMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public String file() {
        return "person";
    }

    @Override
    public Object of(UUID account) {
        Optional<PersonRow> row = mapper.byAccount(account);
        return row.map(this::told).map(List::of).orElse(List.of());
    }

    Told told(PersonRow row) {
        return new Told(PersonEdit.of(row.person()), mapper.ailments(row.id()).stream().map(AilmentRow::ailment)
                .map(PersonController.AilmentView::of).toList());
    }
}
