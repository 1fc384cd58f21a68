package app.narrowgate.e2e;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Debian's Chromium, and what an instructor does with it. */
final class Browser implements AutoCloseable {

    /** How long a story waits for anything, in milliseconds: a machine that builds beside it is slow, not wrong. */
    private static final double PATIENCE = 60_000;

    private final Playwright playwright;
    private final com.microsoft.playwright.Browser chromium;
    private final String address;
    private final ServiceWorkerPolicy installs;
    private final List<String> complaints = new ArrayList<>();
    private final List<Page> windows = new ArrayList<>();
    /** Cookies of the first instructor, signed in once: the stories that are about signing in use {@link #window}. */
    private String signedIn;

    /** One that puts nothing on its device: what it asks can be looked at and held up by a story. */
    Browser(String address) {
        this(address, ServiceWorkerPolicy.BLOCK);
    }

    /** One on whose device the client is put, as on everybody's. */
    static Browser installing(String address) {
        return new Browser(address, ServiceWorkerPolicy.ALLOW);
    }

    private Browser(String address, ServiceWorkerPolicy installs) {
        this.address = address;
        this.installs = installs;
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        chromium = playwright.chromium().launch(new BrowserType.LaunchOptions()
                .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                .setArgs(List.of("--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run",
                        "--disable-background-networking", "--disable-component-update", "--disable-sync")));
    }

    /** A fresh window that nobody has signed in with. */
    Page window() {
        return window(1280, 800, ColorScheme.LIGHT);
    }

    Page window(int width, int height, ColorScheme scheme) {
        return window(width, height, scheme, null);
    }

    private Page window(int width, int height, ColorScheme scheme, String state) {
        BrowserContext context = chromium.newContext(new com.microsoft.playwright.Browser.NewContextOptions()
                .setViewportSize(width, height).setColorScheme(scheme).setStorageState(state).setServiceWorkers(installs));
        // A real print dialog would wait for a person.
        context.addInitScript("window.printed = 0; window.print = () => { window.printed++; }");
        Page page = context.newPage();
        page.setDefaultTimeout(PATIENCE);
        windows.add(page);
        page.onPageError(complaints::add);
        page.onConsoleMessage(message -> {
            // A refused request is logged by the browser itself; the stories look at what the page makes of it.
            if (message.type().equals("error") && !message.text().contains("Failed to load resource")) {
                complaints.add(message.text());
            }
        });
        page.navigate(address);
        return page;
    }

    /** A window with the demo gym's first instructor signed in, showing the map. */
    Page signedIn() {
        return signedIn(1280, 800, ColorScheme.LIGHT);
    }

    Page signedIn(int width, int height, ColorScheme scheme) {
        if (signedIn == null) {
            Page page = window(width, height, scheme);
            signIn(page, "open-the-gate");
            page.waitForURL("**/map/**");
            signedIn = page.context().storageState();
            return page;
        }
        Page page = window(width, height, scheme, signedIn);
        page.waitForURL("**/map/**");
        return page;
    }

    /** The same on a session of its own, which the story may end. */
    Page freshlySignedIn() {
        Page page = window();
        signIn(page, "open-the-gate");
        page.waitForURL("**/map/**");
        return page;
    }

    static void signIn(Page page, String password) {
        signIn(page, "tamsin", password);
    }

    static void signIn(Page page, String name, String password) {
        page.getByLabel("Name").fill(name);
        page.getByLabel("Password").fill(password);
        page.keyboard().press("Enter");
    }

    static void open(Page page, String situation) {
        page.getByRole(AriaRole.MAIN).getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(situation))
                .first().click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(situation).setLevel(1)).waitFor();
    }

    /** Presses Tab until something of that name has the focus, as somebody without a mouse would. */
    static void tabTo(Page page, String name) {
        Keys.tabTo(page, name, focused -> focused.contains(name));
    }

    private static String axe() {
        try {
            return Files.readString(Path.of(System.getProperty("narrowgate.axe"))) + "; undefined";
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What axe finds serious or critical on the page. */
    @SuppressWarnings("unchecked")
    static List<String> seriousFaults(Page page) {
        // Not as a script tag: the content policy lets in nothing that did not ship with the page.
        page.evaluate(axe());
        Map<String, Object> result = (Map<String, Object>) page.evaluate("axe.run({ resultTypes: ['violations'] })");
        return ((List<Map<String, Object>>) result.get("violations")).stream()
                .filter(v -> List.of("serious", "critical").contains(String.valueOf(v.get("impact"))))
                .map(v -> v.get("id") + ": " + v.get("help") + " " + v.get("nodes"))
                .toList();
    }

    /** What the browser complained about since the last time. */
    List<String> takeComplaints() {
        List<String> taken = List.copyOf(complaints);
        complaints.clear();
        return taken;
    }

    /** What every window shows, as a picture and as text, for whoever has to find out why a story failed. */
    void lastLook(String story) {
        for (Page page : windows) {
            Path picture = Path.of("target", "failed", story + "-" + windows.indexOf(page) + ".png");
            page.screenshot(new Page.ScreenshotOptions().setPath(picture).setFullPage(true));
            System.err.printf("%s failed at %s%n%s%n", story, page.url(), page.locator("body").innerText());
        }
    }

    /** Leaves nothing open that would ask the server for more. */
    void closeWindows() {
        windows.forEach(page -> page.context().close());
        windows.clear();
    }

    @Override
    public void close() {
        playwright.close();
    }
}
