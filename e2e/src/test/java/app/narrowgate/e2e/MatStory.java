package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A class on the mat: run by the clock, followed on other screens, through everything that goes wrong in a hall. */
class MatStory extends Story {

    /** A class of its own on the mat, not begun. */
    private static Page onTheMat() {
        return laidOut(planned());
    }

    /** The page of a new class. */
    private static Page planned() {
        Page page = browser.signedIn();
        page.clock().install();
        page.getByRole(AriaRole.LINK, exactly("Class")).click();
        page.getByRole(AriaRole.LINK, exactly("All classes")).click();
        button(page, "Plan another class").click();
        assertThat(h1(page)).hasText(Pattern.compile("Class: Class, .+"));
        return page;
    }

    private static Page laidOut(Page page) {
        page.getByRole(AriaRole.LINK, exactly("On the mat")).click();
        button(page, "Put it on the mat").click();
        assertThat(button(page, "Begin")).isVisible();
        return page;
    }

    private static Locator head(Page page) {
        return page.locator(".mat-head");
    }

    private static Locator time(Page page) {
        return page.getByRole(AriaRole.TIMER);
    }

    /** The step in which a screen is. */
    private static String step(Page page) {
        return page.locator(".mat-stage").getAttribute("data-step");
    }

    /** Puts the clocks of the server and of some windows ahead. */
    private static void later(int seconds, Page... pages) {
        app.later(seconds);
        for (Page page : pages) {
            page.clock().fastForward(1000L * seconds);
        }
    }

