package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.Media;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** An instructor reads the reference map and questions it. */
class ReadingStory extends Story {

    private static Locator gate(Page page, String situation) {
        return page.locator("[data-situation='" + situation + "']");
    }

    private static Locator odds(Page page) {
        return page.getByTestId("odds");
    }

    @Test
    void theWholeMapStandsOnOneScreen() {
        Page page = browser.signedIn();
        gate(page, "mount-low").waitFor();
        assertThat(page.evaluate("document.documentElement.scrollWidth")).isEqualTo(1280);
        assertThat((Boolean) page.evaluate(
                "[...document.querySelectorAll('[data-situation]')].every(g => g.getBoundingClientRect().bottom <= 800)"))
                .isTrue();
    }

    @Test
    void aGateExplainsItselfOnHoverAndOnFocus() {
        Page page = browser.signedIn();
        Locator shown = page.getByRole(AriaRole.REGION, exactly("Shown"));
        gate(page, "side-framed").hover();
        assertThat(shown).containsText("No answer yet when they sit back and wait.");
        page.keyboard().press("Escape");
        assertThat(shown).not().containsText("Near arm framed");

        Browser.tabTo(page, "Near arm framed");
        assertThat(shown).containsText("Near arm framed");
        page.keyboard().press("ArrowDown");
        assertThat(gate(page, "side-elbow-cupped")).isFocused();
        assertThat(shown).containsText("Elbow cupped, seated");
        page.keyboard().press("ArrowRight");
        assertThat(shown).containsText("Much heavier, settled");
    }

    @Test
    void aLateStartIsPaintedPointedOutAndKeptInTheAddress() {
        Page page = browser.signedIn();
        Locator upright = gate(page, "mount-upright");
        upright.waitFor();
        openSetting(page);
        Locator late = page.getByRole(AriaRole.SLIDER, named("Starts late by"));
        late.focus();
        page.keyboard().press("End");
        assertThat(page.getByText("beside it: as it was")).isVisible();
        assertThat(upright).containsText("−");
        page.waitForURL("**late=5**");
        String number = upright.locator("[data-odds]").textContent();
        button(page, "clear").click();
        assertThat(upright).not().containsText("−");
        page.reload();
        assertThat(upright.locator("[data-odds]")).hasText(number);
    }

