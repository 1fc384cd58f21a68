package app.narrowgate.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/**
 * An instructor makes the map their own, part by part. Every story works on a copy of its own, so that they do not
 * meet.
 */
class WorkshopStory extends Story {

    @Test
    void aReactionIsAddedInPlaceWithANewTechniqueAndTheOddsMoveAsOneTypes() {
        Page page = onACopy("Adding");
        go(page, "/at/mount-high");
        button(page, "Add what you do").click();
        pick(page, "What you do", "Shoulder walk out");
        Locator then = page.getByRole(AriaRole.STATUS, named("The odds as they would be"));
        assertThat(then).containsText("Here");
        page.getByLabel("How often it gets going").selectOption("usually");
        button(page, "Save").click();
        Locator made = page.getByRole(AriaRole.REGION, exactly("Shoulder walk out"));
        made.getByRole(AriaRole.BUTTON, within("Shoulder walk out").setExact(false)).click();
        assertThat(made).containsText("What do they do about it? Nobody has said yet.");

        made.getByRole(AriaRole.BUTTON, within("Add what they do")).click();
        page.getByLabel("What they do", EXACT).fill("They sit back");
        String before = page.getByTestId("odds").textContent();
        pick(page, "It leads to", "half guard");
        assertThat(then).containsText("was " + before);
        assertThat(page.getByTestId("odds")).hasText(before);
        button(page, "Save").click();
        assertThat(page.getByTestId("odds")).not().hasText(before);
    }

    @Test
    void aResponseIsMovedToAnotherReactionOnceNothingIsLeftUnsaved() {
        Page page = onACopy("Moving");
        go(page, "/at/mount-low");
        Locator trap = page.getByRole(AriaRole.REGION, exactly("Trap an arm and a foot, bridge over that shoulder"));
        Locator pull = trap.getByText("pull the arm out");
        pull.waitFor();
        String before = page.getByTestId("odds").textContent();
        trap.getByRole(AriaRole.BUTTON, within("Edit: they pull the arm out")).click();
        page.getByLabel("What they do", EXACT).fill("They pull the arm free");
        pick(page, "Move it to another reaction", "own knee pushes the seat");
        assertThat(page.getByRole(AriaRole.ALERT)).hasText("Save or cancel what you changed first; then move it.");
        button(page, "Cancel").click();
        trap.getByRole(AriaRole.BUTTON, within("Edit: they pull the arm out")).click();
        pick(page, "Move it to another reaction", "own knee pushes the seat");
        assertThat(pull).hasCount(0);
        assertThat(page.getByTestId("odds")).not().hasText(before);
        go(page, "/at/knee-ride");
        button(page, "Open all answers").click();
        assertThat(page.getByText("pull the arm out")).isVisible();
        undo(page);
        assertThat(page.getByText("pull the arm out")).hasCount(0);
    }

    @Test
    void partsAreMadeChangedDuplicatedAndTakenOutWithWhatHangsPointedElsewhere() {
        Page page = onACopy("Parts");
        go(page, "/workshop/situations");
        button(page, "New situation").click();
        button(page, "Save").click();
        assertThat(page.getByText("Give it a name.")).isVisible();
        page.getByLabel("Name", EXACT).fill("Crab ride");
        pick(page, "Family", "turtle");
        page.getByLabel("they move on").check();
        pick(page, "They move on to", "seat belt joined");
        page.getByLabel("after seconds, on average").fill("-3");
        button(page, "Save").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("-3");
        page.getByLabel("after seconds, on average").fill("5");
        save(page);
        button(page, "Make a copy").click();
        save(page);
        assertThat(listed(page, "Crab ride, copy")).isVisible();

        page.getByLabel("Find", EXACT).fill("knee heavy");
        listed(page, "Foot caught, knee heavy").click();
        button(page, "Take this situation out").click();
        Locator removal = page.getByRole(AriaRole.GROUP, exactly("Take this situation out"));
        assertThat(removal).containsText("a response of theirs leads there");
        pick(page, "Point them instead to", "foot caught, knee off");
        button(page, "Take it out and point them there").click();
        assertThat(page.getByText("None is called so.")).isVisible();
        undo(page);
        assertThat(listed(page, "Foot caught, knee heavy")).isVisible();
    }

