package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Two nodes of one house behind a proxy that sends every request to whichever is next: nothing lives in one of them, and one may die. */
class NodesStory {

    private static RunningApp first;
    private static RunningApp second;
    private static Proxy proxy;

    @BeforeAll
    static void start() throws IOException {
        first = RunningApp.start();
        second = first.beside();
        proxy = new Proxy(first, second);
    }

    @AfterAll
    static void stop() {
        proxy.close();
        second.close();
        first.close();
    }

    /** One runs a class, others look on, two edit, and the node that answered them is gone: they are signed in still and go on where they were. */
    @Test
    void aClassGoesOnAndTwoWhoEditGoOnWhenANodeDies() {
        try (Browser browser = new Browser(proxy.address())) {
            Page tamsin = browser.signedIn();
            tamsin.getByRole(AriaRole.LINK, Story.exactly("Class")).click();
            tamsin.getByRole(AriaRole.LINK, Story.exactly("All classes")).click();
            Story.button(tamsin, "Plan another class").click();
            tamsin.getByRole(AriaRole.LINK, Story.exactly("On the mat")).click();
            Story.button(tamsin, "Put it on the mat").click();
            Story.button(tamsin, "Begin").click();
            assertThat(Story.button(tamsin, "Stop")).isVisible();
            Page bram = browser.window();
            bram.getByLabel("Name").fill("bram");
            bram.getByLabel("Password").fill("open-the-gate");
            bram.keyboard().press("Enter");
            bram.waitForURL("**/map/**");
            bram.navigate(tamsin.url());
            assertThat(stage(bram)).hasAttribute("data-step", step(tamsin));
            goesOn(tamsin, bram);

            second.kill();
            goesOn(tamsin, bram);
            goesOn(bram, tamsin);
            Story.go(bram, "/workshop/facts");
            rename(bram, "They control your head", "They steer your head");
            second.startAgain();

            first.kill();
            goesOn(tamsin, tamsin);
            rename(bram, "They steer your head", "They control your head");
            first.startAgain();
            org.assertj.core.api.Assertions.assertThat(browser.takeComplaints()).isEmpty();
        }
    }

    /** A press of one is seen by the other. */
    private static void goesOn(Page presses, Page looks) {
        String before = step(presses);
        presses.keyboard().press("ArrowRight");
        assertThat(stage(presses)).not().hasAttribute("data-step", before);
        assertThat(stage(looks)).hasAttribute("data-step", step(presses));
    }

    private static Locator stage(Page page) {
        return page.locator(".mat-stage");
    }

    private static String step(Page page) {
        return stage(page).getAttribute("data-step");
    }

    private static void rename(Page page, String from, String to) {
        Story.listed(page, from).click();
        page.getByLabel("Name", Story.EXACT).fill(to);
        Story.save(page);
        assertThat(Story.listed(page, to)).isVisible();
    }
}
