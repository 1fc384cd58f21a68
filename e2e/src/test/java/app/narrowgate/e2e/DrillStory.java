package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** From what is worth drilling to the sheet in the feeder's hand: the bench, its figures, the library, the sheets. */
class DrillStory extends Story {

    private static final String EVERYDAY = "Three to five out, then the sweep";

    private static Locator link(Page page, String name) {
        return page.getByRole(AriaRole.LINK, exactly(name));
    }

    private static Locator title(Page page) {
        return page.getByLabel("What the drill is called");
    }

    private static Page bench(Page page) {
        page.getByRole(AriaRole.NAVIGATION, exactly("Places")).getByText("Drills").click();
        title(page).waitFor();
        return page;
    }

    private static Locator offer(Page page, String name) {
        return page.getByRole(AriaRole.NAVIGATION, named("Drills")).getByRole(AriaRole.LINK,
                within(name));
    }

    private static void take(Page page, String name) {
        offer(page, name).click();
        assertThat(title(page)).hasValue(name);
    }

    /** Drills, the drill, its sheet. */
    @Test
    void theEverydayDrillIsThreePressesAway() {
        Page page = bench(browser.signedIn());
        take(page, EVERYDAY);
        assertThat(page.getByText("It goes on from where it lands; nobody gets up.")).isVisible();
        link(page, "Feeder’s sheet").click();
        Locator sheet = page.getByRole(AriaRole.ARTICLE);
        assertThat(sheet).containsText("Your stance");
        for (String word : new String[] {"Round", "Hips", "Under", "Near", "Back", "Away"}) {
            assertThat(sheet).containsText(word);
        }
        assertThat(sheet).containsText("is below");
        link(page, "Wall sheet").click();
        assertThat(page.getByRole(AriaRole.ARTICLE)).containsText("11 minutes, left, then right");
        link(page, "Back to the bench").click();
        link(page, "Print it").click();
        page.waitForCondition(() -> Integer.valueOf(1).equals(page.evaluate("window.printed")));
        assertThat(page).not().hasURL(Pattern.compile("print="));
    }

    @Test
    void fourWaysIntoOneHubAreCalledAndTwoLeadOut() {
        Page page = bench(browser.signedIn());
        take(page, "Four ways to the hip, two ways on");
        assertThat(page.getByRole(AriaRole.REGION, named("Links of the drill")).getByRole(AriaRole.ROW)).hasCount(7);
        assertThat(page.getByLabel("The turns").getByText("Hugging the hip").first()).isVisible();
    }

