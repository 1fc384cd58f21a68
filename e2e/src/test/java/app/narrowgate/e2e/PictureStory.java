package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import org.junit.jupiter.api.Test;

/** Two bodies, wherever a place is shown. */
class PictureStory extends Story {

    /** A picture with words for who does not see it. */
    private static Locator picture(Page page, String says) {
        return page.getByRole(AriaRole.IMG, named(says));
    }

    @Test
    void aPlaceIsDrawnWithWhatIsHeldAndSaysSo() {
        Page page = browser.signedIn();
        go(page, "/at/mount-upright");
        Locator drawn = picture(page, "You lie on your back; they sit upright on your belly");
        assertThat(drawn).isVisible();
        assertThat(picture(page, "Held: trunk, hips. Free: head")).isVisible();
        assertThat(drawn.locator("[data-segment=trunk][data-held=true] path[fill='var(--green)']").first()).isAttached();
        assertThat(drawn.locator("[data-segment=near-arm][data-held=true]")).hasCount(0);
        assertThat(Browser.seriousFaults(page)).isEmpty();
    }

    @Test
    void onTheMapThePictureComesWithThePointerAndWithTheKeyboard() {
        Page page = browser.signedIn();
        Locator gate = page.locator("[data-situation=knee-ride]");
        gate.hover();
        Locator tip = page.getByRole(AriaRole.REGION, exactly("Shown"));
        assertThat(tip.locator("svg g").first()).isAttached();
        assertThat(tip).containsText("Shin on the belly");
        page.keyboard().press("Escape");
        assertThat(tip).not().containsText("Shin on the belly");
        gate.focus();
        page.keyboard().press("Shift+Tab");
        page.keyboard().press("Tab");
        assertThat(tip).containsText("Shin on the belly");
    }

    @Test
    void whereAnAnswerOfTheirsLeadsIsSeenBeforeOneGoesThere() {
        Page page = browser.signedIn();
        go(page, "/at/side-crossface");
        button(page, "Open all answers").click();
        Locator landing = page.getByRole(AriaRole.LINK, exactly("Open guard, ankles held")).first();
        landing.hover();
        assertThat(page.getByTestId("landing").getByRole(AriaRole.IMG)).isVisible();
        assertThat(page.getByTestId("landing")).containsText("Open guard, ankles held");
        page.mouse().move(4, 400);
        assertThat(page.getByTestId("landing")).hasCount(0);
        landing.focus();
        assertThat(page.getByTestId("landing").getByRole(AriaRole.IMG)).isVisible();
    }

    @Test
    void whatIsHeldIsPressedOnThePicture() {
        Page page = browser.signedIn(390, 844, ColorScheme.DARK);
        go(page, "/held");
        page.getByRole(AriaRole.BUTTON, exactly("above")).or(page.getByRole(AriaRole.BUTTON, exactly("over your head"))).click();
        Locator drawn = picture(page, "Two bodies, to mark what is held");
        Locator head = drawn.locator("[data-segment=head]").first();
        assertThat(head).hasAttribute("data-held", "false");
        Locator limbs = page.getByRole(AriaRole.GROUP, exactly("Your limbs"));
        limbs.getByRole(AriaRole.BUTTON, within("head")).press("Enter");
        assertThat(head).hasAttribute("data-held", "true");
        drawn.locator("[data-segment=near-leg]").last().click();
        Locator leg = limbs.getByRole(AriaRole.BUTTON, within("near leg"));
        assertThat(leg).hasText("near leg held");
        leg.press("Enter");
        assertThat(leg).hasText("near leg free");
        leg.press("Enter");
        assertThat(leg).hasText("near leg not said");
        assertThat(page.evaluate("document.documentElement.scrollWidth")).isEqualTo(390);
        assertThat(Browser.seriousFaults(page)).isEmpty();
    }

    @Test
    void resultsOfASearchAndCardsAreDrawn() {
        Page page = browser.signedIn();
        page.locator("[data-situation=mount-low]").waitFor();
        page.keyboard().press("/");
        page.keyboard().type("knees in the armpits");
        assertThat(page.getByRole(AriaRole.OPTION, named("High, knees in the armpits")).first().locator("svg")).isVisible();
        page.keyboard().press("Escape");
        go(page, "/at/scarf-light/card");
        assertThat(picture(page, "They sit beside your right ribs")).isVisible();
    }

    /** From where it begins to where it mostly lands in four pictures, the checkpoints under them, by press and by arrow. */
    @Test
    void howItIsDoneIsSteppedByHand() {
        Page page = browser.signedIn();
        go(page, "/at/mount-low");
        Locator answer = page.getByRole(AriaRole.REGION, named("bridge over the shoulder"))
                .or(page.locator("section[id]").filter(new Locator.FilterOptions().setHasText("How it is done"))).first();
        answer.getByRole(AriaRole.BUTTON, within("How it is done")).click();
        Locator steps = answer.getByRole(AriaRole.REGION, within("Step by step"));
        assertThat(steps).containsText("1 of 4: Low, arms round your head");
        assertThat(steps.getByRole(AriaRole.IMG)).isVisible();
        steps.getByRole(AriaRole.BUTTON, within("Picture 3: on the way")).click();
        assertThat(steps).containsText("3 of 4: on the way");
        page.keyboard().press("ArrowRight");
        assertThat(steps).containsText("4 of 4");
        page.keyboard().press("ArrowRight");
        assertThat(steps).containsText("4 of 4");
        assertThat(Browser.seriousFaults(page)).isEmpty();
    }

