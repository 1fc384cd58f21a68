package app.narrowgate.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/**
 * Measures what an instructor waits for, in the browser, on the demo's map and on a made-up one with 2,000 situations
 * and 20,000 responses. Run by {@code scripts/bench-views}; no test.
 */
final class BulkMeasurement {

    private static final int SITUATIONS = 2000;
    private static final String[] STAGES = {"early", "joined", "settled", "last-chance"};
    private static final String[] WORDS = {"rarely", "sometimes", "often", "usually"};

    private BulkMeasurement() {
    }

    public static void main(String[] arguments) {
        try (RunningApp app = RunningApp.start(); Browser browser = new Browser(app.address())) {
            Page page = browser.signedIn();
            page.locator("[data-situation=mount-low]").waitFor();
            page.waitForTimeout(3000);
            dragged(page, "demo map, server just started", "Partner’s read", 10, 0);
            page.waitForTimeout(3000);
            dragged(page, "demo map", "Starts late by", 40, 0);
            took("demo map: booklet of all of it", () -> {
                page.navigate(app.address() + mapOf(page) + "/booklet");
                page.getByText("Choke closing").last().waitFor();
            });
            nudged(page, app.address());
            loaded(browser);
            if (List.of(arguments).contains("demo")) {
                return;
            }
            page.navigate(app.address() + "/maps");
            page.getByLabel("It begins").selectOption("file");
            page.getByLabel("Map file").setInputFiles(
                    new FilePayload("bulk.json", "application/json", map().getBytes(StandardCharsets.UTF_8)));
            took("bulk map: read in from a file and shown", () -> {
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Begin it")).click();
                page.locator("[data-situation=s0]").waitFor(new Locator.WaitForOptions()
                        .setTimeout(120_000));
            });
            bulk(page);
        }
    }