    @Test
    void whatAPinNeedsIsWrittenAndToldInTheSituationsItIsOnIn() {
        Page page = onACopy("Pins");
        go(page, "/workshop/holds");
        button(page, "New pin or finish").click();
        page.getByLabel("Name", EXACT).fill("Shin ride");
        button(page, "Save").click();
        assertThat(page.getByText("Choose at least one place.")).isVisible();
        assertThat(page.getByText("Write at least one thing that they need.")).isVisible();
        button(page, "Cancel").click();

        go(page, "/at/pass-knee-slice");
        page.getByRole(AriaRole.LINK, named("Write what they need here")).click();
        assertThat(page.getByText("1. Knee cuts through")).isVisible();
        page.getByLabel("Name", EXACT).fill("Shin ride");
        Locator needs = page.getByRole(AriaRole.GROUP, exactly("What they need")).last();
        needs.getByLabel("They need", WITHIN_EXACT).fill("The shin lies across");
        needs.getByLabel("Work to take it away").fill("9");
        Locator would = page.getByRole(AriaRole.STATUS, named("What would stop it"));
        button(page, "Save").click();
        assertThat(needs.getByRole(AriaRole.ALERT)).containsText("must lie between 1 and 5");
        needs.getByLabel("Work to take it away").fill("1");
        assertThat(would).containsText("Nothing is taught there against: the shin lies across.");
        pick(page, "Add to: Taken away by", "elbow inside the knee");
        assertThat(would).containsText("take away “The shin lies across” (taught");

        button(page, "Add a group").click();
        Locator group = page.getByRole(AriaRole.GROUP, exactly("A group of needs"));
        group.getByLabel("They need", WITHIN_EXACT).first().fill("The head is held");
        group.getByLabel("They need", WITHIN_EXACT).last().fill("The hip is held");
        save(page);
        assertThat(listed(page, "Shin ride")).isVisible();

        go(page, "/at/pass-knee-slice");
        page.getByText("What their pin needs: shin ride").click();
        assertThat(page.getByText("The hip is held")).isVisible();
        page.getByRole(AriaRole.LINK, named("Edit what their pin needs")).last().click();
        Locator join = page.getByLabel("How these needs join");
        assertThat(join.nth(1)).hasValue("any");
        assertThat(Browser.seriousFaults(page)).isEmpty();
        join.nth(1).selectOption("all");
        save(page);
        undo(page);
        assertThat(button(page, "Redo")).isVisible();
        assertThat(join.nth(1)).hasValue("any");
        page.keyboard().press("/");
        page.keyboard().type("edit shin ride");
        page.keyboard().press("Enter");
        assertThat(join.nth(1)).hasValue("any");
    }

    @Test
    void everyKindOfPartCanBeOpenedChangedAndSaved() {
        Page page = onACopy("Kinds");
        for (String[] kind : new String[][] {{"techniques", "Techniques"}, {"movements", "Movements"}, {"facts", "Facts"},
                {"holds", "Pins and finishes"}, {"principles", "Principles"}, {"matchups", "Matchups"}, {"aims", "Aims"},
                {"rules", "Adjustments"}, {"outcomes", "Outcomes"}, {"families", "Families"}, {"postures", "Postures"}}) {
            go(page, "/workshop/" + kind[0]);
            page.getByLabel("Find").waitFor();
            page.getByRole(AriaRole.NAVIGATION, exactly(kind[1])).getByRole(AriaRole.LINK).first().click();
            Locator name = page.getByLabel("Name", EXACT).first();
            String again = name.inputValue() + " again";
            name.fill(again);
            save(page);
            assertThat(listed(page, again).first()).isVisible();
        }
    }

