package app.narrowgate.server.question;

import app.narrowgate.server.account.Kept;
import java.time.Instant;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Of a member: the questions that they kept. */
@Component
@Order(4)
class QuestionsKept implements Kept {

    private record Told(String words, String situation, Instant at) {
    }

    private final QuestionMapper mapper;

    QuestionsKept(QuestionMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public String file() {
        return "questions";
    }

    @Override
    public Object of(UUID account) {
        return mapper.by(account).stream().map(row -> new Told(row.words(), row.situation(), row.at())).toList();
    }
}
