package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Pins and finishes, taken apart. */
class FinishStory extends Story {

    private static Locator region(Page page, String name) {
        return page.getByRole(AriaRole.REGION, exactly(name));
    }

    private static Locator rungs(Page page) {
        return region(page, "What they need, in the order in which they build it").getByRole(AriaRole.LIST).first()
                .locator("> li");
    }

    /** From the band to a choke: cautions first, hands joined last, and the denials become a drill. */
    @Test
    void aChokeIsTakenApartAndItsDenialsAreDrilled() {
        Page page = browser.signedIn();
        go(page, "");
        page.getByRole(AriaRole.NAVIGATION).getByRole(AriaRole.LINK, within("Holds").setExact(true)).first().click();
        assertThat(h1(page)).hasText("Finishes");
        assertThat(Browser.seriousFaults(page)).isEmpty();
        page.getByRole(AriaRole.LINK, named("Choke from north–south")).click();
        assertThat(h1(page)).hasText("Choke from north–south");
        assertThat(page.locator("main > div").first()).containsText("tap at the first pressure");
        assertThat(rungs(page)).hasCount(6);
        assertThat(rungs(page).first()).containsText("The arm is deep round your neck");
        assertThat(rungs(page).last()).containsText("or tap");
        Locator stages = region(page, "Cheapest denial, stage by stage");
        assertThat(stages).containsText("most for the least work");
        assertThat(stages.getByRole(AriaRole.LISTITEM)).hasCount(3);
        assertThat(Browser.seriousFaults(page)).isEmpty();
        page.getByRole(AriaRole.LINK, exactly("Drill the denials")).click();
        assertThat(page.getByLabel("What the drill is called")).hasValue("Choke from north–south");
        assertThat(page.getByRole(AriaRole.MAIN)).containsText("look into them");
    }

    /** Starting later leaves each denial less; whom it is for stands in one line and in the address. */
    @Test
    void aLateStartLeavesDenialsLess() {
        Page page = browser.signedIn();
        go(page, "/holds/finishes/rear-choke");
        Locator early = region(page, "Cheapest denial, stage by stage").getByRole(AriaRole.LISTITEM).first();
        int before = last(early);
        openSetting(page);
        Locator late = page.getByRole(AriaRole.SLIDER, named("Starts late by"));
        late.focus();
        page.keyboard().press("End");
        assertThat(page).hasURL(Pattern.compile("late=5"));
        assertThat(early).not().containsText(Pattern.compile("\\b" + before + "$"));
        assertThat(last(early)).isLessThan(before);
    }

    /** The last number of a line. */
    private static int last(Locator line) {
        String[] numbers = line.textContent().split("\\D+");
        return Integer.parseInt(numbers[numbers.length - 1]);
    }

    /** Two arrangements of the arms beside each other; which, stands in the address. */
    @Test
    void twoWaysOfKeepingTheArmsStandSideBySide() {
        Page page = browser.signedIn();
        go(page, "/holds/finishes/side-pin");
        Locator arms = region(page, "Your arms here");
        arms.getByLabel("Another way", WITHIN_EXACT).selectOption("Far arm round their back");
        assertThat(arms).containsText("gives them “both your shoulders are flat”");
        assertThat(arms).containsText("gives them “your far elbow is off your ribs”");
        page.reload();
        assertThat(arms.getByLabel("Another way", WITHIN_EXACT)).hasValue("round-back");
        assertThat(region(page, "The feeder’s brief")).containsText("Settled: have 1–3, build 4–5, stop.");
    }

    /** Nobody closes a finish on a child; what is taught is shown all the same. */
    @Test
    void childrenPractiseDenialsOnly() {
        Page page = browser.signedIn();
        go(page, "/holds/finishes/triangle-choke?matchup=children");
        assertThat(page.locator("main > div").first()).containsText("Nobody closes this on a child");
        assertThat(region(page, "The feeder’s brief")).not().containsText("build 4");
        assertThat(rungs(page)).hasCount(4);
    }

    /** What a need says is edited in its form, and the ladder follows; what is not said yet is asked for. */
    @Test
    void theLadderFollowsItsForm() {
        Page page = onACopy("Ladders");
        String map = page.url().replaceAll("(.*/map/[^/?]+).*", "$1");
        page.navigate(map + "/holds/finishes/knee-ride-pin");
        assertThat(h1(page)).hasText("Knee ride");
        Locator number = page.locator("main p span").filter(new Locator.FilterOptions().setHasText(Pattern.compile("^\\d+$"))).first();
        int before = Integer.parseInt(number.textContent());
        page.getByRole(AriaRole.LINK, exactly("Edit what they need")).click();
        Locator first = page.getByRole(AriaRole.GROUP, exactly("need 1"));
        first.getByLabel("How likely they get it", WITHIN_EXACT).selectOption("rarely");
        save(page);
        page.navigate(map + "/holds/finishes/knee-ride-pin");
        assertThat(number).not().hasText(String.valueOf(before));
        assertThat(Integer.parseInt(number.textContent())).isGreaterThan(before);

        page.getByRole(AriaRole.LINK, exactly("Edit what they need")).click();
        first.getByLabel("How likely they get it", WITHIN_EXACT).selectOption("nobody has said");
        save(page);
        page.navigate(map + "/holds/finishes/knee-ride-pin");
        assertThat(page.getByText("No chance is told: nobody has said how likely they get “their shin lies across your belly”."))
                .isVisible();
    }
}