    /** What is solved when nobody names a pair is what the screen names. */
    @Test
    void theHouseNamesThePairThatIsSolved() {
        Page page = onACopy("House pair");
        openSetting(page);
        Locator matchup = page.getByRole(AriaRole.COMBOBOX, exactly("Matchup"));
        assertThat(matchup).hasValue("even");
        go(page, "/workshop/matchups");
        openSetting(page);
        page.getByLabel("the pair is").selectOption("much-heavier");
        button(page, "Keep for the house").click();
        assertThat(button(page, "Keep for the house")).isDisabled();
        assertThat(matchup).hasValue("much-heavier");
        undo(page);
        assertThat(matchup).hasValue("even");
    }

    /** A need that stands before another is taken out; the other keeps its own figures. */
    @Test
    void theNextNeedKeepsItsOwnWork() {
        Page page = onACopy("Needs");
        go(page, "/workshop/holds");
        page.getByRole(AriaRole.NAVIGATION, exactly("Pins and finishes")).getByRole(AriaRole.LINK).first().click();
        Locator works = page.getByLabel("Work to take it away");
        works.nth(1).fill("4");
        page.getByRole(AriaRole.BUTTON, named("Take this need out")).first().click();
        assertThat(works.first()).hasValue("4");
        button(page, "Put it back").click();
        assertThat(works.nth(1)).hasValue("4");
    }

    @Test
    void whatIsTypedSurvivesAReloadAndACutConnection() {
        Page page = onACopy("Typing");
        go(page, "/at/scarf-heavy");
        page.getByRole(AriaRole.BUTTON, named("Add what they do about")).first().click();
        page.getByLabel("What they do", EXACT).fill("They hook a heel");
        page.reload();
        assertThat(page.getByLabel("What they do", EXACT)).hasValue("They hook a heel");
        assertThat(page.getByText("What you typed before is back.")).isVisible();
        page.context().setOffline(true);
        button(page, "Save").click();
        assertThat(page.getByText("One thing waits to be sent.")).isVisible();
        page.context().setOffline(false);
        assertThat(page.getByText("they hook a heel", new Page.GetByTextOptions().setExact(true))).isVisible();
        page.reload();
        assertThat(page.getByLabel("What they do", EXACT)).hasCount(0);
        button(page, "Open all answers").click();
        assertThat(page.getByText("they hook a heel", new Page.GetByTextOptions().setExact(true))).isVisible();
    }

    @Test
    void everyViewAndActionIsReachedByTyping() {
        Page page = onACopy("Commands");
        page.locator("[data-situation=mount-low]").waitFor();
        for (String view : List.of("Edit the map", "History", "Files", "Holes and questions", "Stances", "Maps")) {
            page.keyboard().press("Control+k");
            box(page).fill("go to " + view);
            page.getByRole(AriaRole.OPTION, named("Go to: " + view)).waitFor();
            page.keyboard().press("Enter");
            assertThat(h1(page)).containsText(view);
            assertThat(page).hasTitle(Pattern.compile("^" + view));
        }
    }

    @Test
    void whatIsDoneOnASituationIsDoneByTypingToo() {
        Page page = browser.signedIn();
        go(page, "/at/mount-low");
        page.getByTestId("odds").waitFor();
        page.keyboard().press("/");
        box(page).fill("edit trap an arm and a foot");
        page.keyboard().press("Enter");
        assertThat(page.getByLabel("How often it gets going", EXACT)).isVisible();
        page.keyboard().press("Escape");
        assertThat(page.getByLabel("How often it gets going", EXACT)).hasCount(0);
        page.keyboard().press("Control+k");
        box(page).fill("drill this");
        page.keyboard().press("Enter");
        page.waitForURL("**/drill**");
    }
}
