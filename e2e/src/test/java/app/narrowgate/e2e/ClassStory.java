package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.time.LocalDate;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A class from who is here to who works with whom. */
class ClassStory extends Story {

    /** Keys that somebody who knows the page needs; at one a second it is under a minute. */
    private static final int KEYS = 55;

    private static Page tonight() {
        Page page = browser.signedIn();
        page.getByRole(AriaRole.LINK, exactly("Class")).click();
        assertThat(h1(page)).hasText(Pattern.compile("Class: .+"));
        return page;
    }

    /** A class of its own, so that stories do not meet in one. */
    private static Page another() {
        Page page = tonight();
        page.getByRole(AriaRole.LINK, exactly("All classes")).click();
        assertThat(h1(page)).hasText("Classes");
        button(page, "Plan another class").click();
        assertThat(h1(page)).hasText(Pattern.compile("Class: Class, .+"));
        return page;
    }

    private static Locator plan(Page page) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The plan").setExact(true));
    }

    private static Locator kept(Page page) {
        return page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText(Pattern.compile("^Kept today")));
    }

    private static Locator minutes(Page page, String line) {
        return plan(page).getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^\\d+ minutes.*: " + line)));
    }

    /** Minutes of all lines. */
    private static int sum(Page page) {
        return plan(page).getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^\\d+ minutes"))).allInnerTexts().stream()
                .mapToInt(text -> Integer.parseInt(text.strip())).sum();
    }

    /** How long the class lasts; a class begins as long as the last one. */
    private static int length(Page page) {
        return Integer.parseInt(page.getByLabel("Minutes", new Page.GetByLabelOptions().setExact(true)).inputValue());
    }

    @Test
    void aClassIsPlannedByKeysInUnderAMinute() {
        Page page = tonight();
        int keys = Keys.planAClass(page);
        assertThat(sum(page)).isEqualTo(75);
        assertThat(keys).isLessThan(KEYS);
        assertThat(plan(page)).containsText("Gets going");
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Pairs"))).containsText("kg apart");
    }

    @Test
    void whatIsFixedStaysAndTheRestIsWorkedOutAroundIt() {
        Page page = another();
        Locator live = minutes(page, "Live: .*").first();
        int before = Integer.parseInt(live.innerText().strip());
        plan(page).getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^One minute less: Live"))).first().click();
        assertThat(live).hasAttribute("aria-pressed", "true");
        assertThat(live).hasText(String.valueOf(before - 1));
        assertThat(sum(page)).isEqualTo(length(page));
        Locator edge = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName(Pattern.compile("^Minutes of Live"))).first();
        edge.focus();
        page.keyboard().press("ArrowLeft");
        assertThat(live).hasText(String.valueOf(before - 2));
        button(page, "Undo").click();
        assertThat(live).hasText(String.valueOf(before - 1));
        page.locator("main").click(new Locator.ClickOptions().setPosition(2, 2));
        page.keyboard().press("Control+z");
        assertThat(live).hasAttribute("aria-pressed", "false");
        assertThat(live).hasText(String.valueOf(before));
        page.reload();
        assertThat(live).hasText(String.valueOf(before));
        assertThat(kept(page)).isVisible();
    }

    @Test
    void whatWasLeftOutIsPutInAndTakenOutAgain() {
        Page page = another();
        Locator left = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Left out"));
        Locator put = left.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Put in"))).first();
        String what = put.getAttribute("aria-label").substring("Put in ".length());
        put.click();
        Locator title = plan(page).getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(what).setExact(true));
        assertThat(title).isVisible();
        assertThat(sum(page)).isEqualTo(length(page));
        title.click();
        button(page, "Leave it out").click();
        assertThat(title).hasCount(0);
        assertThat(left).containsText("You took it out.");
    }

    @Test
    void pairsAreKeptAndPartedAndWhoeverComesLateJoins() {
        Page page = another();
        Locator pairs = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Pairs"));
        Locator first = pairs.getByRole(AriaRole.LISTITEM).first();
        String who = first.locator("span").first().innerText().strip();
        pairs.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Not these: " + who)).click();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Kept apart"))).containsText(who);
        assertThat(pairs.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Not these: " + who).setExact(true))).hasCount(0);
        Locator another = pairs.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Keep "))).first();
        String kept = another.getAttribute("aria-label").substring("Keep ".length());
        another.click();
        assertThat(pairs.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Let go of " + kept))).isVisible();
        button(page, "Other pairs").click();
        assertThat(pairs.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Let go of " + kept))).isVisible();
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Ivo"))).check();
        assertThat(pairs).containsText("Ivo");
    }

    @Test
    void aChangeThatDoesNotGetThroughStaysAndGoesOutLater() {
        Page page = another();
        page.context().setOffline(true);
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Bram"))).uncheck();
        assertThat(page.getByText("Not kept")).isVisible();
        page.context().setOffline(false);
        button(page, "Try again").click();
        assertThat(kept(page)).isVisible();
        page.reload();
        assertThat(page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Bram")))).not().isChecked();
    }

    @Test
    void whatCannotBeIsSaidAndTakenBack() {
        Page page = another();
        int before = length(page);
        Locator minutes = page.getByLabel("Minutes", new Page.GetByLabelOptions().setExact(true));
        minutes.fill("500");
        minutes.press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("180");
        assertThat(page.getByText("Not kept")).isVisible();
        button(page, "Undo").click();
        assertThat(kept(page)).isVisible();
        assertThat(minutes).hasValue(String.valueOf(before));
        assertThat(page.getByRole(AriaRole.ALERT)).hasCount(0);
    }

    @Test
    void twoWhoPlanTheSameClassDoNotOverwriteEachOther() {
        Page page = another();
        Page other = browser.window();
        Browser.signIn(other, "bram", "open-the-gate");
        other.waitForURL("**/map/**");
        other.navigate(page.url());
        assertThat(kept(other)).isVisible();
        other.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Corin"))).uncheck();
        assertThat(kept(other)).containsText("Bram Havelock-Quist");
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Delph"))).uncheck();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Bram Havelock-Quist has changed this class meanwhile");
        button(page, "Look at theirs").click();
        assertThat(page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Corin")))).not().isChecked();
        assertThat(page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Delph")))).isChecked();
    }

    @Test
    void anAssistantReadsThePlanAndIsNotToldWhatHurts() {
        Page page = tonight();
        assertThat(plan(page)).containsText("feeds only: mind the");
        Page assistant = browser.window();
        Browser.signIn(assistant, "ines", "open-the-gate");
        assistant.waitForURL("**/map/**");
        assistant.navigate(page.url());
        assertThat(plan(assistant)).containsText("feeds only: this is closed for them");
        assertThat(plan(assistant)).not().containsText("mind the");
        assertThat(assistant.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Bram")))).isDisabled();
        assertThat(button(assistant, "Other pairs")).hasCount(0);
        assertThat(button(assistant, "Same in a week")).hasCount(0);
    }

    @Test
    void aClassThatIsOverStaysAsItWasPlanned() {
        Page page = tonight();
        page.getByRole(AriaRole.LINK, exactly("All classes")).click();
        page.getByRole(AriaRole.LINK, exactly("Mount, first half")).click();
        assertThat(page.getByText("This class is over.")).isVisible();
        assertThat(plan(page)).containsText("New: trap an arm and a foot, bridge over that shoulder");
        Locator fresh = minutes(page, "New: trap an arm").first();
        assertThat(fresh).hasText("12");
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Garrick"))).check();
        assertThat(kept(page)).isVisible();
        assertThat(fresh).hasText("12");
        assertThat(page.getByText("15 here of")).isVisible();
    }

    @Test
    void theClassGoesOutInWordsAndComesAgainInAWeek() throws IOException {
        Page page = another();
        Download words = page.waitForDownload(() -> page.getByRole(AriaRole.LINK, exactly("In words")).click());
        assertThat(Files.readString(words.path())).contains("Tap early, let go at once").contains("19:30").doesNotContain("neck cranks");
        String day = page.getByLabel("Day", new Page.GetByLabelOptions().setExact(true)).inputValue();
        button(page, "Same in a week").click();
        assertThat(page.getByLabel("Day", new Page.GetByLabelOptions().setExact(true))).hasValue(LocalDate.parse(day).plusDays(7).toString());
        assertThat(kept(page)).isVisible();
        page.getByRole(AriaRole.LINK, exactly("All classes")).click();
        Locator coming = page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("Class, "));
        coming.last().getByRole(AriaRole.BUTTON).click();
        assertThat(page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("is out."))).isVisible();
        int left = coming.count();
        button(page, "Put it back").click();
        assertThat(coming).hasCount(left + 1);
    }

    @Test
    void aShapeIsKeptForTheGymAndPlannedBy() {
        Page page = another();
        button(page, "How long each part may last").click();
        Locator most = page.getByLabel("New, at most, minutes");
        most.fill("0");
        most.press("Enter");
        assertThat(plan(page)).not().containsText("New:");
        page.getByLabel("Keep this shape for the gym as").fill("Nothing new");
        button(page, "Keep it").click();
        assertThat(page.getByLabel("Shape", EXACT)).hasValue(Pattern.compile("^kept:"));
        Page other = another();
        other.getByLabel("Shape", EXACT).selectOption("Step by step");
        assertThat(plan(other)).containsText("New:");
        other.getByLabel("Shape", EXACT).selectOption("Nothing new");
        assertThat(kept(other)).isVisible();
        assertThat(plan(other)).not().containsText("New:");
        button(other, "How long each part may last").click();
        button(other, "Remove “Nothing new”").click();
        assertThat(other.getByLabel("Shape", EXACT)).hasValue("");
        button(other, "Put it back").click();
        assertThat(other.getByLabel("Shape", EXACT)).hasValue(Pattern.compile("^kept:"));
        other.getByLabel("Minutes", EXACT).fill("75");
        other.getByLabel("Minutes", EXACT).press("Enter");
        assertThat(other.getByRole(AriaRole.REGION, exactly("The class by minutes"))).containsText("20:45");
        assertThat(sum(other)).isEqualTo(75);
        assertThat(other.getByLabel("Shape", EXACT)).hasValue(Pattern.compile("^kept:"));
        // The next class begins like this one.
        other.getByLabel("Shape", EXACT).selectOption("Step by step");
        assertThat(plan(other)).containsText("New:");
    }

    @Test
    void whatIsPractisedIsTakenAlongOnPaper() {
        Page page = tonight();
        String fresh = plan(page).getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^New: "))).first().innerText();
        page.getByRole(AriaRole.LINK, exactly("On paper")).click();
        assertThat(h1(page)).hasText("Tonight: mount");
        assertThat(page.locator("article")).containsText(Pattern.compile(fresh.substring("New: ".length()), Pattern.CASE_INSENSITIVE));
        assertThat(page.locator("article")).containsText("Tap early, let go at once");
        assertThat(Browser.seriousFaults(page)).isEmpty();
        page.getByRole(AriaRole.LINK, exactly("Feeder’s sheets")).click();
        assertThat(page.getByText("Careful first.").first()).isVisible();
        assertThat(page.getByText("Writing the sheet")).hasCount(0);
        assertThat(page.getByText("Careful first.")).hasCount(page.locator("article").count());
        assertThat(Browser.seriousFaults(page)).isEmpty();
    }
}
