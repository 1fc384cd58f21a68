package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The client on a device, over a line that can be cut: in a basement it opens and answers as it did upstairs. */
class DeviceStory extends Story {

    private static Line line;

    @BeforeAll
    static void behindALine() {
        browser.close();
        line = new Line(app.address());
        browser = Browser.installing(line.address());
    }

    @BeforeEach
    void mended() {
        line.mend();
    }

    @AfterAll
    static void hangUp() {
        line.close();
    }

    private static Locator noNetwork(Page page) {
        return page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("No network."));
    }

    /** Waits until an answer whose path ends so, as a regular expression, is on the device. */
    private static void keeps(Page page, String ending) {
        // Not as a function that the page waits for: the content policy lets nothing be put together there.
        page.waitForCondition(() -> (boolean) page.evaluate("""
                async ending => (await (await caches.open("narrowgate-answers")).keys())
                  .some(kept => new RegExp(`${ending}$`).test(new URL(kept.url).pathname))""", ending));
    }

    /** A window on whose device is what it takes to do without a network. */
    private static Page installed() {
        Page page = browser.freshlySignedIn();
        page.waitForCondition(() -> (boolean) page.evaluate("navigator.serviceWorker.controller !== null"));
        for (String ending : new String[] {"/session", "/maps", "/carried", "/pictures", "/deck", "/people", "/tonight", "/classes", "/classes/[^/]+"}) {
            keeps(page, ending);
        }
        return page;
    }

    private static String odds(Page page) {
        return page.locator("[data-situation=mount-low] [data-odds]").textContent();
    }

    @Test
    void theMapOpensAndMovesWithoutANetwork() {
        Page page = installed();
        page.locator("[data-solved=here]").waitFor();
        String before = odds(page);
        line.cut();
        page.reload();
        assertThat(page.locator("[data-situation=mount-low] [data-odds]")).hasText(before);
        assertThat(noNetwork(page)).containsText("What you see is as it was today");
        openSetting(page);
        page.getByRole(AriaRole.SLIDER, named("Starts late by")).press("PageUp");
        assertThat(page.locator("[data-situation=mount-low] [data-odds]")).not().hasText(before);
        line.mend();
        assertThat(noNetwork(page)).isHidden();
    }

    @Test
    void whatWasNotOpenedBeforeIsThere() {
        Page page = installed();
        line.cut();
        page.locator("[data-situation=mount-low]").click();
        assertThat(page.getByTestId("odds")).isVisible();
        assertThat(noNetwork(page)).isVisible();
        go(page, "/record");
        assertThat(page.getByText("Where did it start?")).isVisible();
        go(page, "/class");
        assertThat(page.getByRole(AriaRole.REGION, named("The plan"))).isVisible();
        go(page, "/held");
        page.getByRole(AriaRole.BUTTON, exactly("astride")).click();
        assertThat(page.getByRole(AriaRole.REGION, exactly("Where you are"))).isVisible();
        go(page, "/drills/trainer");
        assertThat(page.getByText("1 of 20")).isVisible();
        // Nobody drew these before: they are drawn here, and differ.
        List<String> drawn = new ArrayList<>();
        for (int draw : new int[] {31, 32}) {
            go(page, "/drills/trainer?draw=" + draw);
            assertThat(page.getByText("1 of 20")).isVisible();
            drawn.add(page.getByRole(AriaRole.MAIN).innerText());
        }
        assertThat(drawn.get(0)).isNotEqualTo(drawn.get(1));
        line.mend();
        assertThat(noNetwork(page)).isHidden();
    }

    /** The facts of a copy of the demo's map, in a window at the end of the line. */
    private static Page downstairs(String title) {
        Page page = onACopy(title);
        page.navigate(page.url().replace(app.address(), line.address()));
        go(page, "/workshop/facts");
        return page;
    }

    /** Opens the form of a fact whose name begins so. */
    private static Locator fact(Page page, String title) {
        listed(page, title).click();
        Locator name = page.getByLabel("Name", EXACT);
        assertThat(name).hasValue(title);
        return name;
    }

    @Test
    void whatIsSavedWithoutANetworkGoesOutByItself() {
        Page page = downstairs("In the basement");
        Locator name = fact(page, "They control your head");
        line.cut();
        name.fill("They steer your head");
        button(page, "Save").click();
        Locator waits = page.getByText("One thing waits to be sent.");
        assertThat(waits).isVisible();
        button(page, "See what waits").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("A change of the map: ");
        page.keyboard().press("Escape");
        line.mend();
        assertThat(waits).isHidden();
        assertThat(listed(page, "They steer your head")).isVisible();
    }

    /** Neither the place nor the forms were opened before: what is kept of the map is enough. */
    @Test
    void whatWasNotOpenedBeforeIsEditedWithoutANetwork() {
        Page page = onACopy("Edited in the basement");
        page.navigate(page.url().replace(app.address(), line.address()));
        // Of this very map: other stories had theirs kept on the same device.
        String map = page.url().replaceAll(".*/map/([^/?#]+).*", "/$1");
        for (String ending : List.of("/session", "/maps", map, map + "/carried", map + "/pictures")) {
            keeps(page, ending);
        }
        line.cut();
        go(page, "/at/side-early");
        Locator answer = page.getByRole(AriaRole.REGION, exactly("Frame the near arm, hip escape, knee in"));
        Locator they = answer.getByLabel("What else they do about");
        for (String words : List.of("hook the frame with a knee", "they grab your far sleeve")) {
            they.fill(words);
            they.press("Enter");
            assertThat(answer.getByText("Kept on this device; it goes out when there is a network.")).isVisible();
        }
        answer.getByRole(AriaRole.BUTTON, within("Edit Frame the near arm, hip escape, knee in")).click();
        answer.getByRole(AriaRole.TEXTBOX, within("When they")).fill("Their arm is not yet under your head");
        answer.getByRole(AriaRole.BUTTON, within("Save")).click();
        assertThat(page.getByText("3 things wait to be sent.")).isVisible();
        line.mend();
        assertThat(page.getByText("things wait to be sent.")).isHidden();
        assertThat(answer).containsText("hook the frame with a knee");
        assertThat(answer).containsText("grab your far sleeve");
        assertThat(answer).containsText("their arm is not yet under your head");
        // What the device's copy leaves out is still there.
        assertThat(page.locator("main, aside").getByRole(AriaRole.IMG).first()).isVisible();
    }

    @Test
    void whatOthersDidMeanwhileIsSaidAndOneChooses() {
        Page page = downstairs("Two at once");
        Locator name = fact(page, "They control your head");
        // The other one is upstairs, where the line is whole.
        Page other = browser.signedIn();
        other.navigate(page.url().replace(line.address(), app.address()));
        line.cut();
        other.getByLabel("Name", EXACT).fill("They bend your head");
        save(other);
        name.fill("They turn your head");
        button(page, "Save").click();
        assertThat(page.getByText("One thing waits to be sent.")).isVisible();
        line.mend();
        assertThat(page.getByText("One thing was not taken.")).isVisible();
        button(page, "See what waits").click();
        page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.LINK, within("Open it")).click();
        assertThat(name).hasValue("They turn your head");
        button(page, "Save").click();
        button(page, "Save mine over it").click();
        assertThat(listed(page, "They turn your head")).isVisible();
        assertThat(page.getByText("not taken")).hasCount(0);
    }

    @Test
    void signingOutLeavesNothingOfTheGymOnTheDevice() {
        Page page = installed();
        button(page, "More").click();
        page.getByRole(AriaRole.MENUITEM, named("Sign out")).click();
        page.getByLabel("Password").waitFor();
        assertThat(page.evaluate("caches.has('narrowgate-answers')")).isEqualTo(false);
        line.cut();
        page.reload();
        assertThat(page.getByText("Narrow Gate cannot be reached.")).isVisible();
        assertThat(page.locator("[data-situation]")).hasCount(0);
        line.mend();
        page.getByLabel("Password").waitFor();
    }

    @Test
    void signingOutWithoutANetworkEmptiesTheDeviceAndSaysWhatIsLeftToDo() {
        Page page = installed();
        line.cut();
        button(page, "More").click();
        page.getByRole(AriaRole.MENUITEM, named("Sign out")).click();
        Locator panel = page.getByRole(AriaRole.DIALOG);
        assertThat(panel).containsText("You are still signed in");
        assertThat(page.evaluate("caches.has('narrowgate-answers')")).isEqualTo(false);
        line.mend();
        panel.getByRole(AriaRole.BUTTON, within("Sign out")).click();
        page.getByLabel("Password").waitFor();
    }

    @Test
    void aNewerOneIsTakenWhenOneSaysSo() {
        Page page = installed();
        // The same script under another name is another version of it; this page has asked for its own long before.
        page.evaluate("navigator.serviceWorker.register('/sw.js?newer')");
        page.getByText("A newer Narrow Gate is here.").waitFor();
        page.waitForNavigation(() -> button(page, "Take it now").click());
        page.locator("[data-situation=mount-low]").waitFor();
        assertThat(page.evaluate("navigator.serviceWorker.controller.scriptURL")).asString().endsWith("?newer");
    }
}
