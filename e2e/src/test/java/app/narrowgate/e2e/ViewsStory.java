package app.narrowgate.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.LoadState;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Every view can be used by whoever does not see it, or sees it small. Here each is looked at once, the widths and the rooms
 * in turn; {@code scripts/every-view} looks at each in all of them.
 */
class ViewsStory extends Story {

    static final List<String> VIEWS = List.of("", "/held?held=head", "/flow", "/gates", "/holes", "/stances",
            "/at/mount-low", "/at/side-crossface?beside=matchup+much-heavier", "/at/half-guard/card", "/holds/finishes",
            "/holds/finishes/mount-pin", "/holds/leverage", "/holds/weight", "/holds/weight/mount-low", "/drills?place=mount-low",
            "/drills/sheet?place=mount-low", "/drills/trainer", "/history", "/files", "/start", "/workshop/situations",
            "/workshop/situations?edit=mount-low", "/workshop/techniques?edit=trap-and-bridge",
            "/workshop/reactions?edit=low-trap-bridge", "/workshop/matchups?edit=much-heavier", "/workshop/holds?edit=mount-pin",
            "/workshop/postures?edit=mount-low", "/poster/mount", "/class", "/classes", "/term", "/mat", "/record",
            "/record/rounds", "/record/truth", "/record/standing", "/record/files", "/record/mine");
    /** Those that are no map's. */
    static final List<String> OUTSIDE = List.of("/maps", "/screen", "/gym", "/gym/audit", "/gym/letters", "/yourself", "/people", "/links",
            "/card");
    /** Ninety cards of which one is among the views take half a minute a look. */
    private static final List<String> LONG = List.of("/booklet");

    /** From a phone to a wide desk; the second is a desk at twice its size. */
    private static final List<int[]> SIZES = List.of(new int[] {390, 844}, new int[] {640, 400}, new int[] {820, 1180},
            new int[] {1280, 800}, new int[] {1920, 1080});
    private static final List<ColorScheme> ROOMS = List.of(ColorScheme.LIGHT, ColorScheme.DARK);
    private static final boolean ALL = Boolean.parseBoolean(System.getenv("NARROWGATE_EVERY_VIEW"));

    @Test
    void everyViewIsAccessibleAndNoneIsWiderThanTheScreen() {
        Page page = browser.signedIn();
        String map = page.url().replaceAll("(/map/[^/?#]+).*", "$1");
        List<String> faults = new ArrayList<>();
        int turn = 0;
        for (String view : Stream.of(VIEWS, OUTSIDE, ALL ? LONG : List.<String>of()).flatMap(List::stream).toList()) {
            for (int size = 0; size < SIZES.size(); size++) {
                for (ColorScheme room : ROOMS) {
                    int chosen = turn % SIZES.size();
                    if (ALL || size == chosen && room == ROOMS.get(turn / SIZES.size() % ROOMS.size())) {
                        faults.addAll(faultsOf(page, OUTSIDE.contains(view) ? app.address() + view : map + view, SIZES.get(size), room));
                    }
                }
            }
            turn++;
        }
        assertThat(faults).isEmpty();
    }

    private static List<String> faultsOf(Page page, String address, int[] size, ColorScheme room) {
        page.setViewportSize(size[0], size[1]);
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(room));
        page.navigate(address);
        h1(page).waitFor();
        page.waitForLoadState(LoadState.NETWORKIDLE);
        String where = "%s at %d in the %s: ".formatted(address.replaceAll(".*/map/[^/]+", ""), size[0], room);
        List<String> faults = new ArrayList<>();
        Browser.seriousFaults(page).forEach(fault -> faults.add(where + fault));
        int wide = ((Number) page.evaluate("document.documentElement.scrollWidth")).intValue();
        if (wide > size[0]) {
            faults.add(where + "it is " + wide + " wide");
        }
        return faults;
    }
}
