package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SelectOption;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Several maps, several people and the past: nothing of anybody is lost. */
class TogetherStory extends Story {

    /** The second instructor in a browser of his own. */
    private static Page second(Page first) {
        Page page = browser.window();
        page.getByLabel("Name").fill("bram");
        page.getByLabel("Password").fill("open-the-gate");
        page.keyboard().press("Enter");
        page.waitForURL("**/map/**");
        page.navigate(first.url());
        return page;
    }

    @Test
    void twoWhoEditAtOnceAreMergedWhereTheyDoNotTouchAndChooseWhereTheyDo() {
        Page tamsin = onACopy("Together");
        go(tamsin, "/at/mount-upright");
        Page bram = second(tamsin);
        button(bram, "Open all answers").click();
        button(tamsin, "Open all answers").click();
        button(tamsin, "Edit: they stay up and circle").waitFor();

        button(bram, "Edit: they stay up and circle").click();
        tamsin.getByRole(AriaRole.BUTTON, named("Add what they do about")).first().click();
        tamsin.getByLabel("What they do", EXACT).fill("They grab the collar");
        button(tamsin, "Save").click();
        assertThat(button(tamsin, "Answer: they grab the collar")).isVisible();
        bram.getByLabel("What they do", EXACT).fill("They stay tall and circle");
        button(bram, "Save").click();
        assertThat(button(bram, "Edit: they stay tall and circle")).isVisible();
        assertThat(button(bram, "Answer: they grab the collar")).isVisible();

        tamsin.reload();
        button(tamsin, "Open all answers").click();
        button(tamsin, "Answer: they grab the collar").click();
        button(bram, "Answer: they grab the collar").click();
        tamsin.getByLabel("What they do", EXACT).fill("They grab the belt");
        button(tamsin, "Save").click();
        assertThat(button(tamsin, "Answer: they grab the belt")).isVisible();
        bram.getByLabel("What they do", EXACT).fill("They grab the wrist");
        button(bram, "Save").click();
        assertThat(bram.getByRole(AriaRole.ALERT)).containsText("Nothing was overwritten");
        assertThat(bram.getByText("Changed “They grab the belt”")).isVisible();
        button(bram, "Take theirs").click();
        assertThat(button(bram, "Answer: they grab the belt")).isVisible();
    }

    @Test
    void theHistoryNamesComparesAndGoesBack() {
        Page page = onACopy("Past");
        go(page, "/history");
        button(page, "Name it, change 1").click();
        page.getByLabel("Its name").fill("Before the spring term");
        page.getByRole(AriaRole.BUTTON, exactly("Name it")).last().click();
        assertThat(button(page, "Compare with now: Before the spring term")).isVisible();

        go(page, "/workshop/facts");
        listed(page, "They control your head").click();
        page.getByLabel("Name", EXACT).fill("They steer your head");
        save(page);
        assertThat(listed(page, "They steer your head")).isFocused();

        go(page, "/history");
        button(page, "Compare with now: Before the spring term").click();
        Locator differs = page.getByRole(AriaRole.REGION, exactly("What differs"));
        assertThat(differs).containsText("They steer your head, was They control your head");
        assertThat(page.getByText("Tamsin Orrel").first()).isVisible();
        button(page, "Go back to this, change 1").click();
        assertThat(page.getByText("Went back to change 1").first()).isVisible();
        page.reload();
        button(page, "Go back to this, change 1").waitFor();
        undo(page);
        assertThat(page.getByText("Took back: Went back to change 1").first()).isVisible();
        button(page, "Take this back, change 2").click();
        assertThat(page.getByText("Took back: Changed “They control your head”").first()).isVisible();
        button(page, "Take the name away: Before the spring term").click();
        button(page, "Name it so again").click();
        assertThat(button(page, "Compare with now: Before the spring term")).isVisible();
    }

