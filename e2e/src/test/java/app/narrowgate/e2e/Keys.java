package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/** What is done by the keyboard alone, with how many keys it takes. */
final class Keys {

    private static final int MOST_TABS = 250;

    private Keys() {
    }

    /** Goes on from what has the focus to what is called {@code label}, and no more than that. */
    static int tabTo(Page page, String label) {
        return tabTo(page, label, label::equals);
    }

    /** Goes on from what has the focus to what has a name that is meant; the keys that took. */
    @SuppressWarnings("unchecked")
    static int tabTo(Page page, String label, Predicate<String> means) {
        for (int keys = 1; keys < MOST_TABS; keys++) {
            page.keyboard().press("Tab");
            List<String> names = (List<String>) page.evaluate("""
                    () => {
                      const one = document.activeElement;
                      return [one.getAttribute('aria-label'), one.labels?.[0]?.innerText, one.innerText].filter(Boolean);
                    }""");
            if (names.stream().anyMatch(means)) {
                return keys;
            }
        }
        throw new AssertionError("The keys do not lead to “" + label + "”");
    }

    static int type(Page page, String... keys) {
        for (String key : keys) {
            page.keyboard().press(key);
        }
        return keys.length;
    }

    /** From the list of classes to one of 75 minutes in mount for all grown-ups, planned. */
    static int planAClass(Page page) {
        page.getByRole(AriaRole.LINK, Story.exactly("All classes")).click();
        assertThat(page.locator("h1")).hasText("Classes");
        Story.button(page, "Plan another class").focus();
        int keys = type(page, "Enter");
        assertThat(page.locator("h1")).hasText(Pattern.compile("Class: Class, .+"));
        page.getByLabel("What the class is called").focus();
        keys += tabTo(page, "Minutes") + type(page, "7", "5", "Enter");
        assertThat(page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("Kept today"))).isVisible();
        keys += tabTo(page, "About") + type(page, "m", "o", "u", "n", "t", "Enter");
        assertThat(page.getByLabel("What the class is called")).hasValue(Pattern.compile("^Mount, "));
        assertThat(page.getByText("of 100 starts in mount")).isVisible();
        keys += tabTo(page, "All grown-ups") + type(page, "Enter");
        assertThat(page.getByText("of 100 starts in mount, for these 20.")).isVisible();
        return keys;
    }
}