    /** A window without a sign-in that follows the class by a new link. */
    private static Page followed(Page page, String what, String path, int width, int height) {
        button(page, "More").click();
        button(page, "Screens and clickers").click();
        Locator item = page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHas(button(page, "Make a link"))
                .setHasText(what));
        item.getByRole(AriaRole.BUTTON, within("Make a link")).click();
        String link = item.getByLabel("The link", WITHIN_EXACT).inputValue();
        assertThat(link).contains(path + "#");
        button(page, "Back to the mat").click();
        Page other = browser.window(width, height, ColorScheme.DARK);
        other.clock().install();
        other.navigate(link);
        return other;
    }

    /**
     * Presses on until the class is in a step of some kind, such as the first round of what is new, and the server knows: a press that is on its way while
     * clocks are put ahead would count for later.
     */
    private static void until(Page page, String kind, String head) {
        for (int presses = 0; presses < 120; presses++) {
            if (kind.equals(page.locator(".mat-stage").getAttribute("data-kind")) && head(page).innerText().matches(head)) {
                page.waitForCondition(() -> (boolean) page.evaluate("() => !Object.keys(localStorage).some(key => key.endsWith(':queue'))"));
                return;
            }
            String before = step(page);
            page.keyboard().press("ArrowRight");
            assertThat(page.locator(".mat-stage")).not().hasAttribute("data-step", before);
        }
        throw new AssertionError("The class never comes to " + head);
    }

    @Test
    void aClassIsPlannedByKeysAndTenMinutesOfItRunThroughACutNetworkAndAKilledServer() {
        Page page = browser.signedIn();
        page.clock().install();
        page.getByRole(AriaRole.LINK, exactly("Class")).click();
        Keys.planAClass(page);
        page.getByLabel("What the class is called").focus();
        Keys.tabTo(page, "On the mat");
        Keys.type(page, "Enter");
        assertThat(button(page, "Put it on the mat")).isVisible();
        Keys.tabTo(page, "Put it on the mat");
        Keys.type(page, "Enter");
        Page screen = followed(page, "A screen for the room", "/screen", 1920, 1080);
        assertThat(head(screen)).isVisible();
        Keys.type(page, "PageDown");
        assertThat(head(screen)).hasText(Pattern.compile("Warm-up.*"));
        // Two minutes on their own: the warm-up goes on from movement to movement on both screens.
        String first = head(page).innerText();
        later(120, page, screen);
        assertThat(head(page)).not().hasText(first);
        assertThat(head(screen)).hasText(head(page).innerText());
        until(page, "round", "New, round 1.*");
        assertThat(head(screen)).hasText(Pattern.compile("New, round 1.*"));
        // The clock stops for all, and goes on.
        page.keyboard().press("b");
        assertThat(screen.getByText("Stop", new Page.GetByTextOptions().setExact(true))).isVisible();
        String stands = time(screen).innerText();
        later(30, page, screen);
        assertThat(time(screen)).hasText(stands);
        page.keyboard().press("b");
        assertThat(head(screen)).hasText(Pattern.compile("New, round 1.*"));
        // Without a network the clock goes on here, and a press waits for it.
        page.context().setOffline(true);
        page.keyboard().press("PageDown");
        assertThat(page.getByText("one press waits")).isVisible();
        assertThat(head(page)).hasText(Pattern.compile("New, round 2.*"));
        assertThat(head(screen)).hasText(Pattern.compile("New, round 1.*"));
        page.context().setOffline(false);
        assertThat(head(screen)).hasText(Pattern.compile("New, round 2.*"));
        assertThat(page.getByText("one press waits")).isHidden();
        // The server is killed in the middle of a round, and is back a little later: nobody has to do anything.
        until(page, "round", "New, round 2.*");
        app.kill();
        assertThat(page.getByText("No connection: the clock goes on here")).isVisible();
        app.startAgain();
        assertThat(page.getByText("No connection: the clock goes on here")).isHidden();
        // The screen looks for the server a little later than the page; stopped, both stand where the class is, however long that takes.
        page.keyboard().press("b");
        assertThat(screen.getByText("Stop", new Page.GetByTextOptions().setExact(true))).isVisible();
        assertThat(screen.locator(".mat-stage")).hasAttribute("data-step", step(page));
        // A reload comes back to where the class is.
        String where = head(page).innerText();
        page.reload();
        assertThat(head(page)).hasText(where);
        assertThat(head(screen)).hasText(where);
        // Another seven minutes, so that it has run for more than ten; both have gone on from part to part.
        page.keyboard().press("b");
        assertThat(screen.getByText("Stop", new Page.GetByTextOptions().setExact(true))).isHidden();
        later(480, page, screen);
        page.keyboard().press("b");
        assertThat(screen.getByText("Stop", new Page.GetByTextOptions().setExact(true))).isVisible();
        assertThat(screen.locator(".mat-stage")).hasAttribute("data-step", step(page));
        assertThat(head(page)).not().hasText(where);
    }

    @Test
    void whatReallyHappenedStandsOnThePageOfTheClass() {
        Page page = onTheMat();
        page.keyboard().press("PageDown");
        assertThat(button(page, "Stop")).isVisible();
        until(page, "round", "New, round 1.*");
        later(60, page);
        button(page, "More").click();
        button(page, "End the class").click();
        assertThat(page.getByText("The class is over")).isVisible();
        page.keyboard().press("Escape");
        assertThat(page.getByText("stands here as it came")).isVisible();
        Locator plan = page.getByRole(AriaRole.REGION, exactly("The plan"));
        assertThat(plan.getByRole(AriaRole.LISTITEM)).hasCount(1);
        assertThat(page.getByRole(AriaRole.REGION, exactly("Who worked with whom")).getByRole(AriaRole.LISTITEM).first()).isVisible();
        Locator minutes = plan.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^\\d+ minutes")));
        int took = Integer.parseInt(minutes.innerText().strip());
        plan.getByRole(AriaRole.BUTTON, within("One minute more")).click();
        assertThat(minutes).hasText(Integer.toString(took + 1));
        page.reload();
        assertThat(minutes).hasText(Integer.toString(took + 1));
    }

    @Test
    void aLateComerIsPairedInTwoPresses() {
        Page page = onTheMat();
        button(page, "Begin").click();
        // The strip changes with the beginning, and what is pressed must not move away under the press.
        assertThat(button(page, "Stop")).isVisible();
        button(page, "More").click();
        Locator late = page.getByRole(AriaRole.REGION, exactly("Who has come")).getByRole(AriaRole.BUTTON).nth(1);
        String name = late.innerText();
        late.click();
        assertThat(page.getByRole(AriaRole.BUTTON, exactly(name))).isHidden();
        page.keyboard().press("Escape");
        until(page, "show", "Live");
        assertThat(page.getByRole(AriaRole.LIST, exactly("Who works with whom"))).containsText(name.split(" ")[0]);
    }

    @Test
    void allStopAndLookAtAMistakeThatIsPutRight() {
        Page page = onTheMat();
        Page screen = followed(page, "A screen for the room", "/screen", 1280, 720);
        button(page, "Begin").click();
        until(page, "round", "New, round 1.*");
        page.keyboard().press("h");
        Locator mistake = page.getByRole(AriaRole.REGION, exactly("A mistake to put right")).getByRole(AriaRole.BUTTON).first();
        String sign = mistake.locator("strong").innerText();
        mistake.click();
        assertThat(head(screen)).hasText("Stop, look here");
        assertThat(screen.locator(".mat-words")).containsText(sign);
        button(page, "Go on").click();
        assertThat(head(screen)).hasText(Pattern.compile("New, round 1.*"));
    }

    @Test
    void aClickerSteersAndAWithdrawnScreenGoesDark() {
        Page page = onTheMat();
        Page clicker = followed(page, "A clicker", "/clicker", 390, 800);
        Page feeder = followed(page, "A feeder", "/feeder", 390, 800);
        assertThat(Browser.seriousFaults(clicker)).isEmpty();
        button(clicker, "Begin").click();
        assertThat(head(page)).hasText(Pattern.compile("Warm-up.*"));
        until(page, "round", "Called, round 1.*");
        assertThat(feeder.locator("[aria-current=step]")).isVisible();
        assertThat(Browser.seriousFaults(feeder)).isEmpty();
        button(clicker, "Stop").click();
        assertThat(button(page, "Go on")).isVisible();
        button(clicker, "Go on").click();
        assertThat(button(page, "Stop")).isVisible();
        button(page, "More").click();
        button(page, "Screens and clickers").click();
        assertThat(Browser.seriousFaults(page)).isEmpty();
        button(page, "Withdraw a feeder").first().click();
        assertThat(feeder.getByText("has been withdrawn")).isVisible();
        assertThat(button(clicker, "Stop")).isVisible();
    }

    @Test
    void aDialIsTurnedByTheClockAndThreeTakeTurns() {
        Page page = planned();
        button(page, "All grown-ups").click();
        assertThat(page.getByText("for these 20.")).isVisible();
        Locator plan = page.getByRole(AriaRole.REGION, exactly("The plan"));
        plan.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Live: "))).first().click();
        button(page, "Dial it, notch by notch").click();
        assertThat(plan.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Dial: ")))).isVisible();
        laidOut(page);
        Page feeder = followed(page, "A feeder", "/feeder", 390, 800);
        button(page, "Begin").click();
        assertThat(button(page, "Stop")).isVisible();
        button(page, "More").click();
        button(page, "Somebody goes home").click();
        page.getByRole(AriaRole.REGION, exactly("Who goes")).getByRole(AriaRole.BUTTON).nth(1).click();
        page.keyboard().press("Escape");
        until(page, "round", "Dial, round 1.*");
        Locator words = page.locator(".mat-words");
        assertThat(words).containsText("Notch 1");
        assertThat(words).containsText("The lighter one says stop. Never on the neck.");
        assertThat(feeder.getByText("Notch 1 of")).isVisible();
        Locator three = words.getByText(Pattern.compile("^\\S+ below, \\S+ on top, \\S+ rests$"));
        String first = three.innerText();
        assertThat(cut(page)).isEmpty();
        later(25, page);
        assertThat(words).containsText("Notch 2");
        until(page, "round", "Dial, round 2.*");
        assertThat(words).containsText("Notch 1");
        assertThat(three).not().containsText(first.split(" ")[0] + " below");
    }

    /** From five metres: nothing is cut off, nothing on the stage is small, and the largest is an eighth of its height. */
    @Test
    void everyStepOfAClassIsReadFromAcrossTheHall() {
        Page page = onTheMat();
        Page screen = followed(page, "A screen for the room", "/screen", 1920, 1080);
        Page small = followed(page, "A screen for the room", "/screen", 390, 800);
        assertThat(Browser.seriousFaults(screen)).isEmpty();
        button(page, "Begin").click();
        for (int presses = 0; presses < 160 && !page.getByText("End the class").isVisible(); presses++) {
            String shown = page.locator(".mat-stage").innerText();
            String step = step(page);
            for (Page one : List.of(page, screen, small)) {
                assertThat(one.locator(".mat-stage")).hasAttribute("data-step", step);
                assertThat(cut(one)).as("cut off at %d in %s", one.viewportSize().width, shown).isEmpty();
            }
            assertThat(((Number) screen.evaluate(LEAST)).doubleValue()).as(shown).isGreaterThanOrEqualTo(48);
            assertThat(((Number) screen.evaluate(LARGEST)).doubleValue()).as(shown).isGreaterThanOrEqualTo(1080 / 8.0);
            page.keyboard().press("ArrowRight");
            assertThat(page.locator(".mat-stage")).not().hasAttribute("data-step", step);
        }
        assertThat(page.getByText("End the class")).isVisible();
    }

    private static final String SIZES = """
            (() => [...document.querySelectorAll('.mat-stage *')].filter((e) => [...e.childNodes].some((n) => n.nodeType === 3 && n.textContent.trim())
              && !e.closest('svg')).map((e) => parseFloat(getComputedStyle(e).fontSize)))()""";
    private static final String LEAST = "Math.min(..." + SIZES + ")";
    private static final String LARGEST = "Math.max(..." + SIZES + ")";

    /** What of the stage's words does not fit where it stands. */
    @SuppressWarnings("unchecked")
    private static List<String> cut(Page page) {
        return (List<String>) page.evaluate("""
                () => [...document.querySelectorAll('.mat-stage, .mat-now, .mat-words, .mat-picture, .mat-pairs, .mat-list, .mat-big')]
                  .filter((e) => e.scrollHeight > e.clientHeight + 2 + 0.25 * parseFloat(getComputedStyle(e).fontSize) || e.scrollWidth > e.clientWidth + 2)
                  .map((e) => `${e.className} ${e.scrollWidth}x${e.scrollHeight} in ${e.clientWidth}x${e.clientHeight}`)""");
    }
}