    @Test
    void anAssistantsCopyIsComparedWithTheHouseMapAndPutAway() {
        Page page = browser.signedIn();
        page.navigate(app.address() + "/maps");
        page.getByLabel("It begins").selectOption("copy");
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Copy of"))).selectOption(new SelectOption().setLabel("Quarrystep house map"));
        page.getByLabel("Its name").fill("Assistant’s own");
        button(page, "Begin it").click();
        page.waitForURL("**/map/**");
        go(page, "/at/mount-low");
        page.getByRole(AriaRole.BUTTON, exactly("Edit Trap an arm and a foot, bridge over that shoulder")).click();
        page.getByLabel("How often it gets going", EXACT).selectOption("rarely");
        button(page, "Save").click();
        assertThat(button(page, "Undo")).isVisible();
        page.navigate(app.address() + "/maps");
        button(page, "What differs from Quarrystep house map: Assistant’s own").click();
        Locator compared = page.getByRole(AriaRole.REGION, exactly("What differs between the two maps"));
        assertThat(compared).containsText("Low, arms round your head");
        assertThat(compared).containsText("how often it gets going:");
        button(page, "Put away: Assistant’s own").click();
        assertThat(page.getByText("Put away, 1")).isVisible();
    }

    @Test
    void aTableOfLinksIsLookedAtReadInAndTakenBack() {
        Page page = onACopy("Tables");
        go(page, "/files");
        page.getByLabel("File", EXACT).setInputFiles(csv("""
                situation,technique,cue,often,leads
                Nowhere,Trap an arm and a foot bridge,They sit,often,Half guard
                Shin on the belly,Stand up,They follow,always,Half guard
                """));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Line 2, column situation: No situation is called “Nowhere”");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Line 3, column often");
        StringBuilder rows = new StringBuilder("situation,technique,cue,often,leads\n");
        for (int i = 1; i <= 40; i++) {
            rows.append("Shin on the belly,Stand up in base,They try answer ").append(i).append(",sometimes,Half guard\n");
        }
        page.getByLabel("File", EXACT).setInputFiles(csv(rows.toString()));
        assertThat(page.getByText("It would add 2, change 0 and take out 0.")).isVisible();
        button(page, "Read it in").click();
        assertThat(page.getByText("links.csv is read in. Undo takes it back.")).isVisible();
        go(page, "/at/knee-ride");
        button(page, "Open all answers").click();
        assertThat(page.getByText("try answer 40")).isVisible();
        undo(page);
        assertThat(page.getByText("try answer 40")).hasCount(0);
    }

    private static FilePayload csv(String text) {
        return file("links.csv", "text/csv", text);
    }

    @Test
    void aMapBeginsFromAFileOnceItsFaultsAreMended() {
        Page page = browser.signedIn();
        String map = page.url().replaceAll(".*/map/([^/?#]+).*", "$1");
        String whole = page.request().get(app.address() + "/api/maps/" + map + "/file").text();
        page.navigate(app.address() + "/maps");
        page.getByLabel("It begins").selectOption("file");
        page.getByLabel("Map file").setInputFiles(json("torn.json", whole.replace("\"early\"", "\"soon\"")));
        button(page, "Begin it").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("torn.json is not read in; nothing was stored.");
        assertThat(page.getByRole(AriaRole.LIST, named("What is wrong with it"))).containsText("Lateness");

        page.getByLabel("Map file").setInputFiles(json("whole.json", whole));
        assertThat(page.getByRole(AriaRole.ALERT)).hasCount(0);
        button(page, "Begin it").click();
        page.waitForURL("**/map/**");
        assertThat(page.locator("[data-situation=mount-low]")).isVisible();
        assertThat(page).not().hasURL(Pattern.compile(map));
    }

    private static FilePayload json(String name, String text) {
        return file(name, "application/json", text);
    }

    private static FilePayload file(String name, String type, String text) {
        return new FilePayload(name, type, text.getBytes(StandardCharsets.UTF_8));
    }
}
