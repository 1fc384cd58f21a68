package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** An instructor holds the map against twelve weeks of rounds, and decides what to believe. */
class TruthStory extends Story {

    private static final Pattern USE = Pattern.compile("^Use \\d+");
    private static final Pattern KEEP = Pattern.compile("^Keep \\d+");

    private static Page truth(Page page) {
        go(page, "/record/truth");
        // Twelve weeks are learned from before anything can be said; that may take longer than a page may.
        page.getByRole(AriaRole.HEADING, named("Where map and mat disagree most")).waitFor();
        return page;
    }

    private static Locator offered(Page page, Pattern name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name)).first();
    }

    /** The item of the first disagreement that an answer explains. */
    private static Locator explained(Page page) {
        return page.getByRole(AriaRole.REGION, named("Where map and mat disagree most")).getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("than the map says")).first();
    }

    @Test
    void aLearnedFigureIsPutOnTheMapWithItsSourceAndTakenBack() {
        Page page = truth(browser.signedIn());
        assertThat(page.getByText(Pattern.compile("^In \\d+ of \\d+ places, yes\\."))).isVisible();
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^What the map says against what was seen")))).isVisible();
        assertThat(Browser.seriousFaults(page)).isEmpty();
        Locator one = explained(page);
        String answer = one.getByRole(AriaRole.LINK).nth(1).textContent();
        String taught = one.getByRole(AriaRole.LINK).nth(1).getAttribute("href");
        String said = offered(page, USE).textContent().replaceAll("\\D", "");
        offered(page, USE).click();
        assertThat(page.getByText("Learned how often", new Page.GetByTextOptions().setExact(false)).first()).isVisible();
        page.navigate(app.address() + taught);
        assertThat(page.getByText(Pattern.compile(said + " of 100 gets going · learned from \\d+ tries until")).first()).isVisible();
        go(page, "/history");
        assertThat(page.getByText("Learned how often " + answer)).isVisible();
        page.keyboard().press("Control+z");
        page.navigate(app.address() + taught);
        assertThat(page.getByText("learned from")).hasCount(0);
    }

    @Test
    void whatTheMapSaysIsKeptWhateverWasSeen() {
        Page page = truth(browser.signedIn());
        offered(page, KEEP).click();
        Locator kept = page.getByText(Pattern.compile("^Kept at \\d+ on .* by Tamsin Orrel\\."));
        assertThat(kept).isVisible();
        truth(page);
        assertThat(kept).isVisible();
        button(page, "Decide anew").click();
        assertThat(kept).hasCount(0);
        assertThat(offered(page, KEEP)).isVisible();
    }

    @Test
    void whoeverMayNotEditTheMapReadsAndDoesNotDecide() {
        Page page = browser.window();
        Browser.signIn(page, "ines", "open-the-gate");
        page.waitForURL("**/map/**");
        truth(page);
        assertThat(explained(page)).isVisible();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(USE))).hasCount(0);
    }

    @Test
    void roundsThatWouldTellMostComeIntoTheNextClassAndOutAgain() {
        Page page = browser.signedIn();
        go(page, "/class");
        assertThat(page.getByText(Pattern.compile("^Kept today"))).isVisible();
        truth(page);
        Locator first = page.getByRole(AriaRole.REGION, named("Log these next")).getByRole(AriaRole.LISTITEM).first().getByRole(AriaRole.LINK);
        String place = first.textContent();
        Locator put = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Put all three into the live rounds of")));
        put.click();
        button(page, "Take them out again").click();
        put.click();
        assertThat(button(page, "Take them out again")).isVisible();
        page.getByRole(AriaRole.LINK, named("Tonight")).last().click();
        assertThat(page.getByText(Pattern.compile("^(Live|Dial): " + place, Pattern.CASE_INSENSITIVE))).isVisible();
        page.goBack();
        assertThat(put).isVisible();
    }

    @Test
    void theMapIsReadByWhatWasLoggedAndByOnePersonsRounds() {
        Page page = browser.signedIn();
        go(page, "");
        Locator start = page.getByTestId("start");
        String written = start.textContent();
        page.getByLabel("Figures from").selectOption(new SelectOption().setLabel("by everybody’s rounds"));
        assertThat(start).containsText(Pattern.compile("\\d+ to \\d+, \\d+ rounds"));
        assertThat(page.getByText("hatched: may be so far open; ticks: by the map")).isVisible();
        assertThat(page.locator(".gate-doubt").first()).isVisible();
        assertThat(Browser.seriousFaults(page)).isEmpty();
        page.getByLabel("Figures from").selectOption(new SelectOption().setLabel("by Joss Tillender’s rounds"));
        assertThat(start).containsText(Pattern.compile("\\d+ to \\d+, \\d+ rounds"));
        // It goes along to a place, and stands there beside what the map says.
        page.locator("[data-situation=mount-low]").click();
        Locator here = page.getByRole(AriaRole.REGION, named("By what was logged"));
        assertThat(here.getByLabel("Figures from").locator("option:checked")).hasText("by Joss Tillender’s rounds");
        assertThat(here).containsText("the map’s");
        go(page, "");
        assertThat(start).hasText(written);
    }
}
