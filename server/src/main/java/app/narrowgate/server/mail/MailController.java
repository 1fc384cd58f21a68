package app.narrowgate.server.mail;

import app.narrowgate.core.right.Right;
import app.narrowgate.server.door.Needs;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What would be sent. */
@RestController
@Needs(Right.MANAGE_MEMBERS)
@RequestMapping("/api/mail")
@Tag(name = "gym")
class MailController {

    private static final int MOST = 100;

    /** A letter as it would be sent. */
    @Schema(name = "Letter")
    record LetterView(long id, Instant at, String address, String subject, String body) {

        static LetterView of(Letter letter) {
            return new LetterView(letter.id(), letter.at(), letter.address(), letter.subject(), letter.body());
        }
    }

    private final SimulatedMailbox mailbox;

    MailController(SimulatedMailbox mailbox) {
        this.mailbox = mailbox;
    }

    @GetMapping
    @Operation(operationId = "mail", summary = "What would be sent if the house had a mail server, the newest first")
    List<LetterView> mail() {
        return mailbox.newest(MOST).stream().map(LetterView::of).toList();
    }
}
