package app.narrowgate.server.map;

import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;

/** What an instructor can change about a rate rule; ranges are the core's. */
record RuleEdit(@Min(1) int revision, double above, double most, double amount, @NotBlank @Size(max = 400) String reason,
        @NotBlank @Size(max = 400) String source) {
}
