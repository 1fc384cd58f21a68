package app.narrowgate.server.demo;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.right.Role;
import java.util.List;

/** The demo gym as its file tells it; its people and figures are all made up. */
record DemoGym(String gym, String town, List<Person> people, List<Asked> questions) {

    /** Somebody who may sign in, with the written form of what they are in the gym. */
    record Person(String name, String displayName, String password, String role) {

        Role is() {
            return Coded.require(Role.class, "role", role);
        }
    }

    /** A question that waits for an answer; without a situation it is not placed yet. */
    record Asked(String asker, String words, String situation) {
    }
}