    /** Changed, called otherwise, kept, changed again, an earlier state taken, removed and put back. */
    @Test
    void aDrillIsChangedKeptAndPutBack() {
        Page page = bench(browser.signedIn());
        take(page, "Which arm comes");
        button(page, "One minute more").click();
        assertThat(page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("7"))).isVisible();
        title(page).fill("Which arm, quickly");
        page.reload();
        assertThat(title(page)).hasValue("Which arm, quickly");
        page.getByRole(AriaRole.BUTTON, exactly("Keep")).click();
        assertThat(offer(page, "Which arm, quickly")).isVisible();
        assertThat(page.getByText("Earlier states, 1")).isVisible();
        page.getByText("Earlier states, 1").click();
        button(page, "Take this one").click();
        assertThat(title(page)).hasValue("Which arm comes");
        page.getByRole(AriaRole.BUTTON, exactly("Keep")).click();
        assertThat(page.getByText("Earlier states, 2")).isVisible();
        page.getByRole(AriaRole.BUTTON, exactly("Remove")).click();
        assertThat(offer(page, "Which arm comes")).hasCount(0);
        button(page, "Put it back").click();
        assertThat(offer(page, "Which arm comes")).isVisible();
    }

    /** A word that is refused stays where it can be mended, and so does the rest of the bench. */
    @Test
    void whatIsRefusedCanBeMendedWhereItStands() {
        Page page = bench(browser.signedIn());
        take(page, "Four ways to the hip, two ways on");
        Locator word = page.getByLabel("What is shouted for").first();
        word.fill("<i>Knee");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("write plain words");
        word.fill("Shin");
        assertThat(page.getByRole(AriaRole.ALERT)).hasCount(0);
        assertThat(page.getByLabel("The turns").getByText("Shin").first()).isVisible();
        button(page, "Undo all changes").click();
    }

    /** While the drill just pressed is on its way, the one on the bench cannot be typed into by mistake. */
    @Test
    void nothingIsTypedIntoADrillThatIsLeaving() {
        Page page = bench(browser.signedIn());
        List<Route> held = new ArrayList<>();
        page.route(Pattern.compile("/drills/[0-9a-f]{8}-[0-9a-f-]{27}$"), held::add);
        offer(page, "Which arm comes").click();
        assertThat(page.locator("main[inert]")).isVisible();
        page.waitForCondition(() -> !held.isEmpty());
        held.forEach(Route::resume);
        assertThat(title(page)).hasValue("Which arm comes");
        assertThat(page.locator("main[inert]")).hasCount(0);
    }

    @Test
    void beginnersGetTwoLinksAndChildrenCloseNothing() {
        Page page = bench(browser.signedIn());
        go(page, "/drills?place=side-framed&matchup=first-months");
        assertThat(page.getByRole(AriaRole.REGION, named("Links of the drill")).getByRole(AriaRole.ROW)).hasCount(3);
        go(page, "/drills?place=back-choke-closing&matchup=children");
        assertThat(page.getByText("Nobody closes this on a child")).isVisible();
        go(page, "/drills?place=mount-low&matchup=children");
        link(page, "Feeder’s sheet").click();
        assertThat(page.getByRole(AriaRole.ARTICLE)).containsText("Tap or “stop”");
        assertThat(page.getByRole(AriaRole.ARTICLE)).not().containsText("choke closing");
    }

    @Test
    void aFileIsLookedAtBeforeItIsKept() {
        Page page = bench(browser.signedIn());
        Locator file = page.getByLabel("A drill from a file");
        file.setInputFiles(payload("{\"format\":\"narrowgate-drill/1\",\"title\":\"Odd\",\"kind\":\"called\",\"links\":"
                + "[{\"reaction\":\"nobody\",\"response\":\"nothing\"}]}"));
        assertThat(page.getByText("No answer is called “nobody”.")).isVisible();
        file.setInputFiles(payload("{\"format\":\"narrowgate-drill/1\",\"title\":\"From elsewhere\",\"kind\":\"live\",\"place\":\"mount-low\"}"));
        assertThat(page.getByText("Nothing is stored yet.")).isVisible();
        assertThat(offer(page, "From elsewhere")).hasCount(0);
        button(page, "Keep it").click();
        assertThat(offer(page, "From elsewhere")).isVisible();
        assertThat(page.getByText("4 rounds of 2 min")).isVisible();
    }

    private static FilePayload payload(String text) {
        return new FilePayload("drill.json", "application/json", text.getBytes(StandardCharsets.UTF_8));
    }

    /** Call by call under the feeder's thumb, on a phone. */
    @Test
    void thePhoneShowsOneCallAfterTheOther() {
        Page page = browser.signedIn(390, 844, ColorScheme.LIGHT);
        page.getByRole(AriaRole.MAIN).first().waitFor();
        go(page, "/drills?place=mount-low");
        title(page).waitFor();
        assertThat(page.evaluate("document.documentElement.scrollWidth")).isEqualTo(390);
        link(page, "On a phone, and spoken").click();
        Locator call = page.getByTestId("call");
        call.waitFor();
        assertThat(page.getByText("1 of ").first()).isVisible();
        call.click();
        assertThat(page.getByText("2 of ").first()).isVisible();
        page.keyboard().press("PageUp");
        assertThat(page.getByText("1 of ").first()).isVisible();
        assertThat(page.evaluate("document.documentElement.scrollWidth")).isEqualTo(390);
    }

    @ParameterizedTest
    @EnumSource(value = ColorScheme.class, names = {"LIGHT", "DARK"})
    void nothingSeriousIsInaccessible(ColorScheme scheme) {
        Page page = bench(browser.signedIn(1280, 800, scheme));
        take(page, EVERYDAY);
        page.getByRole(AriaRole.TABLE).waitFor();
        assertThat(Browser.seriousFaults(page)).isEmpty();
        link(page, "Feeder’s sheet").click();
        page.getByRole(AriaRole.ARTICLE).waitFor();
        assertThat(Browser.seriousFaults(page)).isEmpty();
        link(page, "On a phone").click();
        page.getByTestId("call").waitFor();
        assertThat(Browser.seriousFaults(page)).isEmpty();
    }

    /** On a phone, alone, with the connection gone in the middle; everything read arrives once. */
    @Test
    void theTrainerGoesOnWithoutAConnection() {
        Page page = browser.signedIn(390, 844, ColorScheme.LIGHT);
        page.getByRole(AriaRole.MAIN).first().waitFor();
        go(page, "/drills/trainer");
        page.getByText("1 of 20").waitFor();
        button(page, "Hear it").click();
        button(page, "Only shown").click();
        assertThat(button(page, "Hear it")).isVisible();
        page.keyboard().press("1");
        button(page, "Next").waitFor();
        page.context().setOffline(true);
        button(page, "Next").click();
        page.keyboard().press("2");
        assertThat(page.getByText("1 reading waits to be sent; nothing is lost.")).isVisible();
        button(page, "Next").click();
        page.keyboard().press("1");
        assertThat(page.getByText("2 readings wait to be sent; nothing is lost.")).isVisible();
        assertThat(page.getByText("of 100 starts there.")).isVisible();
        assertThat(page.evaluate("document.documentElement.scrollWidth")).isEqualTo(390);
        page.context().setOffline(false);
        assertThat(page.getByText("wait to be sent")).hasCount(0);
        assertThat(((Number) page.evaluate("fetch(location.pathname.replace('/map/', '/api/maps/').replace('drills/trainer', "
                + "'readings/mine')).then(r => r.json()).then(s => s.readings)")).intValue()).isEqualTo(3);
        assertThat(Browser.seriousFaults(page)).isEmpty();
    }
}
