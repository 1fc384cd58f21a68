package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A coach at the mat's edge with a phone in one hand, and a network that comes and goes. */
class RecordStory extends Story {

    private static final int CUTS = 100;

    /** Answers the browser's requests to keep events: a cut before, a cut after, or none; counts the cuts. */
    private static AtomicInteger cut(Page page, long seed) {
        Random random = new Random(seed);
        AtomicInteger cuts = new AtomicInteger();
        page.route(Pattern.compile("/record/events$"), route -> {
            switch (random.nextInt(3)) {
                case 0 -> {
                    cuts.incrementAndGet();
                    route.abort("internetdisconnected");
                }
                case 1 -> {
                    // It arrived and was kept; that it was, nobody hears.
                    route.fetch();
                    cuts.incrementAndGet();
                    route.abort("internetdisconnected");
                }
                default -> route.resume();
            }
        });
        return cuts;
    }

    private static Page phone(Page page) {
        page.setViewportSize(390, 844);
        go(page, "/record");
        assertThat(h1(page)).hasText("Where did it start?");
        return page;
    }

    private static Locator starts(Page page) {
        return page.getByRole(AriaRole.REGION, named("Where it started")).getByRole(AriaRole.BUTTON);
    }

    /** The first of the places that are offered. */
    private static void startHere(Page page) {
        starts(page).nth(1).click();
        assertThat(h1(page)).hasText("How did it end?");
    }

    private static void end(Page page, String how) {
        button(page, how).click();
        assertThat(h1(page)).hasText("Kept");
    }

    /** Rounds of today; the demo gym's are older. */
    private static int logged(Page page) {
        String map = page.url().replaceAll(".*/map/([^/?#]+).*", "$1");
        return ((Number) page.evaluate("""
                async map => (await (await fetch(`/api/maps/${map}/record/events?most=500`)).json())
                    .filter(round => round.kind === 'round' && Date.parse(round.at) > Date.now() - 24 * 3600 * 1000).length""", map)).intValue();
    }

    /** The phone of somebody who may run a class and log, and no more. */
    private static Page assistants() {
        Page page = browser.window();
        Browser.signIn(page, "ines", "open-the-gate");
        page.waitForURL("**/map/**");
        return phone(page);
    }

