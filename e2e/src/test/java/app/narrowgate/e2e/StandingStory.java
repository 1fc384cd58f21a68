package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What is due, the gates for moving up and the ledger: for those who teach, and for each student their own. */
class StandingStory extends Story {

    private static Page person(Page page, String name) {
        go(page, "/record/standing");
        page.getByRole(AriaRole.MAIN).getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(name)).click();
        heading(page, name).waitFor();
        return page;
    }

    private static Locator heading(Page page, String name) {
        return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(name).setLevel(1));
    }

    private static Locator region(Page page, Pattern name) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
    }

    private static Page signedIn(String name) {
        Page page = browser.window();
        Browser.signIn(page, name, "open-the-gate");
        page.waitForURL("**/map/**");
        return page;
    }

    @Test
    void aCoachSeesWhatIsDueAndDecidesOnAGate() {
        Page page = browser.signedIn();
        go(page, "/record/standing");
        assertThat(page.getByRole(AriaRole.HEADING, named("Due for those who trained lately"))).isVisible();
        person(page, "Joss Tillender");
        assertThat(Browser.seriousFaults(page)).isEmpty();
        assertThat(region(page, Pattern.compile("^Due")).getByRole(AriaRole.LISTITEM).first()).containsText("ago");
        Locator gates = region(page, Pattern.compile("^Gates to"));
        Locator open = gates.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Decide on .*, left$"))).last();
        String gate = open.getAttribute("aria-label").replace("Decide on ", "");
        open.click();
        Locator panel = page.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName(gate));
        panel.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Not yet")).click();
        assertThat(panel.getByRole(AriaRole.ALERT)).hasText("Say in a few words what is missing, so that they know what to work on.");
        panel.getByLabel("Why").fill("Frame first, then the hips.");
        panel.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Not yet")).click();
        assertThat(gates.getByText("Frame first, then the hips.")).isVisible();
        page.getByRole(AriaRole.BUTTON, named("Decide on " + gate)).click();
        panel.getByLabel("Why").fill("Both ways, calm.");
        panel.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Shown")).click();
        assertThat(gates.getByText("Both ways, calm.")).isVisible();
        assertThat(gates.getByText("Frame first, then the hips.")).hasCount(0);
        page.reload();
        assertThat(gates.getByText("Both ways, calm.")).isVisible();
    }

    @Test
    void repetitionsAreCountedWithoutANetworkAndTakenOut() {
        Page page = person(browser.signedIn(), "Wren Askeby");
        Locator count = region(page, Pattern.compile("^Count repetitions of Wren"));
        count.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Keep them")).click();
        assertThat(count.getByText("Choose what was repeated.")).isVisible();
        assertThat(count.getByText("Write how many, from 1 to 10,000.")).isVisible();
        Locator what = count.getByRole(AriaRole.COMBOBOX, new Locator.GetByRoleOptions().setName("What was repeated"));
        what.fill("Legs over the head");
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Enter");
        count.getByLabel("How many").fill("4321");
        count.getByLabel("Of these clean").fill("4000");
        page.context().setOffline(true);
        count.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Keep them")).click();
        assertThat(count.getByText("Kept: 4321 left, done.")).isVisible();
        page.context().setOffline(false);
        Locator line = region(page, Pattern.compile("^Ledger")).getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("4321"));
        assertThat(line.first()).containsText("right comes short");
        assertThat(line.first()).containsText("93 of 100");
        String there = page.url();
        // It stands in what was logged, where a mistake is taken out later, too.
        go(page, "/record/rounds");
        page.reload();
        Locator logged = page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("4321 times, 4000 clean, left side."));
        logged.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Take out Wren’s repetitions"))).click();
        assertThat(logged).hasCount(0);
        page.navigate(there);
        assertThat(region(page, Pattern.compile("^Ledger")).getByRole(AriaRole.ROW).first()).isVisible();
        assertThat(line).hasCount(0);
    }

    @Test
    void aStudentSeesTheirOwnAndNobodyElses() {
        Page page = signedIn("joss");
        page.getByRole(AriaRole.LINK, named("Record")).first().click();
        heading(page, "Where you stand").waitFor();
        assertThat(region(page, Pattern.compile("^Gates to"))).isVisible();
        assertThat(page.getByRole(AriaRole.BUTTON, named("Decide"))).hasCount(0);
        assertThat(page.getByText("Wren")).hasCount(0);
        assertThat(Browser.seriousFaults(page)).isEmpty();
        assertThat(page.getByRole(AriaRole.BUTTON, named("Keep them"))).hasCount(0);
        go(page, "/record/standing");
        assertThat(page.getByRole(AriaRole.HEADING, named("Due for those who trained lately"))).hasCount(0);
        assertThat(page.getByText("Wren")).hasCount(0);
    }

    @Test
    void theGymAsksForOtherGatesAndAGateEveningIsGivenToThem() {
        Page page = browser.signedIn();
        go(page, "/record/standing");
        Locator gates = region(page, Pattern.compile("^Gates from first months on"));
        assertThat(gates.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Change them"))).isVisible();
        int before = gates.getByRole(AriaRole.LISTITEM).count();
        gates.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Change them")).click();
        gates.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Leave out"))).first().click();
        gates.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Ask for these")).click();
        assertThat(gates.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Change them"))).isVisible();
        assertThat(gates.getByRole(AriaRole.LISTITEM)).hasCount(before - 1);
        go(page, "/class");
        page.getByLabel("Shape").selectOption(new SelectOption().setLabel("Gate evening"));
        assertThat(page.getByText("To be shown before moving up").first()).isVisible();
    }

    @Test
    void theTrainingBenchOffersWhatIsDue() {
        Page page = browser.signedIn();
        go(page, "/drills");
        Locator due = page.getByRole(AriaRole.LINK).filter(new Locator.FilterOptions().setHasText(Pattern.compile("−\\d"))).first();
        String place = due.locator("span").nth(1).textContent();
        due.click();
        assertThat(due).hasAttribute("aria-current", "true");
        assertThat(h1(page)).containsText(place);
    }
}
