package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a coach meets on every screen: places and the one box, nothing that moves under the hand, room on every width. */
class FaceStory extends Story {

    /** How far parts of a page may be moved by all of a drag, as the browser measures it. */
    private static final double SHIFT = 0.02;

    /** Keeps the settings that the browser itself has answered, as the server's answers are kept by their addresses. */
    private static final String WHAT_IS_SOLVED_HERE = """
            window.solvedHere = [];
            window.Worker = class extends Worker {
              asked = new Map();
              constructor(...of) {
                super(...of);
                this.addEventListener("message", ({ data }) => window.solvedHere.push(...(this.asked.get(data.number) ?? [])));
              }
              postMessage(question) {
                this.asked.set(question.number, question.with ?? []);
                super.postMessage(question);
              }
            };""";

    @ParameterizedTest
    @CsvSource({"1280, 800", "820, 1180", "390, 844"})
    void nothingMovesUnderTheHand(int width, int height) {
        Page page = browser.signedIn(width, height, ColorScheme.LIGHT);
        List<String> answered = new ArrayList<>();
        page.onResponse(response -> answered.add(response.url()));
        page.addInitScript(WHAT_IS_SOLVED_HERE);
        for (String view : width < 1280 ? List.of("", "/at/side-framed") : List.of("", "/at/side-framed", "/holes", "/gates")) {
            go(page, view);
            h1(page).waitFor();
            page.waitForLoadState();
            if (!button(page, "close the setting").isVisible()) {
                openSetting(page);
            }
            Locator slider = page.getByRole(AriaRole.SLIDER, named("Partner’s read"));
            slider.waitFor();
            page.evaluate("() => document.fonts.ready");
            // What moved when the setting was opened is told with the frame that shows it.
            drawn(page);
            page.evaluate("""
                    () => {
                      window.shifted = 0;
                      new PerformanceObserver(list => list.getEntries().forEach(e => window.shifted += e.value))
                        .observe({ type: 'layout-shift' });
                    }""");
            slider.scrollIntoViewIfNeeded();
            BoundingBox thumb = slider.boundingBox();
            double x = thumb.x + thumb.width / 2;
            double y = thumb.y + thumb.height / 2;
            String before = slider.getAttribute("aria-valuenow");
            page.mouse().move(x, y);
            page.mouse().down();
            for (int step = 1; step <= 12; step++) {
                page.mouse().move(x + step * 3, y);
            }
            assertThat(slider).not().hasAttribute("aria-valuenow", before);
            page.waitForURL("**read=**");
            solved(page, answered, "read=" + slider.getAttribute("aria-valuenow"));
            // Somebody who always finds the worst is spoken of in other words, and without a gate.
            page.keyboard().press("End");
            solved(page, answered, "read=1");
            assertThat(((Number) page.evaluate("window.shifted")).doubleValue()).as(view + " at " + width)
                    .isLessThanOrEqualTo(SHIFT);
            page.mouse().up();
        }
    }

    /** Waits until the odds under a setting have come, from the server or from the browser itself, and have been drawn. */
    private static void solved(Page page, List<String> answered, String setting) {
        page.waitForCondition(() -> answered.stream()
                .anyMatch(url -> url.contains("/odds") && List.of(url.split("[?&]")).contains(setting))
                || (boolean) page.evaluate("""
                        setting => window.solvedHere.some(asked =>
                          Object.entries(asked).some(([name, value]) => `${name}=${value}` === setting))""", setting));
        drawn(page);
    }

    private static void drawn(Page page) {
        page.evaluate("() => new Promise(drawn => requestAnimationFrame(() => requestAnimationFrame(drawn)))");
    }

    @Test
    void theOrderIsOfferedOnceTheHandRests() {
        Page page = browser.signedIn();
        go(page, "/at/side-framed");
        Locator answers = page.locator("section[id]").getByRole(AriaRole.HEADING);
        answers.first().waitFor();
        openSetting(page);
        String first = answers.first().textContent();
        page.getByRole(AriaRole.SLIDER, named("Partner’s read")).focus();
        for (int step = 0; step < 8; step++) {
            page.keyboard().press("ArrowRight");
        }
        Locator reorder = button(page, "re-order");
        reorder.waitFor();
        assertThat(answers.first()).hasText(first);
        reorder.click();
        assertThat(answers.first()).not().hasText(first);
        assertThat(reorder).hasCount(0);
        assertThat(page.getByText(Pattern.compile("was \\d+ \\(−\\d+\\)"))).isVisible();
        button(page, "clear").click();
        assertThat(page.getByText(Pattern.compile("was \\d+ \\(−\\d+\\)"))).hasCount(0);
    }

    @Test
    void aPlaceIsFoundBySixKeysAndAnswersOpenByTheirNumbers() {
        Page page = browser.signedIn();
        page.locator("[data-situation=mount-low]").waitFor();
        page.keyboard().press("/");
        page.keyboard().type("cup el");
        assertThat(page.getByRole(AriaRole.OPTION).first()).containsText("Elbow cupped, seated");
        assertThat(page.getByRole(AriaRole.OPTION).first()).containsText("first:");
        page.keyboard().press("Enter");
        assertThat(h1(page)).hasText("Elbow cupped, seated");
        assertThat(page).hasTitle("Elbow cupped, seated · Narrow Gate");
        Locator second = page.locator("section[id]").nth(1);
        assertThat(second.getByRole(AriaRole.BUTTON).first()).hasAttribute("aria-expanded", "false");
        page.keyboard().press("2");
        assertThat(second.getByRole(AriaRole.BUTTON).first()).hasAttribute("aria-expanded", "true");
        assertThat(second).isFocused();
        page.keyboard().press("2");
        assertThat(second.getByRole(AriaRole.BUTTON).first()).hasAttribute("aria-expanded", "false");
    }