    private static void next(Page page) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Log "))).click();
        assertThat(h1(page)).hasText("How did it end?");
    }

    @Test
    void aRoundIsLoggedInThreeTapsAndTheNextPairIsOneTapAway() {
        Page page = assistants();
        Locator who = page.getByText(" on the bottom").first();
        String first = who.textContent();
        button(page, "Swap").click();
        assertThat(who).not().hasText(first);
        int before = logged(page);
        startHere(page);
        end(page, "Guard legs round them");
        Locator kept = page.getByRole(AriaRole.REGION, named("Kept"));
        assertThat(kept.getByRole(AriaRole.STATUS)).containsText("to guard. Kept.");
        assertThat(kept).containsText("of 100 from mount");
        assertThat(kept).containsText("the map says");
        assertThat(logged(page)).isEqualTo(before + 1);
        assertThat(Browser.seriousFaults(page)).isEmpty();
        // The third tap is the next pair's first: the same start, so that only the end is asked.
        next(page);
        end(page, "Tap you tapped");
        assertThat(kept).containsText("of 100 from mount");
        assertThat(logged(page)).isEqualTo(before + 2);
        button(page, "Undo").click();
        assertThat(kept.getByRole(AriaRole.STATUS)).containsText("Taken out again.");
        go(page, "/record/rounds");
        assertThat(h1(page)).hasText("What was logged");
        assertThat(logged(page)).isEqualTo(before + 1);
        assertThat(page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("to guard.")).first()).isVisible();
        page.getByRole(AriaRole.BUTTON, named("Take out")).first().click();
        page.waitForCondition(() -> logged(page) == before);
    }

    @Test
    void whatGotGoingMayBeNotedAndNeedNotBe() {
        Page page = phone(browser.signedIn());
        startHere(page);
        button(page, "which side, what got going").click();
        page.getByLabel("left", EXACT).check();
        Locator last = page.getByRole(AriaRole.COMBOBOX, named("What got going last"));
        last.fill("Nothing");
        page.getByRole(AriaRole.OPTION, named("Nothing got going")).click();
        end(page, "Tap you tapped");
        go(page, "/record/rounds");
        // The newest stands first.
        assertThat(page.getByRole(AriaRole.MAIN).getByRole(AriaRole.LISTITEM).first()).containsText("tapped, nothing got going, left side.");
    }

    @Test
    void aHundredCutsOfTheNetworkLoseNothingAndDoubleNothing() {
        Page page = phone(browser.signedIn());
        int before = logged(page);
        AtomicInteger cuts = cut(page, 7);
        startHere(page);
        int rounds = 0;
        while (cuts.get() < CUTS) {
            end(page, rounds % 3 == 0 ? "Tap you tapped" : "Guard legs round them");
            rounds++;
            // The connection comes and goes faster than rounds do.
            for (int flicker = 0; flicker < 3; flicker++) {
                page.evaluate("dispatchEvent(new Event('online'))");
            }
            if (rounds % 15 == 0) {
                // What waits survives a page that is opened anew.
                page.reload();
                assertThat(h1(page)).hasText("Where did it start?");
                startHere(page);
            } else {
                next(page);
            }
        }
        page.unroute(Pattern.compile("/record/events$"));
        page.reload();
        page.evaluate("dispatchEvent(new Event('online'))");
        page.waitForFunction("() => !Object.keys(localStorage).some(key => key.endsWith(':queue'))");
        assertThat(logged(page)).isEqualTo(before + rounds);
        assertThat(page.getByText("on this device")).hasCount(0);
    }

    @Test
    void withoutANetworkItSaysWhatWaitsAndSendsItByItself() {
        Page page = phone(browser.signedIn());
        int before = logged(page);
        page.context().setOffline(true);
        startHere(page);
        end(page, "Standing both up");
        assertThat(page.getByText("Kept on this device.")).isVisible();
        assertThat(page.getByText("1 round waits on this device.")).isVisible();
        next(page);
        end(page, "Still held at the bell");
        assertThat(page.getByText("2 rounds wait on this device.")).isVisible();
        page.context().setOffline(false);
        assertThat(page.getByText("on this device")).hasCount(0);
        page.waitForCondition(() -> logged(page) == before + 2);
    }

    private static void choose(Page page, String name, String text) {
        page.getByLabel("File").setInputFiles(new FilePayload(name, "text/csv", text.getBytes(StandardCharsets.UTF_8)));
    }

    /** All that count. */
    private static int rounds(Page page) {
        String map = page.url().replaceAll(".*/map/([^/?#]+).*", "$1");
        return ((Number) page.evaluate("""
                async map => (await (await fetch(`/api/maps/${map}/record/table`)).text()).split('\\n')
                    .filter(row => row.startsWith('round,')).length""", map)).intValue();
    }

    @Test
    void aTermKeptByHandIsReadInTakenBackAndCountsAgain() {
        Page page = browser.signedIn();
        go(page, "/record/files");
        String files = page.url();
        int before = rounds(page);
        LocalDate lately = LocalDate.now(ZoneOffset.UTC).minusDays(2);
        String term = """
                kind;at;person;partner;start;ending
                round;%1$s;Nova Reed;Joss Tillender;Low, arms round your head;guard
                round;%1$s;Joss Tillender;Nova Reed;Low, arms round your head;tap
                attendance;%1$s;Nova Reed;;;
                """.formatted(lately);
        choose(page, "term.csv", term.replace(lately.toString(), lately.getDayOfMonth() + ".9."));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("term.csv is not read in; nothing was stored.");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Line 2, column at: “%d.9.” is no time".formatted(lately.getDayOfMonth()));
        choose(page, "term.csv", term);
        Locator adds = page.getByRole(AriaRole.REGION, named("What it would add"));
        assertThat(adds).containsText("It would add 2 rounds and 1 attendance");
        assertThat(adds).containsText("One name is not on the roster");
        assertThat(adds).containsText("Nova Reed (3).");
        assertThat(Browser.seriousFaults(page)).isEmpty();
        assertThat(adds.getByRole(AriaRole.RADIO).first()).isChecked();
        button(page, "Read it in").click();
        assertThat(page.getByText("term.csv is read in: 3 events that were not in the record before.")).isVisible();
        assertThat(rounds(page)).isEqualTo(before + 2);
        button(page, "Take back: term.csv").click();
        assertThat(page.getByText("taken back; it does not count.")).isVisible();
        assertThat(rounds(page)).isEqualTo(before);
        page.reload();
        button(page, "Let it count again: term.csv").click();
        assertThat(button(page, "Take back: term.csv")).isVisible();
        assertThat(rounds(page)).isEqualTo(before + 2);
        choose(page, "the same.csv", term);
        assertThat(page.getByText("It holds nothing that would be added.")).isVisible();
        assertThat(page.getByText("3 events are in the record already.")).isVisible();

        // Whoever is erased leaves the round to the gym, and no name.
        page.navigate(app.address() + "/people");
        page.getByRole(AriaRole.LINK, exactly("Nova Reed")).click();
        button(page, "Take Nova Reed off the roster …").click();
        assertThat(page.getByText("Rounds in which they were below still count for the gym, without a name.")).isVisible();
        button(page, "Take them off").click();
        assertThat(h1(page)).hasText("People");
        page.navigate(files);
        assertThat(h1(page)).hasText("In and out");
        assertThat(rounds(page)).isEqualTo(before + 2);
        go(page, "/record/rounds");
        assertThat(page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("Somebody below, mount: low")).first()).isVisible();
        assertThat(page.getByText("Nova")).hasCount(0);
        String map = page.url().replaceAll(".*/map/([^/?#]+).*", "$1");
        assertThat((String) page.evaluate("async map => await (await fetch(`/api/maps/${map}/record/lines`)).text()", map)).contains("Joss Tillender")
                .doesNotContain("Nova");
    }

    @Test
    void twoPhonesThatLogTheSamePairAreToldOfEachOther() {
        Page one = phone(browser.signedIn());
        startHere(one);
        end(one, "Half guard one leg caught");
        assertThat(one.getByRole(AriaRole.REGION, named("Kept"))).containsText("of 100 from");
        int before = logged(one);
        Page other = assistants();
        startHere(other);
        end(other, "Half guard one leg caught");
        assertThat(other.getByText("These two were logged from here")).isVisible();
        button(other, "take this one out").click();
        assertThat(other.getByText("Taken out again.")).isVisible();
        other.waitForCondition(() -> logged(other) == before);
    }
}
