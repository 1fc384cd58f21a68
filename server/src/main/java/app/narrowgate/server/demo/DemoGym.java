package app.narrowgate.server.demo;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.right.Role;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;

/** The demo gym as its file tells it; its people and figures are all made up. */
record DemoGym(String gym, String town, List<Person> people, List<Listed> roster, List<Asked> questions,
        Weeks term, List<Evening> classes) {

    /** Somebody who may sign in, with the written form of what they are in the gym. */
    record Person(String name, String displayName, String password, String role) {

        Role is() {
            return Coded.require(Role.class, "role", role);
        }
    }

    /** Somebody on the roster, in one line; without an account they do not sign in, without ailments nothing hurts them. */
    record Listed(String line, String account, List<Hurt> ailments) {
    }

    /** What hurts somebody; a day that is missing is not known. */
    record Hurt(String injury, LocalDate from, LocalDate until, String avoid) {
    }

    /** A question that waits for an answer; without a situation it is not placed yet. */
    record Asked(String asker, String words, String situation) {
    }

    /** A term around the day on which the house is given it. */
    record Weeks(String title, int beganDaysAgo, int endsInDays) {
    }

    /**
     * A class of grown-ups.
     *
     * @param daysAgo before the day on which the house is given it; below 0 for one that is still to come
     * @param absent first names of those who were not there; missing where nobody is down for it yet
     * @param planned what was planned in it; missing for what is planned when it is looked at
     * @param ran true where it came as it was planned
     * @param asked what the term asks of it; missing where it asks nothing
     * @param fixed minutes by the units that its instructor wants in it; missing where that is left to the plan
     */
    record Evening(int daysAgo, String title, LocalTime starts, int minutes, String family, List<String> absent, List<Unit> planned, Boolean ran,
            List<String> asked, Map<String, Integer> fixed) {
    }

    /**
     * Something that was planned in a class.
     *
     * @param pairs groups by first names, where it came
     * @param dropped true where the class did not come to it
     */
    record Unit(String unit, String section, int minutes, List<String> reactions, List<List<String>> pairs, Boolean dropped) {
    }
}
