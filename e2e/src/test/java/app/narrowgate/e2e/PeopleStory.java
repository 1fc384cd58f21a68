package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The roster, and everything reckoned for two of it. */
class PeopleStory extends Story {

    private static Page roster() {
        Page page = browser.signedIn();
        page.getByRole(AriaRole.LINK, exactly("People")).click();
        assertThat(h1(page)).hasText("People");
        return page;
    }

    private static Locator row(Page page, String name) {
        return page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText(name));
    }

    private static Locator alert(Page page) {
        return page.getByRole(AriaRole.ALERT);
    }

    @Test
    void aLineAPersonIsFastEnough() {
        Page page = roster();
        page.getByLabel("A line each: the name, then what is known").fill("Thorn Alder, 81 kg, 5'11, beginner\nYarrow Peel, 58 stone\n");
        button(page, "Look at them").click();
        assertThat(alert(page)).containsText("Line 2:");
        assertThat(button(page, "Add one person")).isDisabled();
        page.reload();
        assertThat(page.getByLabel("A line each: the name, then what is known")).hasValue(Pattern.compile("Yarrow Peel, 58 stone"));
        page.getByLabel("A line each: the name, then what is known")
                .fill("Thorn Alder, 81 kg, 5'11, beginner\nYarrow Peel, 58 kg\nWren Askeby, 62 kg");
        button(page, "Look at them").click();
        assertThat(page.getByText("on the roster already, left out")).hasCount(1);
        button(page, "Add 2 people").click();
        assertThat(row(page, "Thorn Alder")).containsText("180.3");
        assertThat(page.getByLabel("A line each: the name, then what is known")).hasValue("");
        page.getByLabel("Find somebody").fill("yarr");
        assertThat(page.getByRole(AriaRole.ROW)).hasCount(2);
        assertThat(Browser.seriousFaults(page)).isEmpty();
    }

    @Test
    void aTableIsLookedAtBeforeItIsTaken() {
        Page page = roster();
        page.getByLabel("A table of people").setInputFiles(new FilePayload("roster.csv", "text/csv",
                "name;weight-kg\nSorrel Wade;heavy\n".getBytes(StandardCharsets.UTF_8)));
        assertThat(alert(page)).containsText("not a number");
        page.getByLabel("A table of people").setInputFiles(new FilePayload("roster.csv", "text/csv",
                "name;weight-kg\nSorrel Wade;66,5\n".getBytes(StandardCharsets.UTF_8)));
        button(page, "Add one person").click();
        assertThat(row(page, "Sorrel Wade")).containsText("66.5");
        Download table = page.waitForDownload(() -> page.getByText("Take the roster out").click());
        assertThat(table.suggestedFilename()).isEqualTo("roster.csv");
    }

    @Test
    void whatHurtsIsShownWhenAskedForAndKeptFromAssistants() {
        Page page = roster();
        page.getByRole(AriaRole.LINK, exactly("Heath Sallow")).click();
        button(page, "Show what hurts").click();
        assertThat(page.getByText("Nothing is written down.")).isVisible();
        button(page, "Write something down").click();
        page.getByRole(AriaRole.COMBOBOX, exactly("What")).selectOption("shoulder");
        page.getByLabel("From").fill("2026-03-05");
        page.getByLabel("Until, if known").fill("2026-03-01");
        page.getByLabel("What to avoid").fill("no posting on the hand");
        button(page, "Save what hurts").click();
        assertThat(alert(page)).containsText("before it begins");
        page.getByLabel("Until, if known").fill("");
        button(page, "Save what hurts").click();
        assertThat(page.getByText("no posting on the hand")).isVisible();
        assertThat(Browser.seriousFaults(page)).isEmpty();
        page.navigate(app.address() + "/gym/audit");
        assertThat(page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("wrote down what hurts Heath Sallow")))
                .hasCount(1);

        Page assistant = browser.window();
        Browser.signIn(assistant, "ines", "open-the-gate");
        assistant.waitForURL("**/map/**");
        assistant.navigate(app.address() + "/people");
        assistant.getByRole(AriaRole.LINK, exactly("Heath Sallow")).click();
        assertThat(h1(assistant)).hasText("Heath Sallow");
        assertThat(assistant.getByText("What hurts")).hasCount(0);
        assertThat(button(assistant, "Save")).hasCount(0);
    }

    @Test
    void somebodyIsChangedAndTakenOffTheRoster() {
        Page page = roster();
        page.getByRole(AriaRole.LINK, exactly("Garrick Umber")).click();
        page.getByLabel("Weight, kg").fill("eighty");
        button(page, "Save").click();
        assertThat(alert(page)).containsText("not a number");
        page.getByLabel("Weight, kg").fill("300");
        button(page, "Save").click();
        assertThat(alert(page)).containsText("between 10 and 250");
        page.getByLabel("Weight, kg").fill("82,5");
        button(page, "Save").click();
        assertThat(page.getByText("82.5 kg")).isVisible();
        button(page, "Take Garrick Umber off the roster …").click();
        button(page, "Take them off").click();
        assertThat(h1(page)).hasText("People");
        assertThat(row(page, "Garrick Umber")).hasCount(0);
    }

    /** The whole application is reckoned for two of the roster, page by page, until one says otherwise. */
    @Test
    void everythingIsReckonedForTwoPeople() {
        Page page = browser.signedIn();
        go(page, "/at/mount-low");
        String alone = page.getByTestId("odds").textContent();
        openSetting(page);
        pick(page, "Below, from the roster", "Juno");
        assertThat(page.getByText("Choose the other one as well")).isVisible();
        pick(page, "On top, from the roster", "Ivo");
        assertThat(page.getByText("Juno Withers under Ivo Pendlewick, 60 kg heavier and 33 cm taller")).isVisible();
        assertThat(page.getByTestId("odds")).not().hasText(alone);
        String under = page.getByTestId("odds").textContent();
        assertThat(Integer.parseInt(under)).isLessThan(Integer.parseInt(alone));
        page.getByRole(AriaRole.LINK, named("Map").setExact(true)).click();
        assertThat(page.getByText("Juno Withers under Ivo Pendlewick")).isVisible();
        String there = page.url();
        // What is written on the roster meanwhile is reckoned with at once.
        page.getByRole(AriaRole.LINK, exactly("People")).click();
        page.getByRole(AriaRole.LINK, exactly("Ivo Pendlewick")).click();
        page.getByLabel("Weight, kg").fill("110");
        button(page, "Save").click();
        assertThat(page.getByText("110 kg")).isVisible();
        page.goBack();
        page.goBack();
        assertThat(page).hasURL(there);
        assertThat(page.getByText("Juno Withers under Ivo Pendlewick, 58 kg heavier and 33 cm taller")).isVisible();
        button(page, "Change places").click();
        assertThat(page.getByText("Ivo Pendlewick under Juno Withers, 58 kg lighter and 33 cm shorter")).isVisible();
        Locator below = page.getByRole(AriaRole.COMBOBOX, exactly("Below, from the roster"));
        below.fill("Pip");
        assertThat(page.getByRole(AriaRole.LISTBOX, exactly("Below, from the roster")).getByRole(AriaRole.OPTION)).hasCount(0);
        page.keyboard().press("Escape");
        button(page, "Nobody in particular").click();
        assertThat(page.getByText("Even pair").first()).isVisible();
        assertThat(page.getByText("under Juno Withers")).hasCount(0);
    }

    /** A link that names somebody who has gone from the roster leaves a way on. */
    @Test
    void whoIsGoneFromTheRosterIsNoDeadEnd() {
        Page page = browser.signedIn();
        String nobody = "00000000-0000-0000-0000-000000000001";
        go(page, "/at/mount-low?you=%s&they=%s".formatted(nobody, nobody));
        assertThat(alert(page)).containsText("Nobody on the roster");
        page.getByRole(AriaRole.LINK, named("Reckon it for nobody in particular")).click();
        assertThat(page.getByTestId("odds")).isVisible();
    }

    @Test
    void onAPhoneTheRosterIsInTheMenu() {
        Page page = browser.window(390, 844, ColorScheme.DARK);
        Browser.signIn(page, "ines", "open-the-gate");
        page.waitForURL("**/map/**");
        button(page, "More").click();
        page.getByRole(AriaRole.MENUITEM, exactly("People")).click();
        assertThat(h1(page)).hasText("People");
        assertThat(((Number) page.evaluate("document.documentElement.scrollWidth")).intValue()).isLessThanOrEqualTo(390);
        assertThat(Browser.seriousFaults(page)).isEmpty();
    }
}