    @Test
    void holesAndTheBenchAreDrawn() {
        Page page = browser.signedIn();
        go(page, "/holes");
        assertThat(page.getByRole(AriaRole.MAIN).locator("li svg g").first()).isAttached();
        go(page, "/drills?place=mount-low");
        assertThat(page.getByRole(AriaRole.REGION, exactly("The turns")).locator("li svg g").first()).isAttached();
    }

    /** Told from another: a new posture is another one mirrored, the place takes it, and undo takes it back. */
    @Test
    void anotherPostureIsToldFromOneAndGivenToAPlace() {
        Page page = onACopy("Drawn otherwise");
        go(page, "/workshop/postures?new");
        page.getByLabel("Name", EXACT).fill("Upright, from the other side");
        button(page, "Save").click();
        assertThat(page.getByText("Say which other posture it is like").first()).isVisible();
        pick(page, "It is like", "Mount, sitting upright");
        page.getByLabel("The other way round, left for right").check();
        save(page);
        page.getByLabel("Find", EXACT).fill("from the other side");
        assertThat(page.getByText("Upright, from the other side").first()).isVisible();
        go(page, "/workshop/situations?edit=mount-upright");
        pick(page, "How the bodies are", "Upright, from the other side");
        save(page);
        go(page, "/at/mount-upright");
        assertThat(picture(page, "You lie on your back; they sit upright on your belly")).isVisible();
        go(page, "/workshop/postures?edit=upright-from-the-other-side");
        assertThat(page.getByLabel("The other way round, left for right")).isChecked();
    }

    /** A hand is dragged: it goes there, the drag is taken back, moved by keys instead, and saved. */
    @Test
    void aHandIsDraggedAndMovedByKeys() {
        Page page = onACopy("Moved by hand");
        go(page, "/workshop/postures?edit=mount-high");
        Locator form = page.getByRole(AriaRole.REGION, exactly("The posture"));
        Locator hand = form.getByRole(AriaRole.BUTTON, within("their left hand").setExact(true));
        Locator head = form.getByRole(AriaRole.BUTTON, within("your head").setExact(true));
        Locator back = form.getByRole(AriaRole.BUTTON, within("Take the last move back"));
        BoundingBox before = hand.boundingBox();
        double apart = across(hand, head);
        page.mouse().move(before.x + before.width / 2, before.y + before.height / 2);
        page.mouse().down();
        page.mouse().move(before.x - 40, before.y - 60, new Mouse.MoveOptions().setSteps(8));
        page.mouse().up();
        assertThat(back).isVisible();
        assertThat(form.getByRole(AriaRole.STATUS)).containsText("their left hand leaves the mat");
        assertThat(across(hand, head)).isLessThan(apart - 20);
        assertThat(Browser.seriousFaults(page)).isEmpty();
        back.click();
        assertThat(back).hasCount(0);
        page.waitForCondition(() -> Math.abs(across(hand, head) - apart) < 2);

        hand.focus();
        for (int i = 0; i < 4; i++) {
            page.keyboard().press("Shift+ArrowLeft");
        }
        page.waitForCondition(() -> across(hand, head) < apart - 20);
        assertThat(hand).isFocused();
        save(page);
        go(page, "/workshop/postures?edit=mount-high");
        page.waitForCondition(() -> across(hand, head) < apart - 20);
    }

    /** A hand that moves does not wait for the server: what is seen under it is worked out in the browser. */
    @Test
    void aHandIsFollowedWithoutTheServer() {
        Page page = onACopy("Followed by hand");
        page.route("**/pictures/preview", route -> {
            if (route.request().postData().contains("\"done\":false")) {
                route.abort("internetdisconnected");
            } else {
                route.resume();
            }
        });
        go(page, "/workshop/postures?edit=mount-high");
        Locator form = page.getByRole(AriaRole.REGION, exactly("The posture"));
        Locator hand = form.getByRole(AriaRole.BUTTON, within("their left hand").setExact(true));
        Locator head = form.getByRole(AriaRole.BUTTON, within("your head").setExact(true));
        BoundingBox before = hand.boundingBox();
        double apart = across(hand, head);
        page.mouse().move(before.x + before.width / 2, before.y + before.height / 2);
        page.mouse().down();
        int[] step = {0};
        // Once the worker has come, the picture follows.
        page.waitForCondition(() -> {
            page.mouse().move(before.x - 40 + step[0]++ % 2, before.y - 60);
            return across(hand, head) < apart - 20;
        });
        page.mouse().up();
        assertThat(form.getByRole(AriaRole.STATUS)).containsText("their left hand leaves the mat");
        assertThat(form.getByRole(AriaRole.BUTTON, within("Take the last move back"))).isVisible();
    }

    /** By how much one handle lies further to the right than another; the picture may have moved as a whole. */
    private static double across(Locator one, Locator other) {
        return one.boundingBox().x - other.boundingBox().x;
    }

    /** Escape gives up a move and leaves the form open; what is not finished has no picture yet. */
    @Test
    void aMoveIsGivenUp() {
        Page page = onACopy("Given up");
        go(page, "/workshop/postures?edit=mount-low");
        Locator form = page.getByRole(AriaRole.REGION, exactly("The posture"));
        Locator knee = form.getByRole(AriaRole.BUTTON, within("your right knee").setExact(true));
        BoundingBox before = knee.boundingBox();
        knee.focus();
        page.keyboard().down("ArrowUp");
        page.keyboard().press("Escape");
        page.keyboard().up("ArrowUp");
        assertThat(form).isVisible();
        assertThat(form.getByRole(AriaRole.BUTTON, within("Take the last move back"))).hasCount(0);
        page.waitForCondition(() -> Math.abs(knee.boundingBox().y - before.y) < 2);
        go(page, "/workshop/postures?new");
        assertThat(page.getByText("Its picture stands here once it has a name and another posture that it is like.")).isVisible();
    }
}
