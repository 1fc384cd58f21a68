package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The browser solves the map by itself, under the finger, and says what the server would. */
class SolverStory extends Story {

    private static final String OVERVIEW = "**/odds/overview*";
    private static final Page.GetByTextOptions WHOLE = new Page.GetByTextOptions().setExact(true);

    private static Locator solved(Page page, String where) {
        return page.locator("[data-solved=" + where + "]");
    }

    /** The number over every gate on the map, by its place. */
    @SuppressWarnings("unchecked")
    private static Map<String, String> numbers(Page page) {
        return (Map<String, String>) page.evaluate("""
                () => Object.fromEntries([...document.querySelectorAll("[data-situation]")]
                  .map(gate => [gate.dataset.situation, gate.querySelector("[data-odds]")?.textContent]))""");
    }

    /** What the server says of every place under the setting in the page's address, as it is shown. */
    @SuppressWarnings("unchecked")
    private static Map<String, String> asTheServerSays(Page page) {
        return (Map<String, String>) page.evaluate("""
                async () => {
                  const setting = new URLSearchParams({ read: "0.25", late: "0.5", ...Object.fromEntries(new URLSearchParams(location.search)) });
                  const map = location.pathname.split("/")[2];
                  const odds = await (await fetch(`/api/maps/${map}/odds/overview?${setting}`)).json();
                  return Object.fromEntries(Object.entries(odds.situations).map(([id, at]) => [id, String(Math.round(at.worth * 100))]));
                }""");
    }

    @Test
    void aSliderIsAnsweredHereAndAsTheServerWouldAnswer() {
        Page page = onACopy("Solved here");
        solved(page, "here").waitFor();
        openSetting(page);
        List<String> asked = new ArrayList<>();
        page.onRequest(request -> {
            if (request.url().contains("/odds")) {
                asked.add(request.url());
            }
        });
        for (String slider : List.of("Partner’s read", "Starts late by")) {
            Locator handle = page.getByRole(AriaRole.SLIDER, named(slider));
            for (int step = 0; step < 3; step++) {
                Map<String, String> before = numbers(page);
                handle.press("ArrowRight");
                page.waitForCondition(() -> !numbers(page).equals(before));
            }
            // The address is written when the hand rests; it may have rested between two steps. What is awaited is asked of the
            // page first: an address that changes while the page is asked something else would be missed.
            String written = (slider.startsWith("Partner") ? "read=" : "late=") + handle.getAttribute("aria-valuenow");
            page.waitForURL(url -> url.matches(".*[?&]" + Pattern.quote(written) + "(&.*)?"));
            assertThat(asked).as("asked of the server").noneMatch(url -> url.contains("/overview"));
            Map<String, String> server = asTheServerSays(page);
            Map<String, String> shown = numbers(page);
            assertThat(shown).isNotEmpty();
            shown.forEach((place, number) -> assertThat(number).as(place).isEqualTo(server.get(place)));
            asked.clear();
        }
    }

    @Test
    void theServerAnswersForPeopleAndWhereTheMapCannotBeHad() {
        Page page = onACopy("Solved there");
        solved(page, "here").waitFor();
        page.context().route("**/carried", route -> route.abort("internetdisconnected"));
        page.reload();
        openSetting(page);
        assertThat(page.locator("[data-situation=mount-low] [data-odds]")).isVisible();
        page.waitForRequest(OVERVIEW, () -> page.getByRole(AriaRole.SLIDER, named("Starts late by")).press("ArrowRight"));
        assertThat(solved(page, "there")).isVisible();
        page.context().unroute("**/carried");
        page.reload();
        solved(page, "here").waitFor();
    }

    /** What is easily taken for one another: the same whoever says it. */
    @Test
    void whatAPlaceIsTakenForIsSaidByTheBrowserAsByTheServer() {
        Page page = onACopy("Taken for");
        go(page, "/at/side-early");
        Locator alike = page.getByRole(AriaRole.REGION, exactly("Easily taken for"));
        String told = alike.innerText();
        assertThat(told).contains("of 100 here");
        page.context().route("**/look-alikes*", route -> route.abort("internetdisconnected"));
        page.reload();
        assertThat(alike).isVisible();
        assertThat(alike.innerText()).isEqualTo(told);
    }

    @Test
    void whatTheyDoIsCalledInAnOrderThatCannotBeGuessed() {
        Page page = onACopy("Called");
        go(page, "/at/side-early");
        page.getByRole(AriaRole.BUTTON, named("Call what they do")).first().click();
        Locator call = page.getByTestId("call");
        Map<String, Integer> called = new TreeMap<>();
        for (int at = 1; at <= 12; at++) {
            assertThat(page.getByText(at + " of 12", WHOLE)).isVisible();
            called.merge(call.innerText(), 1, Integer::sum);
            call.click();
        }
        assertThat(called).hasSize(3);
        assertThat(called.values()).containsOnly(4);
        assertThat(call).hasText("Swap, or stop");
        page.getByRole(AriaRole.BUTTON, named("One back")).click();
        assertThat(page.getByText("12 of 12", WHOLE)).isVisible();
        call.click();
        call.click();
        assertThat(page.getByText("1 of 12", WHOLE)).isVisible();
    }

    @Test
    void whatSomebodyElseChangedIsSaidAndShown() {
        Page page = onACopy("Overtaken");
        solved(page, "here").waitFor();
        Page other = browser.window();
        other.getByLabel("Name").fill("bram");
        other.getByLabel("Password").fill("open-the-gate");
        other.keyboard().press("Enter");
        other.waitForURL("**/map/**");
        // The page has read the map; before it is handed over for solving, somebody changes it.
        page.route("**/carried", route -> {
            other.navigate(page.url().replaceAll("\\?.*", "") + "/workshop/facts");
            listed(other, "They control your head").click();
            other.getByLabel("Name", EXACT).fill("They steer your head");
            save(other);
            assertThat(listed(other, "They steer your head")).isVisible();
            page.unroute("**/carried");
            route.resume();
        });
        page.reload();
        assertThat(page.getByText("Somebody changed this map meanwhile.")).isVisible();
        solved(page, "here").waitFor();
    }
}
