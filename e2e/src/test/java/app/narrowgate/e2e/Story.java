package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.extension.AfterTestExecutionCallback;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Stories told on one running application, in one browser that must not complain. */
abstract class Story {

    static final Page.GetByLabelOptions EXACT = new Page.GetByLabelOptions().setExact(true);

    static final Locator.GetByLabelOptions WITHIN_EXACT = new Locator.GetByLabelOptions().setExact(true);

    static RunningApp app;
    static Browser browser;

    @RegisterExtension
    static final AfterTestExecutionCallback LAST_LOOK = test -> {
        if (test.getExecutionException().isPresent()) {
            browser.lastLook(test.getRequiredTestMethod().getName());
        }
    };

    @BeforeAll
    static void start() {
        app = RunningApp.start();
        browser = new Browser(app.address());
    }

    @AfterAll
    static void stop() {
        browser.close();
        app.close();
    }

    @AfterEach
    void theBrowserComplainedAboutNothing() {
        List<String> complaints = browser.takeComplaints();
        browser.closeWindows();
        assertThat(complaints).isEmpty();
    }

    static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name);
    }

    static Page.GetByRoleOptions exactly(String name) {
        return named(name).setExact(true);
    }

    static Locator.GetByRoleOptions within(String name) {
        return new Locator.GetByRoleOptions().setName(name);
    }

    static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, named(name));
    }

    /** Opens a view of the map that the page shows; the path begins after the map's own. */
    static void go(Page page, String path) {
        String map = page.url().replaceAll("(/map/[^/?#]+).*", "$1");
        page.navigate(map + path);
    }

    /** A window on a fresh copy of the demo's map. */
    static Page onACopy(String title) {
        Page page = browser.signedIn();
        page.navigate(app.address() + "/maps");
        page.getByLabel("It begins").selectOption("reference");
        page.getByLabel("Its name").fill(title);
        button(page, "Begin it").click();
        page.waitForURL("**/map/**");
        return page;
    }

    /** The one box in the band. */
    static Locator box(Page page) {
        return page.getByRole(AriaRole.COMBOBOX, exactly("What if they …"));
    }

    /** A part in the list beside the form of the editor. */
    static Locator listed(Page page, String title) {
        return page.getByRole(AriaRole.NAVIGATION).getByRole(AriaRole.LINK, within(title));
    }

    /** Saves the part that is edited and waits until it is. */
    static void save(Page page) {
        page.getByRole(AriaRole.BUTTON, exactly("Save")).click();
        assertThat(page.getByRole(AriaRole.BUTTON, exactly("Saved"))).isVisible();
    }

    /** Takes the last change back, as one who has read the keys. */
    static void undo(Page page) {
        page.keyboard().press("Control+z");
    }

    /** Opens the line that says under which setting everything is reckoned. */
    static void openSetting(Page page) {
        button(page, "change the setting").click();
    }

    static Locator h1(Page page) {
        return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1));
    }

    /** Types into a field that picks one of many and takes what comes first. */
    static void pick(Page page, String field, String letters) {
        Locator box = page.getByRole(AriaRole.COMBOBOX, exactly(field));
        box.click();
        box.fill(letters);
        page.getByRole(AriaRole.LISTBOX, exactly(field)).getByRole(AriaRole.OPTION).first().waitFor();
        box.press("Enter");
    }
}
