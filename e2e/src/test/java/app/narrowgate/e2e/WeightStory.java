package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Weight and base, and leverage: what instructors feel, in numbers. */
class WeightStory extends Story {

    private static Locator verdict(Page page) {
        return page.getByTestId("verdict");
    }

    private static Locator row(Page page, String change) {
        return page.getByRole(AriaRole.ROW, named(change));
    }

    /** From the place to its weight; a hand and a foot are trapped, the base that is left and the way to bridge are said. */
    @Test
    void aTrappedArmTellsWhereToBridge() {
        Page page = browser.signedIn();
        go(page, "/at/mount-low");
        Locator here = page.getByRole(AriaRole.REGION, exactly("Weight and base"));
        assertThat(here).containsText("of them on you");
        here.getByRole(AriaRole.LINK).click();
        assertThat(h1(page)).hasText("Low, arms round your head");
        assertThat(verdict(page)).containsText("They tip first to your right");
        button(page, "trap their left hand").click();
        assertThat(verdict(page)).containsText("Hold their left hand, bridge over your right shoulder");
        button(page, "trap their left foot").click();
        assertThat(verdict(page)).hasText(Pattern.compile("Hold their left hand and left foot, bridge over your right shoulder: they go at \\d+°, was \\d+°\\."));
        assertThat(page.getByText(Pattern.compile("While you hold on, more of them rests on you"))).isVisible();
        assertThat(page.getByRole(AriaRole.IMG, named("Taken away: their left ankle, left foot, left elbow"))).isVisible();
        assertThat(page.getByText("base that is left")).isVisible();
        assertThat(button(page, "trap their left hand")).hasAttribute("aria-pressed", "true");
        assertThat(Browser.seriousFaults(page)).isEmpty();
        page.reload();
        assertThat(verdict(page)).containsText("Hold their left hand and left foot");
        button(page, "as at first").click();
        assertThat(verdict(page)).containsText("They tip first to your right");
    }

    @Test
    void whatIsSoonestIsOfferedAndTried() {
        Page page = browser.signedIn();
        go(page, "/holds/weight/mount-upright");
        assertThat(page.getByText(Pattern.compile("Soonest: hold their"))).isVisible();
        button(page, "try it").click();
        assertThat(verdict(page)).containsText("Hold their");
        assertThat(button(page, "try it")).hasCount(0);
    }

    /** Weights and statures by keyboard: the load grows with the weight, the picture with the stature. */
    @Test
    void weightsAndStaturesAreMovedByKeyboard() {
        Page page = browser.signedIn();
        go(page, "/holds/weight/side-crossface");
        Locator onYou = page.getByTestId("on-you");
        int before = Integer.parseInt(onYou.textContent());
        Locator weight = page.getByRole(AriaRole.SLIDER, exactly("their weight"));
        weight.focus();
        for (int i = 0; i < 4; i++) {
            page.keyboard().press("PageUp");
        }
        assertThat(weight).hasAttribute("aria-valuetext", "120 kg");
        // Both figures are rounded.
        assertThat(page.getByRole(AriaRole.REGION, exactly("What if"))).hasAttribute("aria-busy", "false");
        assertThat(Integer.parseInt(onYou.textContent())).isBetween((int) (1.5 * before) - 1, (int) (1.5 * before) + 2);
        Locator drawn = page.getByRole(AriaRole.IMG, named("On the mat"));
        String shape = drawn.getAttribute("viewBox");
        page.getByRole(AriaRole.SLIDER, exactly("their stature")).focus();
        page.keyboard().press("PageUp");
        page.keyboard().press("PageUp");
        assertThat(drawn).not().hasAttribute("viewBox", shape);
        assertThat(page).hasURL(Pattern.compile("theirWeight=120.*theirStature=198|theirStature=198.*theirWeight=120"));
    }

    /** Where pull carries weight there is a dash and a reason, not a number. */
    @Test
    void whereTheModelDoesNotApplyThereIsNoNumber() {
        Page page = browser.signedIn();
        go(page, "/holds/weight/headlock-bent");
        assertThat(verdict(page)).containsText("You are on your feet");
        assertThat(page.getByRole(AriaRole.REGION, exactly("Of them on you"))).containsText("pull is not reckoned");
        assertThat(page.getByTestId("on-you")).hasCount(0);
        assertThat(row(page, "nothing yet")).containsText("–");
        go(page, "/holds/weight/nowhere");
        assertThat(h1(page)).hasText("No such situation");
    }