    private static void bulk(Page page) {
        // What is dear to compute beside the map, the gates and the holes, comes in meanwhile.
        page.waitForTimeout(15_000);
        took("bulk map: opened again", () -> {
            page.reload();
            page.locator("[data-situation=s0]").waitFor();
        });
        page.waitForTimeout(5_000);
        dragged(page, "bulk map", "Starts late by", 5, 25_000);
        String map = page.url().replaceAll("\\?.*", "");
        page.waitForTimeout(15_000);
        took("bulk map: found among everything by typing", () -> {
            page.keyboard().press("Control+k");
            page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("What if they …")).fill("answer 3 to 1999");
            page.getByText("They answer 3 to 1999").first().waitFor();
        });
        took("bulk map: situation opened", () -> {
            page.keyboard().press("Enter");
            page.getByTestId("odds").waitFor();
        });
        page.waitForTimeout(3_000);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Add what they do about")).first().click();
        page.getByLabel("What they do", new Page.GetByLabelOptions().setExact(true)).fill("They try something new");
        took("bulk map: odds shown as one types", () -> page.getByRole(AriaRole.STATUS,
                new Page.GetByRoleOptions().setName("The odds as they would be")).waitFor());
        took("bulk map: saved", () -> {
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Save").setExact(true)).click();
            page.getByText("try something new").waitFor();
        });
        took("bulk map: workshop opened", () -> {
            page.navigate(map + "/workshop/reactions");
            page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Reactions and responses")).getByRole(AriaRole.LINK).first().waitFor();
        });
        took("bulk map: holes listed", () -> {
            page.navigate(map + "/holes");
            page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Holes").setExact(true))
                    .waitFor(new Locator.WaitForOptions().setTimeout(120_000));
        });
    }

    /**
     * One step of a slider to a value that was not asked for before, from the key to the painted number.
     *
     * @param pause milliseconds between steps; from a quarter of a second on, gates and holes are computed in it as
     *     well
     */
    private static void dragged(Page page, String map, String slider, int times, int pause) {
        Locator setting = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("change the setting"));
        if (setting.isVisible()) {
            setting.click();
        }
        page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName(slider)).focus();
        // All steps in one call: what drives the browser would take its share of the two cores between them.
        List<?> taken = (List<?>) page.evaluate("""
                async ([times, pause]) => {
                  const step = () => new Promise(done => {
                    const begun = performance.now();
                    // The first number on the map that changes; its frame is painted next.
                    new MutationObserver((changes, observer) => {
                      if (!changes.some(c => (c.target.parentElement ?? c.target).closest("[data-odds]"))) return;
                      observer.disconnect();
                      requestAnimationFrame(() => {
                        // Delivered once the frame has been painted.
                        const painted = new MessageChannel();
                        painted.port1.onmessage = () => done(performance.now() - begun);
                        painted.port2.postMessage(0);
                      });
                    }).observe(document.querySelector("main"), { subtree: true, childList: true, characterData: true });
                    document.activeElement.dispatchEvent(new KeyboardEvent("keydown",
                      { key: "ArrowRight", bubbles: true, cancelable: true }));
                  });
                  const taken = [];
                  for (let i = 0; i < times; i++) {
                    taken.push(await step());
                    await new Promise(done => setTimeout(done, pause));
                  }
                  return taken;
                }""", List.of(times, pause));
        double[] milliseconds = taken.stream().mapToDouble(ms -> ((Number) ms).doubleValue()).toArray();
        Arrays.sort(milliseconds);
        tell(map + ": slider moved a step, solved and painted, median of " + times, milliseconds[times / 2]);
        tell(map + ": the same, nine of ten within", milliseconds[(int) Math.ceil(0.9 * times) - 1]);
    }

    private static String mapOf(Page page) {
        return page.url().replaceAll(".*(/map/[^/?]+).*", "$1");
    }

    /** A hand of a posture that is moved by a key, from the key to the painted picture. */
    private static void nudged(Page page, String address) {
        page.navigate(address + mapOf(page) + "/workshop/postures?edit=mount-high");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("their left hand").setExact(true)).focus();
        List<?> taken = (List<?>) page.evaluate("""
                async times => {
                  const step = key => new Promise(done => {
                    const begun = performance.now();
                    new MutationObserver((changes, observer) => {
                      observer.disconnect();
                      requestAnimationFrame(() => {
                        const channel = new MessageChannel();
                        channel.port1.onmessage = () => done(performance.now() - begun);
                        channel.port2.postMessage(0);
                      });
                    }).observe(document.querySelector("[aria-label='The posture'] svg"),
                      { subtree: true, childList: true, attributes: true, attributeFilter: ["d"] });
                    document.activeElement.dispatchEvent(new KeyboardEvent("keydown", { key, bubbles: true, cancelable: true }));
                  });
                  const taken = [];
                  for (let i = 0; i < times; i++) taken.push(await step(i % 40 < 20 ? "ArrowLeft" : "ArrowUp"));
                  return taken.slice(times / 2);
                }""", 120);
        tellAll("demo map: hand of a posture moved, solved and painted", taken);
    }

    /** What comes over the wire before the map stands, and when the largest part of it is painted, in a fresh window. */
    private static void loaded(Browser browser) {
        Page page = browser.signedIn();
        page.locator("[data-situation=mount-low]").waitFor();
        page.waitForTimeout(1500);
        List<?> told = (List<?>) page.evaluate("""
                () => new Promise(done => {
                  const scripts = performance.getEntriesByType("resource").filter(r => r.name.endsWith(".js"))
                    .filter(r => r.startTime < 1900).reduce((sum, r) => sum + r.encodedBodySize, 0);
                  new PerformanceObserver(list => done([scripts, list.getEntries().at(-1).startTime]))
                    .observe({ type: "largest-contentful-paint", buffered: true });
                })""");
        System.out.printf(Locale.ROOT, "%-60s %7.0f kB%n", "demo map: script before it stands, compressed",
                ((Number) told.get(0)).doubleValue() / 1000);
        tell("demo map: largest paint", ((Number) told.get(1)).doubleValue());
    }

    private static void tellAll(String what, List<?> taken) {
        double[] milliseconds = taken.stream().mapToDouble(ms -> ((Number) ms).doubleValue()).sorted().toArray();
        tell(what + ", median of " + milliseconds.length, milliseconds[milliseconds.length / 2]);
        tell("the same, 95 of 100 within", milliseconds[(int) Math.ceil(0.95 * milliseconds.length) - 1]);
    }

    private static void took(String what, Runnable action) {
        long begun = System.nanoTime();
        action.run();
        tell(what, (System.nanoTime() - begun) / 1e6);
    }

    private static void tell(String what, double milliseconds) {
        System.out.printf(Locale.ROOT, "%-60s %7.0f ms%n", what, milliseconds);
    }

    /** 2,000 situations in 12 families, each with two reactions of five responses that land nearby or end. */
    private static String map() {
        Random random = new Random(1);
        StringBuilder families = new StringBuilder();
        for (int f = 0; f < 12; f++) {
            families.append(f > 0 ? "," : "").append("{\"id\":\"f%d\",\"title\":\"Family %d\"}".formatted(f, f + 1));
        }
        StringBuilder situations = new StringBuilder();
        StringBuilder reactions = new StringBuilder();
        for (int s = 0; s < SITUATIONS; s++) {
            situations.append(s > 0 ? "," : "").append("""
                    {"id":"s%d","title":"Situation %d","family":"f%d","stage":"%s","entry":%d,
                     "clock":{"seconds":5,"becomes":"%s"}}""".formatted(s, s + 1, s * 12 / SITUATIONS, STAGES[s % 4],
                    s % 10 == 0 ? 1 : 0, s + 1 < SITUATIONS ? "s" + (s + 1) : "tap"));
            for (int r = 0; r < 2; r++) {
                reactions.append(s + r > 0 ? "," : "").append("""
                        {"id":"s%d-%d","from":"s%d","technique":"t%d","seconds":1.5,"works":"%s","responses":[%s]}"""
                        .formatted(s, r, s, random.nextInt(200), WORDS[random.nextInt(4)], responses(random, s)));
            }
        }
        StringBuilder techniques = new StringBuilder();
        for (int t = 0; t < 200; t++) {
            techniques.append(t > 0 ? "," : "").append("{\"id\":\"t%d\",\"title\":\"Technique %d\"}".formatted(t, t + 1));
        }
        return """
                {"format":"narrowgate-map/1","title":"Bulk","families":[%s],"techniques":[%s],"situations":[%s],
                 "outcomes":[{"id":"top","title":"Top","kind":"reversal"},{"id":"guard","title":"Guard","kind":"guard"},
                  {"id":"tap","title":"Tap","kind":"tap"}],"reactions":[%s],
                 "aims":[{"id":"out","title":"Guard or better","worth":{"reversal":1,"guard":1}}]}"""
                .formatted(families, techniques, situations, reactions);
    }

    private static String responses(Random random, int s) {
        StringBuilder responses = new StringBuilder();
        for (int i = 0; i < 5; i++) {
            String leads = random.nextInt(7) == 0 ? new String[] {"top", "guard", "tap"}[random.nextInt(3)]
                    : "s" + Math.max(0, Math.min(SITUATIONS - 1, s + random.nextInt(41) - 20));
            responses.append(i > 0 ? "," : "").append("""
                    {"id":"r%d","cue":"They answer %d to %d","often":"%s","leads":"%s"}"""
                    .formatted(i, i + 1, s + 1, WORDS[random.nextInt(4)], leads));
        }
        return responses.toString();
    }
}
