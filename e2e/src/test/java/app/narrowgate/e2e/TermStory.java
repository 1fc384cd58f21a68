package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.LocalDate;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Weeks of classes: planned together, kept, filled, and what was missed made up for. */
class TermStory extends Story {

    private static final Pattern REPEAT = Pattern.compile("^Repeat the last week until the end \\((\\d+) classes\\)$");

    private static Page term() {
        Page page = browser.signedIn();
        page.getByRole(AriaRole.LINK, exactly("Class")).click();
        page.getByRole(AriaRole.LINK, exactly("The term")).click();
        assertThat(h1(page)).hasText("Autumn term");
        return page;
    }

    private static Locator region(Page page, String name) {
        return page.getByRole(AriaRole.REGION, exactly(name));
    }

    private static Locator said(Page page, String words) {
        return page.getByRole(AriaRole.STATUS).getByText(words);
    }

    @Test
    void whatWasMissedIsPutIntoARecallAndTakenOutAgain() {
        Page page = term();
        assertThat(region(page, "Weeks")).containsText("come up first, not reached");
        Locator recall = region(page, "To make up for").getByRole(AriaRole.BUTTON, within("Recall it")).first();
        String title = recall.getAttribute("aria-label").replaceAll("^Recall it [^:]+: ", "");
        assertThat(recall.locator("xpath=ancestor::li")).containsText("Comes no more.");
        recall.click();
        assertThat(said(page, "It is recalled on")).isVisible();
        Locator first = region(page, "To make up for").getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(title)).first();
        assertThat(first).containsText("Comes again");
        button(page, "Undo").click();
        assertThat(said(page, "Taken back.")).isVisible();
        assertThat(first).containsText("Comes no more.");
    }

    @Test
    void theWeeksAreWorkedOutKeptAndComeInTheirClasses() {
        Page page = term();
        button(page, "Work the weeks out").click();
        assertThat(said(page, "This is a proposal")).isVisible();
        assertThat(Browser.seriousFaults(page)).isEmpty();
        button(page, "Leave them as they were").click();
        assertThat(said(page, "This is a proposal")).isHidden();
        button(page, "Work the weeks out").click();
        button(page, "Keep these weeks").click();
        assertThat(said(page, "Kept:")).isVisible();
        page.getByRole(AriaRole.LINK, exactly("Mount, second half")).click();
        button(page, "All grown-ups").click();
        assertThat(region(page, "The plan")).containsText("The term asks for it.");
    }

    @Test
    void aTermIsMadeLongerFilledAndTakenOut() {
        Page page = term();
        button(page, "Change the term").click();
        Locator last = page.getByLabel("Last day");
        last.fill(LocalDate.parse(last.inputValue()).plusWeeks(2).toString());
        button(page, "Keep it so").click();
        Locator repeat = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(REPEAT));
        String classes = repeat.innerText().replaceAll("\\D+", "");
        assertThat(classes).isIn("2", "3", "4");
        repeat.click();
        assertThat(said(page, classes + " classes are on the calendar.")).isVisible();
        assertThat(repeat).hasCount(0);
        button(page, "Take the " + classes + " classes off again").click();
        assertThat(repeat).hasText(Pattern.compile("\\(" + classes + " classes\\)"));
        button(page, "Change the term").click();
        last.fill("2020-01-01");
        button(page, "Keep it so").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("before it begins");
        button(page, "Remove the term, keep its classes").click();
        assertThat(h1(page)).hasText("No term is kept yet");
        button(page, "Put it back").click();
        assertThat(h1(page)).hasText("Autumn term");
        assertThat(page.getByRole(AriaRole.LINK, exactly("Mount, first half"))).isVisible();
    }
}