    @Test
    void placesAreComparedAndAnotherIsWeighed() {
        Page page = browser.signedIn();
        page.getByRole(AriaRole.NAVIGATION, exactly("Places")).getByRole(AriaRole.LINK, within("Holds")).click();
        page.getByRole(AriaRole.LINK, exactly("Weight and base")).click();
        assertThat(h1(page)).hasText("Weight and base");
        page.getByLabel("Family").selectOption("Scarf hold");
        Locator rows = page.getByRole(AriaRole.ROW);
        assertThat(rows.nth(1)).containsText("to your left");
        assertThat(Browser.seriousFaults(page)).isEmpty();
        page.getByRole(AriaRole.LINK, named("Seat off the mat, hip on the ribs")).click();
        assertThat(verdict(page)).containsText("They lean on you already");
        button(page, "from above").click();
        assertThat(button(page, "from above")).hasAttribute("aria-pressed", "true");
        button(page, "weigh another").click();
        pick(page, "Weigh another place", "shin on the belly");
        assertThat(h1(page)).hasText("Shin on the belly");
    }

    @Test
    void onAPhoneNothingIsCutOff() {
        Page page = browser.signedIn(390, 844, ColorScheme.DARK);
        for (String path : new String[] {"/holds/weight/mount-low?done=trap-hand-left", "/holds/weight", "/holds/leverage"}) {
            go(page, path);
            assertThat(h1(page)).isVisible();
            assertThat(page.evaluate("document.documentElement.scrollWidth")).isEqualTo(390);
        }
        assertThat(Browser.seriousFaults(page)).isEmpty();
    }

    /** From a checkpoint that claims it to the lever that shows it, and back to where it is done. */
    @Test
    void aCheckpointLeadsToItsLever() {
        Page page = browser.signedIn();
        go(page, "/at/turtle-front");
        page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("hip bone")).getByRole(AriaRole.LINK, within("why"))
                .first().click();
        assertThat(h1(page)).hasText("Leverage");
        Locator hip = page.getByRole(AriaRole.REGION, exactly("Shoulder on the hip bone"));
        assertThat(hip).isInViewport();
        assertThat(hip).containsText("On the hip bone: all of the push moves the hips");
        hip.getByRole(AriaRole.SLIDER, within("your shoulder is")).focus();
        page.keyboard().press("PageDown");
        assertThat(hip).containsText("10 cm below it");
        assertThat(hip).containsText("tip their trunk down over you");
        assertThat(hip.getByRole(AriaRole.LINK, within("They are in front")).first()).isVisible();
    }

    @Test
    void theWristBeatsTheForearmAndAFrameStandsInLine() {
        Page page = browser.signedIn();
        go(page, "/holds/leverage");
        Locator arm = page.getByRole(AriaRole.REGION, exactly("Hold the arm at the wrist"));
        assertThat(arm).containsText("Here it takes twice what the wrist takes: 30 kg instead of 15 kg.");
        arm.getByRole(AriaRole.SLIDER, within("held")).first().focus();
        page.keyboard().press("End");
        assertThat(arm).containsText("At the wrist: 15 kg stops it.");
        Locator frame = page.getByRole(AriaRole.REGION, exactly("Stand the frame in the line of the push"));
        frame.getByRole(AriaRole.SLIDER, within("inside the elbow")).focus();
        page.keyboard().press("End");
        assertThat(frame).containsText("The bones stand in its line");
        frame.getByRole(AriaRole.SLIDER, within("upper arm to trunk")).focus();
        page.keyboard().press("End");
        assertThat(frame).containsText("Past the right angle a shoulder has little strength");
        assertThat(Browser.seriousFaults(page)).isEmpty();
    }

    /** The ladder of grips is the house's own; a grip without a name is not kept, and undo takes the grades back. */
    @Test
    void theHouseGradesItsGrips() {
        Page page = onACopy("Grips graded");
        go(page, "/holds/leverage");
        button(page, "Grade them otherwise").click();
        button(page, "One more grip").click();
        button(page, "Keep for the house").click();
        assertThat(page.getByText("Grip 4 needs a name and a grade from 1 to 10.")).isVisible();
        page.getByLabel("Grip 4", EXACT).fill("Both hands, thumbs round");
        page.getByLabel("Grade of grip 4, 1 to 10").fill("11");
        button(page, "Keep for the house").click();
        Locator refused = page.getByText("The grade of “Both hands, thumbs round” is 11; it must lie between 1 and 10.");
        assertThat(refused).isVisible();
        // What is wrong now is said, not what was wrong before.
        page.getByLabel("Grade of grip 4, 1 to 10").fill("");
        button(page, "Keep for the house").click();
        assertThat(page.getByText("Grip 4 needs a name and a grade from 1 to 10.")).isVisible();
        assertThat(refused).hasCount(0);
        page.getByLabel("Grade of grip 4, 1 to 10").fill("8");
        button(page, "Keep for the house").click();
        assertThat(row(page, "Both hands, thumbs round")).containsText("8");
        page.reload();
        assertThat(row(page, "Both hands, thumbs round")).isVisible();
        undo(page);
        assertThat(row(page, "Both hands, thumbs round")).hasCount(0);
    }
}