    /** Where one goes back to is where one was; what is saved has the focus. */
    @Test
    void thePlaceOneWasIsThePlaceOneComesBackTo() {
        Page page = onACopy("Coming back");
        Locator gate = page.locator("[data-situation=turtle-loose]");
        gate.scrollIntoViewIfNeeded();
        gate.focus();
        page.keyboard().press("Enter");
        assertThat(h1(page)).hasText("Hands loose behind you");
        assertThat(page.locator("#page")).isFocused();
        page.goBack();
        assertThat(gate).isFocused();
        page.keyboard().press("Enter");
        Locator edit = page.getByRole(AriaRole.BUTTON, named("Edit: they ")).first();
        edit.focus();
        assertThat(edit).hasCSS("opacity", "1");
        page.keyboard().press("Enter");
        page.getByLabel("What they do", EXACT).fill("They hop behind you");
        button(page, "Save").click();
        assertThat(page.locator("li:focus")).containsText("hop behind you");
        assertThat(page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("They hop behind you")))
                .isVisible();
        button(page, "Undo").click();
        // The notice still says what was taken back, for as long as a pointer rests on it.
        assertThat(page.locator("#page").getByText("hop behind you")).hasCount(0);
    }

    /** One's own goes back at once; another's only once they have been named. */
    @Test
    void somebodyElsesChangeIsTakenBackByName() {
        Page tamsin = onACopy("By name");
        go(tamsin, "/at/mount-high");
        tamsin.getByLabel("What else they do about").first().fill("grab the collar");
        tamsin.keyboard().press("Enter");
        assertThat(tamsin.getByText("grab the collar").first()).isVisible();
        Page bram = browser.window();
        Browser.signIn(bram, "bram", "open-the-gate");
        bram.waitForURL("**/map/**");
        bram.navigate(tamsin.url());
        Locator theirs = bram.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("grab the collar"));
        theirs.waitFor();
        undo(bram);
        Locator asks = bram.getByRole(AriaRole.DIALOG, named("This is Tamsin Orrel’s"));
        assertThat(asks).containsText("grab the collar");
        asks.getByRole(AriaRole.BUTTON, within("Leave it")).click();
        assertThat(theirs).isVisible();
        undo(bram);
        asks.getByRole(AriaRole.BUTTON, within("Take Tamsin Orrel’s change back")).click();
        assertThat(theirs).hasCount(0);
    }

    @Test
    void aTabletShowsTheGridAndAPhoneTheFirstAnswer() {
        Page tablet = browser.signedIn(820, 1180, ColorScheme.LIGHT);
        Locator early = tablet.locator("[data-situation=side-early]");
        Locator settled = tablet.locator("[data-situation=side-crossface]");
        early.waitFor();
        assertThat(early.boundingBox().y).isEqualTo(settled.boundingBox().y);
        assertThat(early.boundingBox().height).isGreaterThanOrEqualTo(44);
        assertThat(tablet.evaluate("document.documentElement.scrollWidth")).isEqualTo(820);
        assertThat(Browser.seriousFaults(tablet)).isEmpty();

        Page phone = browser.signedIn(390, 844, ColorScheme.DARK);
        Locator last = phone.getByRole(AriaRole.REGION, exactly("You are there"));
        last.waitFor();
        BoundingBox there = last.boundingBox();
        assertThat(there.y + there.height).as("the families in two screens").isLessThan(2 * 844);
        assertThat(phone.evaluate("document.documentElement.scrollWidth")).isEqualTo(390);
        assertThat(Browser.seriousFaults(phone)).isEmpty();
        Browser.open(phone, "Near arm framed");
        Locator answer = phone.locator("section[id]").first();
        double bar = phone.getByRole(AriaRole.SEARCH).boundingBox().y;
        assertThat(answer.getByRole(AriaRole.BUTTON).first().boundingBox().y + 44).isLessThan(bar);
        double least = ((Number) phone.evaluate("""
                () => Math.min(...[...document.querySelectorAll('main button, main a.plate')]
                  .filter(e => e.offsetParent && !e.closest('li')).map(e => e.getBoundingClientRect().height))"""))
                .doubleValue();
        assertThat(least).as("a thumb needs 44 px").isGreaterThanOrEqualTo(44);
        assertThat(Browser.seriousFaults(phone)).isEmpty();
        // Whatever is last can be brought above the bars.
        phone.evaluate("window.scrollTo(0, document.body.scrollHeight)");
        Locator end = phone.getByRole(AriaRole.LINK, exactly("Edit this situation"));
        assertThat(end.boundingBox().y + end.boundingBox().height).isLessThanOrEqualTo(bar);
    }

    /** A desk at twice its size has half its room. */
    @Test
    void nothingIsLostAtTwiceTheSize() {
        Page page = browser.signedIn(640, 400, ColorScheme.LIGHT);
        for (String view : List.of("", "/at/mount-low", "/flow", "/gates", "/holes")) {
            go(page, view);
            h1(page).waitFor();
            assertThat(page.evaluate("document.documentElement.scrollWidth")).as(view).isEqualTo(640);
            if (!view.isEmpty()) {
                assertThat(Browser.seriousFaults(page)).as(view).isEmpty();
            }
        }
    }
}
