package app.narrowgate.core.right;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Who may do what, as the house decided: common practice in gyms, no source. */
class RightTest {

    private static final Path DOCUMENT = Path.of("../docs/rights.md");

    private static Set<Right> of(Role role) {
        return Arrays.stream(Right.values()).filter(role::may)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Right.class)));
    }

    @Test
    void anOwnerMayDoEverything() {
        assertThat(of(Role.OWNER)).containsExactlyInAnyOrder(Right.values());
    }

    /** Nobody loses a right by answering for more. */
    @Test
    void eachRoleMayDoWhatTheOnesBelowItMay() {
        Role[] roles = Role.values();
        for (int i = 1; i < roles.length; i++) {
            assertThat(of(roles[i - 1])).as("%s over %s", roles[i - 1], roles[i]).containsAll(of(roles[i]));
            assertThat(of(roles[i - 1])).hasSizeGreaterThan(of(roles[i]).size());
        }
    }

    @Test
    void anAssistantIsNotToldOfAnybodysHealth() {
        assertThat(Role.ASSISTANT.may(Right.READ_HEALTH)).isFalse();
        assertThat(Role.ASSISTANT.may(Right.SEE_PEOPLE)).isTrue();
        assertThat(Role.INSTRUCTOR.may(Right.READ_HEALTH)).isTrue();
    }

    @Test
    void aStudentSeesWhatIsSharedAndThemselves() {
        assertThat(of(Role.STUDENT)).containsExactlyInAnyOrder(Right.READ_SHARED_MAPS, Right.TRAIN, Right.SEE_ONESELF);
    }

    @Test
    void onlyTheOwnerAnswersForMembers() {
        assertThat(Right.MANAGE_MEMBERS.roles()).containsExactly(Role.OWNER);
        assertThat(Right.READ_AUDIT.roles()).containsExactly(Role.OWNER);
        assertThat(Right.MANAGE_GYM.roles()).containsExactly(Role.OWNER);
    }

    /** The page in the documents is made from the table: {@code -Dnarrowgate.refresh-rights=true} writes it anew. */
    @Test
    void theDocumentIsTheTable() throws IOException {
        String written = Files.readString(DOCUMENT);
        String head = written.substring(0, written.indexOf("| may |"));
        if (Boolean.getBoolean("narrowgate.refresh-rights")) {
            Files.writeString(DOCUMENT, head + RightsTable.markdown());
        }
        assertThat(Files.readString(DOCUMENT)).as("docs/rights.md is old").isEqualTo(head + RightsTable.markdown());
    }

    @ParameterizedTest
    @EnumSource
    void everyRightIsSomebodysAndSaysWhatItIs(Right right) {
        assertThat(right.roles()).contains(Role.OWNER);
        assertThat(right.title()).isNotBlank().doesNotContain("|");
        assertThat(RightsTable.markdown()).contains("| " + right.title() + " |");
    }
}
