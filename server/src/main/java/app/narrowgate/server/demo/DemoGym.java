package app.narrowgate.server.demo;

import java.util.List;

/** The demo gym as its file tells it; its people and figures are all made up. */
record DemoGym(String gym, String town, List<Person> people, List<Asked> questions) {

    /** Somebody who may sign in. */
    record Person(String name, String displayName, String password) {
    }

    /** A question that waits for an answer; without a situation it is not placed yet. */
    record Asked(String asker, String words, String situation) {
    }
}