    @Test
    void theMapFollowsTheHandThatStillHoldsTheSlider() {
        Page page = browser.signedIn();
        Locator odds = gate(page, "mount-upright").locator("[data-odds]");
        String usual = odds.textContent();
        openSetting(page);
        Locator slider = page.getByRole(AriaRole.SLIDER, named("Starts late by"));
        BoundingBox thumb = slider.boundingBox();
        double x = thumb.x + thumb.width / 2;
        double y = thumb.y + thumb.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x + 80, y);
        assertThat(odds).not().hasText(usual);
        String later = odds.textContent();
        page.mouse().move(x + 150, y);
        assertThat(odds).not().hasText(later);
        page.mouse().move(x + 80, y);
        assertThat(odds).hasText(later);
        page.mouse().up();
        page.waitForURL("**late=" + slider.getAttribute("aria-valuenow"));
        page.reload();
        assertThat(odds).hasText(later);
    }

    @Test
    void theMapIsNarrowedToWhatIsForChildren() {
        Page page = browser.signedIn();
        gate(page, "mount-low").waitFor();
        button(page, "show only").click();
        page.getByLabel("Movement").selectOption("bridge");
        assertThat(gate(page, "mount-low")).not().hasAttribute("data-aside", "true");
        assertThat(gate(page, "pass-outside")).hasAttribute("data-aside", "true");
        page.reload();
        assertThat(gate(page, "pass-outside")).hasAttribute("data-aside", "true");
        button(page, "show only").click();
        button(page, "Show everything").click();
        assertThat(gate(page, "pass-outside")).not().hasAttribute("data-aside", "true");
    }

    @Test
    void aFigureIsAskedWhyAndTheTechniqueIsLookedUp() {
        Page page = browser.signedIn();
        go(page, "/at/side-framed");
        Locator bridge = page.getByRole(AriaRole.REGION, named("Bridge, hip escape, knee high"));
        bridge.getByRole(AriaRole.BUTTON, within("Bridge, hip escape, knee high")).click();
        bridge.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Why \\d+"))).click();
        assertThat(bridge).containsText(Pattern.compile("\\d+ are lost because they smash the knee back down"));
        bridge.getByRole(AriaRole.BUTTON, within("How it is done")).click();
        assertThat(bridge).containsText("Feet to the seat in the same motion as the bridge");
    }

    @Test
    void theSamePlaceIsLaidBesideAHeavierPartnerAndAnotherStance() {
        Page page = browser.signedIn();
        go(page, "/at/side-crossface");
        page.getByLabel("Side by side with").selectOption(new com.microsoft.playwright.options.SelectOption()
                .setLabel("25 kg heavier"));
        Locator table = page.getByTestId("side-by-side");
        assertThat(table).containsText("25 kg heavier");
        List<String> whole = table.getByRole(AriaRole.ROW).nth(1).getByRole(AriaRole.CELL).allTextContents();
        assertThat(Integer.parseInt(whole.get(1))).isLessThan(Integer.parseInt(whole.get(0)));
        page.getByLabel("Side by side with").selectOption(new com.microsoft.playwright.options.SelectOption()
                .setValue("stance near-hand/upper-arm"));
        assertThat(table).containsText("closed: by the house, which has taken the other stance");
    }

    @Test
    void arrowKeysWalkTheBestPath() {
        Page page = browser.signedIn();
        go(page, "/at/pass-knee-slice");
        Locator path = page.getByRole(AriaRole.NAVIGATION, named("Along the best path"));
        path.waitFor();
        page.keyboard().press("ArrowRight");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1))).hasText("Hugging the hip");
    }

    @Test
    void aRestingPlaceSaysStopOrGoOn() {
        Page page = browser.signedIn();
        go(page, "/at/half-guard");
        assertThat(page.getByRole(AriaRole.HEADING, named("Stop or go on"))).isVisible();
        assertThat(page.getByText(Pattern.compile("resting is worth \\d+ of 100, going on \\d+"))).isVisible();
    }

    @Test
    void theFlowSaysWhereStartsEndAndOpensASituation() {
        Page page = browser.signedIn();
        page.getByTestId("start").waitFor();
        String number = page.getByTestId("start").textContent().replaceAll("\\D.*", "");
        page.getByRole(AriaRole.LINK, exactly("Where they end")).click();
        assertThat(page.getByTestId("good")).hasText(number);
        Locator ends = page.getByRole(AriaRole.LIST, named("Ends, of 100"));
        assertThat(total(ends)).isEqualTo(100);
        Locator ways = page.getByRole(AriaRole.REGION, exactly("The heaviest ways"));
        assertThat(ways.getByRole(AriaRole.LISTITEM)).hasCount(6);
        page.getByRole(AriaRole.SLIDER, named("After how many exchanges")).press("Home");
        assertThat(page.getByTestId("good")).not().hasText(number);
        page.keyboard().press("ArrowRight");
        assertThat(page.getByText("after 1 exchange.")).isVisible();
        assertThat(total(ends)).isEqualTo(100);
        page.getByRole(AriaRole.COMBOBOX, named("from")).selectOption("mount-low");
        ways.getByRole(AriaRole.LINK, within("Low, arms round your head")).first().press("Enter");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("Low, arms round your head");
    }

    private static int total(Locator ends) {
        return ends.getByRole(AriaRole.LISTITEM).allTextContents().stream()
                .mapToInt(text -> Integer.parseInt(text.replaceAll("\\D", ""))).sum();
    }

    @Test
    void onAPhoneWhatIsHeldLeadsToThePlaceAndTheFirstThingToDo() {
        Page page = browser.signedIn(390, 844, ColorScheme.LIGHT);
        page.getByRole(AriaRole.LINK, exactly("What is held")).click();
        assertThat(page.getByText("Stuck, and no name for it?")).isVisible();
        page.getByRole(AriaRole.BUTTON, exactly("astride")).click();
        page.locator("[data-segment=hips]").first().click();
        Locator limbs = page.getByRole(AriaRole.GROUP, exactly("Your limbs"));
        limbs.getByRole(AriaRole.BUTTON, within("trunk")).click();
        limbs.getByRole(AriaRole.BUTTON, within("head")).click();
        page.getByLabel("And it is so that").selectOption("shoulders-forward");
        Locator where = page.getByRole(AriaRole.REGION, exactly("Where you are"));
        assertThat(where.getByRole(AriaRole.HEADING, within("Low, arms round your head"))).isVisible();
        assertThat(where).containsText("First:");
        Locator next = page.getByRole(AriaRole.GROUP, named("The next thing to tell"));
        String question = next.textContent();
        next.getByRole(AriaRole.BUTTON, within("no")).click();
        assertThat(next).not().hasText(question);
        assertThat(page.evaluate("document.documentElement.scrollWidth")).isEqualTo(390);
        assertThat(Browser.seriousFaults(page)).isEmpty();
        double least = ((Number) page.evaluate("""
                () => Math.min(...[...document.querySelectorAll('main button[aria-pressed]')]
                  .map(b => b.getBoundingClientRect().height))""")).doubleValue();
        assertThat(least).as("a thumb needs 44 px").isGreaterThanOrEqualTo(44);
        String place = where.getByRole(AriaRole.HEADING).first().textContent();
        page.reload();
        assertThat(where.getByRole(AriaRole.HEADING).first()).hasText(place);
    }

    @Test
    void aStanceIsTriedAndThenTakenForTheHouse() {
        Page page = browser.signedIn();
        page.getByRole(AriaRole.LINK, exactly("Stances")).click();
        Locator principle = page.getByRole(AriaRole.REGION, exactly("Near hand under side pin"));
        assertThat(principle).containsText("Leaves the map: Forearm in the hip pocket, bridge, underhook.");
        principle.getByRole(AriaRole.BUTTON, within("Try it: Frame on the near upper arm, never at the hip")).click();
        assertThat(principle).containsText("Being tried");
        page.getByRole(AriaRole.LINK, exactly("Map")).click();
        assertThat(page).hasURL(Pattern.compile("stance=near-hand"));
        Browser.open(page, "Cross-face, shoulders flat");
        button(page, "Open all answers").click();
        assertThat(page.getByText("Closed by the house, which has taken the other stance")).isVisible();
        page.goBack();
        page.goBack();
        principle.getByRole(AriaRole.BUTTON, within("Take it for the house: Frame on the near upper arm")).click();
        assertThat(principle).containsText("The house: frame on the near upper arm, never at the hip.");
        page.reload();
        assertThat(principle).containsText("Taken by the house");
        undo(page);
        assertThat(principle).containsText("The house goes by the condition.");
    }

    @Test
    void anythingIsFoundByAFewLettersAndTheKeysAreListed() {
        Page page = browser.signedIn();
        gate(page, "mount-low").waitFor();
        page.keyboard().press("/");
        Locator box = box(page);
        box.fill("they smash the knee back down");
        assertThat(page.getByRole(AriaRole.OPTION).first()).containsText("They smash the knee back down");
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1))).hasText("Near arm framed");

        page.keyboard().press("Control+k");
        box.fill("dark room");
        page.keyboard().press("Enter");
        assertThat(page.locator("html")).hasAttribute("data-theme", "dark");
        page.keyboard().press("?");
        Locator keys = page.getByRole(AriaRole.DIALOG, named("Keys on this page"));
        assertThat(keys).containsText("Add what you do");
        assertThat(Browser.seriousFaults(page)).isEmpty();
        keys.getByLabel("Single keys do something").uncheck();
        keys.getByRole(AriaRole.BUTTON, within("Close")).click();
        page.keyboard().press("/");
        assertThat(box).not().isFocused();
    }

    @Test
    void aCardAndTheBookletGoOnPaper() {
        Page page = browser.signedIn();
        go(page, "/at/back-overhook-side");
        page.getByRole(AriaRole.LINK, named("Card to print")).click();
        page.getByRole(AriaRole.ARTICLE).waitFor();
        page.keyboard().press("p");
        assertThat(page.evaluate("window.printed")).isEqualTo(1);
        page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
        assertThat(page.getByRole(AriaRole.BANNER)).isHidden();
        assertThat(pages(page)).isEqualTo(1);

        go(page, "/booklet");
        page.getByRole(AriaRole.ARTICLE).first().waitFor();
        int situations = page.getByRole(AriaRole.ARTICLE).count();
        assertThat(situations).isGreaterThan(60);
        assertThat(pages(page)).as("an overview and a sheet for two").isEqualTo((situations + 1) / 2 + 1);
        assertThat(spilled(page)).isEmpty();

        page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.SCREEN));
        page.getByRole(AriaRole.NAVIGATION, named("Wall posters")).getByRole(AriaRole.LINK, within("Side pin")).click();
        page.getByLabel("Paper").selectOption("a2");
        assertThat(page.getByRole(AriaRole.ARTICLE)).hasCount(17);
        assertThat(page).hasTitle(Pattern.compile("^Wall poster: Side pin"));
        assertThat(Browser.seriousFaults(page)).isEmpty();
        assertThat(spilled(page)).isEmpty();
        assertThat(pages(page)).isEqualTo(1);
    }

    /** What does not fit into its place on paper, by its title. */
    private static List<?> spilled(Page page) {
        page.evaluate("() => document.fonts.ready");
        return (List<?>) page.evaluate("[...document.querySelectorAll('.fit')].filter(f => f.scrollHeight > f.clientHeight)"
                + ".map(f => f.textContent.slice(0, 40))");
    }

    private static int pages(Page page) {
        String pdf = new String(page.pdf(new Page.PdfOptions().setPreferCSSPageSize(true)),
                java.nio.charset.StandardCharsets.ISO_8859_1);
        return pdf.split("/Type /Page\\b").length - 1;
    }

    @ParameterizedTest
    @EnumSource(value = ColorScheme.class, names = {"LIGHT", "DARK"})
    void theBoxIsAccessible(ColorScheme scheme) {
        Page page = browser.signedIn(1280, 800, scheme);
        page.locator("[data-situation=mount-low]").waitFor();
        page.keyboard().press("/");
        page.keyboard().type("elbow");
        page.getByRole(AriaRole.LISTBOX).getByRole(AriaRole.OPTION).first().waitFor();
        assertThat(Browser.seriousFaults(page)).as("the box").isEmpty();
    }

    /** Against somebody who always finds the worst, odds say nothing; what can be forced does, where anything can. */
    @Test
    void againstThePerfectPartnerItSaysWhatCanBeForced() {
        Page page = browser.signedIn();
        go(page, "/at/closed-guard?read=1");
        assertThat(page.getByText("Whatever they do, you keep guard or better.")).isVisible();
        go(page, "/at/mount-low?read=1");
        assertThat(page.getByText("They always find the worst for you.")).isVisible();
        assertThat(odds(page)).hasCount(0);
        go(page, "/at/mount-low?read=0.25&matchup=children");
        assertThat(page.getByText("held for ever")).hasCount(0);
        assertThat(page.getByText(Pattern.compile("They end in .*tap \\d+"))).isVisible();
    }
}
