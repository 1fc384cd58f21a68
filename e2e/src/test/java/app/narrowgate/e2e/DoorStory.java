package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.LoadState;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Who comes in, what they find, and how they go. */
class DoorStory extends Story {

    private static final String PASSWORD = "three lamps by the mat";


    /** Makes a link as the owner whose window it is, and gives it. */
    private static String invite(Page owner, String role) {
        owner.navigate(app.address() + "/gym");
        owner.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("^" + role))).check();
        button(owner, "Make the link").click();
        return owner.getByLabel("The link", EXACT).inputValue();
    }

    private static void comeIn(Page page, String displayName, String name) {
        page.getByLabel("Your name, as others see it").fill(displayName);
        page.getByLabel("A name to sign in with").fill(name);
        page.getByLabel("Password").fill(PASSWORD);
        button(page, "Come in").click();
        page.waitForURL("**/map/**");
    }

    private static Locator alert(Page page) {
        return page.getByRole(AriaRole.ALERT);
    }

    /** On a phone, with every mistake that one makes at a door. */
    @Test
    void somebodyIsInvitedAndComesIn() {
        Page owner = browser.freshlySignedIn();
        owner.navigate(app.address() + "/gym");
        owner.getByRole(AriaRole.RADIO, named("Student")).check();
        owner.getByLabel("For whom, if you like; only owners read it").fill("the tall one");
        owner.getByLabel("Where a letter with the link goes, if anywhere").fill("tall@mats");
        button(owner, "Make the link").click();
        assertThat(alert(owner)).containsText("no address");
        owner.getByLabel("Where a letter with the link goes, if anywhere").fill("tall@mats.example");
        button(owner, "Make the link").click();
        String link = owner.getByLabel("The link", EXACT).inputValue();

        Page phone = browser.window(390, 844, ColorScheme.DARK);
        phone.navigate(link);
        assertThat(h1(phone)).hasText("Quarrystep Grappling");
        assertThat(Browser.seriousFaults(phone)).isEmpty();
        button(phone, "Come in").click();
        assertThat(alert(phone)).hasCount(3);
        phone.getByLabel("Your name, as others see it").fill("Odd Tarn");
        phone.getByLabel("A name to sign in with").fill("tamsin");
        phone.getByLabel("Password").fill("password12345");
        button(phone, "Come in").click();
        assertThat(alert(phone)).containsText("first that are tried");
        phone.getByLabel("Password").fill(PASSWORD);
        button(phone, "Come in").click();
        assertThat(alert(phone)).containsText("already");
        phone.getByLabel("A name to sign in with").fill("odd");
        button(phone, "Come in").click();
        phone.waitForURL("**/map/**");
        assertThat(phone.getByRole(AriaRole.LINK, named("Near arm framed"))).hasCount(1);

        Page late = browser.window(390, 844, ColorScheme.LIGHT);
        late.navigate(link);
        assertThat(alert(late)).containsText("does not work");
        owner.reload();
        assertThat(owner.getByLabel("Role of Odd Tarn")).hasValue("student");
        owner.getByRole(AriaRole.LINK, named("Letters")).click();
        assertThat(owner.getByText(link)).hasCount(1);
        owner.navigate(app.address() + "/gym/audit");
        assertThat(owner.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(
                "Odd Tarn came in by an invitation as student"))).hasCount(1);
    }

    /** What each finds in the first minute, and what is not there for them; nothing that a page asks for is refused. */
    @ParameterizedTest
    @CsvSource({"tamsin, Edit the map, Gym, ''", "bram, Edit the map, Files, Gym", "ines, History, Maps, Edit the map",
        "joss, Maps, Yourself, History"})
    void eachRoleFindsWhatIsTheirs(String name, String there, String thereToo, String notThere) {
        List<String> refused = new ArrayList<>();
        Page page = browser.window();
        page.onResponse(response -> {
            if (response.status() == 403) {
                refused.add(response.url());
            }
        });
        Browser.signIn(page, name, "open-the-gate");
        page.waitForURL("**/map/**");
        if (page.url().endsWith("/start")) {
            page.navigate(page.url().replace("/start", ""));
        }
        page.locator("[data-situation=mount-low]").first().waitFor();
        button(page, "More").click();
        Locator menu = page.getByRole(AriaRole.MENU);
        assertThat(menu.getByRole(AriaRole.MENUITEM, within(there).setExact(true))).hasCount(1);
        assertThat(menu.getByRole(AriaRole.MENUITEM, within(thereToo).setExact(true))).hasCount(1);
        if (!notThere.isEmpty()) {
            assertThat(menu.getByRole(AriaRole.MENUITEM, within(notThere).setExact(true))).hasCount(0);
        }
        page.keyboard().press("Escape");
        for (String view : List.of("/at/mount-low", "/flow", "/holds/finishes/mount-pin", "/drills/trainer")) {
            go(page, view);
            h1(page).waitFor();
            page.waitForLoadState(LoadState.NETWORKIDLE);
        }
        assertThat(refused).isEmpty();
    }

    @Test
    void aStudentReadsAndEditsNothing() {
        Page page = browser.window(390, 844, ColorScheme.LIGHT);
        Browser.signIn(page, "joss", "open-the-gate");
        page.waitForURL("**/map/**");
        go(page, "/at/mount-low");
        assertThat(page.getByText("How it is done").first()).isVisible();
        for (String control : List.of("Edit", "Add what you do", "Drill this", "Edit this situation", "Answer")) {
            assertThat(page.getByText(control, new Page.GetByTextOptions().setExact(true))).hasCount(0);
        }
        assertThat(Browser.seriousFaults(page)).isEmpty();
        box(page).fill("whizzerino quux");
        assertThat(page.getByText("Nothing on the map answers that.")).isVisible();
        go(page, "/workshop/situations");
        assertThat(h1(page)).hasText("This is not open to you");
    }

    /** Without the roster a student still reads the map for themselves: against the lighter, the middle and the heavier of the room. */
    @Test
    void aStudentReadsTheMapAgainstTheRoom() {
        Page page = browser.window(390, 844, ColorScheme.LIGHT);
        Browser.signIn(page, "joss", "open-the-gate");
        page.waitForURL("**/map/**");
        go(page, "/at/mount-low");
        openSetting(page);
        Locator room = page.getByRole(AriaRole.COMBOBOX, named("Against the room"));
        assertThat(room.locator("option")).hasCount(4);
        assertThat(room.locator("option").nth(3)).hasText(Pattern.compile("the heavier third, \\d+ kg heavier and \\d+ cm taller"));
        room.selectOption("heavier");
        page.waitForURL("**room=heavier**");
        assertThat(page.getByText(Pattern.compile("You under the heavier third, .*, mind the knee · "))).hasCount(1);
        assertThat(page.getByText(Pattern.compile("was \\d+ \\(−\\d+\\)"))).isVisible();
        assertThat(Browser.seriousFaults(page)).isEmpty();
        go(page, "/at/mount-low/card?room=heavier");
        assertThat(page.getByText(Pattern.compile("^Quarrystep house map.*\\d+ kg heavier"))).not().containsText("knee");
        assertThat(button(page, "Share by a link")).hasCount(0);
        go(page, "?room=strongest");
        assertThat(page.getByText("Even pair · ").first()).isVisible();
    }

    /** A card goes out by a link, is read on the phone of somebody who is in no gym, and shows nothing once it is withdrawn. */
    @Test
    void aCardGoesOutByALinkAndIsWithdrawn() {
        Page coach = browser.freshlySignedIn();
        go(coach, "/at/side-framed/card?read=0.75&late=1.5");
        button(coach, "Share by a link").click();
        coach.getByRole(AriaRole.RADIO, named("a week")).check();
        button(coach, "Make the link").click();
        String link = coach.getByLabel("The link", EXACT).inputValue();
        assertThat(Browser.seriousFaults(coach)).isEmpty();
        Locator foot = coach.getByText(Pattern.compile("as of change"));

        Page phone = browser.window(390, 844, ColorScheme.DARK);
        List<String> asked = new ArrayList<>();
        phone.onRequest(request -> {
            if (request.url().contains("/api/")) {
                asked.add(request.url().replaceAll(".*/api", "/api"));
            }
        });
        phone.navigate(link);
        assertThat(h1(phone)).hasText("Card: Near arm framed");
        assertThat(phone.getByText(Pattern.compile("as of change"))).hasText(foot.textContent());
        assertThat(phone.getByRole(AriaRole.ARTICLE)).containsText("Bridge, hip escape, knee high");
        assertThat(phone.getByRole(AriaRole.IMG).first()).isVisible();
        assertThat(phone.getByText("Quarrystep Grappling")).isVisible();
        assertThat(phone.getByRole(AriaRole.LINK)).hasCount(0);
        assertThat(Browser.seriousFaults(phone)).isEmpty();
        assertThat(asked).containsOnly("/api/session", "/api/links/look");
        phone.setViewportSize(1280, 800);
        assertThat(phone.getByRole(AriaRole.ARTICLE)).containsText("Bridge, hip escape, knee high");

        button(coach, "Done sharing").click();
        coach.navigate(app.address() + "/links");
        coach.getByRole(AriaRole.BUTTON, named("Withdraw: Near arm framed")).click();
        assertThat(coach.getByText("One link of the last weeks that works no longer")).isVisible();
        assertThat(Browser.seriousFaults(coach)).isEmpty();
        phone.reload();
        assertThat(alert(phone)).containsText("This link shows nothing");
        phone.navigate("about:blank");
        phone.navigate(app.address() + "/card");
        assertThat(phone.getByText("The link is cut off")).isVisible();
        coach.navigate(app.address() + "/gym/audit");
        assertThat(coach.getByText("withdrew a link to a card")).isVisible();
        assertThat(coach.getByText("“Near arm framed”").first()).isVisible();
    }

    @Test
    void aPasswordIsChangedAndElsewhereOneIsSignedOut() {
        Page owner = browser.freshlySignedIn();
        String link = invite(owner, "Instructor");
        Page desk = browser.window();
        desk.navigate(link);
        comeIn(desk, "Marl Quayle", "marl");
        Page phone = browser.window(390, 844, ColorScheme.LIGHT);
        Browser.signIn(phone, "marl", PASSWORD);
        phone.waitForURL("**/map/**");

        desk.navigate(app.address() + "/yourself");
        assertThat(desk.getByText("Sign out there")).hasCount(1);
        desk.getByLabel("The name that others see").fill("Marl of the Quay");
        button(desk, "Save the name").click();
        assertThat(desk.getByText("Saved")).isVisible();
        desk.getByLabel("The password you have now").fill("not this one at all");
        desk.getByLabel("The new one").fill("five quiet boats at noon");
        button(desk, "Change the password").click();
        assertThat(alert(desk)).containsText("not the password you have now");
        desk.getByLabel("The password you have now").fill(PASSWORD);
        button(desk, "Change the password").click();
        assertThat(desk.getByText("Changed; elsewhere you are signed out")).isVisible();
        assertThat(desk.getByText("Sign out there")).hasCount(0);

        phone.reload();
        assertThat(phone.getByLabel("Password")).isVisible();
        Browser.signIn(phone, "marl", "five quiet boats at noon");
        // The address is that of the map all along; only the page tells that one is in again.
        assertThat(phone.getByLabel("Password")).isHidden();
        desk.reload();
        button(desk, "Sign out there").click();
        assertThat(desk.getByText("Sign out there")).hasCount(0);
        phone.reload();
        assertThat(phone.getByLabel("Password")).isVisible();
    }

    /** What is half typed when one is put out is not lost, and the next request says why. */
    @Test
    void whoIsPutOutIsOut() {
        Page owner = browser.freshlySignedIn();
        String link = invite(owner, "Instructor");
        Page member = browser.window();
        member.navigate(link);
        comeIn(member, "Sedge Farrow", "sedge");
        owner.reload();
        owner.getByLabel("Role of Sedge Farrow").selectOption("student");
        assertThat(owner.getByText("Student from now on.")).isVisible();
        button(owner, "Back to instructor").click();
        assertThat(owner.getByLabel("Role of Sedge Farrow")).hasValue("instructor");
        owner.getByRole(AriaRole.BUTTON, exactly("Sedge Farrow")).click();
        button(owner, "Put out …").click();
        assertThat(Browser.seriousFaults(owner)).isEmpty();
        button(owner, "Put them out, keep the name").click();
        assertThat(owner.getByLabel("Role of Sedge Farrow")).hasCount(0);
        member.reload();
        assertThat(member.getByLabel("Password")).isVisible();
        Browser.signIn(member, "sedge", PASSWORD);
        assertThat(alert(member)).containsText("do not match");
        assertThat(owner.getByLabel("Role of Tamsin Orrel")).isVisible();
    }

    @Test
    void twoGymsInTwoBrowsersKnowNothingOfEachOther() {
        Page tamsin = browser.freshlySignedIn();
        String theirMap = tamsin.url();
        Page other = browser.window();
        other.navigate(app.address() + "/open#wrong");
        button(other, "Open the gym").click();
        assertThat(alert(other)).hasCount(4);
        other.getByLabel("What the gym is called").fill("Millrace Mats");
        other.getByLabel("Your name, as others see it").fill("Orla Fennick");
        other.getByLabel("A name to sign in with").fill("orla");
        other.getByLabel("Password").fill(PASSWORD);
        button(other, "Open the gym").click();
        assertThat(alert(other)).containsText("not the code of the house");
        other.navigate(app.address() + "/");
        other.navigate(app.address() + "/open#" + RunningApp.HOUSE_CODE);
        other.getByLabel("What the gym is called").fill("Millrace Mats");
        other.getByLabel("Your name, as others see it").fill("Orla Fennick");
        other.getByLabel("A name to sign in with").fill("orla");
        other.getByLabel("Password").fill(PASSWORD);
        assertThat(Browser.seriousFaults(other)).isEmpty();
        button(other, "Open the gym").click();
        assertThat(h1(other)).hasText("There is no map yet");
        other.getByRole(AriaRole.LINK, named("Begin a map")).click();
        other.getByLabel("Its name").fill("What Millrace teaches");
        button(other, "Begin it").click();
        other.waitForURL("**/map/**");
        other.locator("[data-situation=mount-low]").first().waitFor();

        other.navigate(theirMap);
        assertThat(alert(other)).containsText("There is no map with the id");
        tamsin.navigate(app.address() + "/maps");
        assertThat(tamsin.getByText("What Millrace teaches")).hasCount(0);
        other.navigate(app.address() + "/gym");
        assertThat(other.getByRole(AriaRole.COMBOBOX)).hasCount(1);
        assertThat(other.getByText("Tamsin Orrel")).hasCount(0);
        other.navigate(app.address() + "/gym/audit");
        assertThat(other.getByText("opened the gym")).hasCount(1);
    }

    @Test
    void whoLeavesIsForgottenIfTheyWant() {
        Page owner = browser.freshlySignedIn();
        String link = invite(owner, "Student");
        Page member = browser.window();
        member.navigate(link);
        comeIn(member, "Hollin Reed", "hollin");
        member.navigate(app.address() + "/yourself");
        button(member, "Leave the gym …").click();
        member.getByLabel("goes, and what the roster says of me: forget me; nobody can bring it back").check();
        button(member, "Leave, and forget me").click();
        assertThat(alert(member)).hasText("Write your password.");
        member.getByLabel("Your password").fill(PASSWORD);
        button(member, "Leave, and forget me").click();
        assertThat(button(member, "Sign in")).isVisible();
        owner.navigate(app.address() + "/gym/audit");
        h1(owner).waitFor();
        assertThat(owner.getByText("Hollin Reed")).hasCount(0);
        assertThat(owner.getByText("Somebody who is forgotten").first()).isVisible();
    }
}
