package app.narrowgate.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The database is away for a minute, and its disk fills up: whoever is there is told so, nothing breaks, and it goes on by itself. */
class FaultStory {

    private static final int MEGABYTES = 160;
    /** Each waits five seconds for a connection. */
    private static final int A_MINUTE = 12;
    /** More than fit into what the database has room for already. */
    private static final int WRITES = 500;
    private static final int REFUSALS = 3;

    private static ThrowAwayDatabase database;
    private static RunningApp app;
    private static Coach coach;
    private static boolean small;
    private static Visitor visitor;

    @BeforeAll
    static void start() throws IOException {
        database = ThrowAwayDatabase.onASmallDisk(MEGABYTES);
        small = database != null;
        database = small ? database : ThrowAwayDatabase.onTheDisk();
        app = RunningApp.on(database.start());
        coach = new Coach(app.address());
        visitor = coach.visitor();
    }

    @AfterAll
    static void stop() throws IOException {
        if (app != null) {
            app.close();
        }
        database.close();
    }

    @Test
    void aDatabaseThatIsAwayForAMinuteIsToldAndComesBackByItself() {
        database.kill();
        for (int i = 0; i < A_MINUTE; i++) {
            HttpResponse<byte[]> answer = visitor.get("/api/maps");
            assertThat(answer.statusCode()).isEqualTo(503);
            assertThat(Visitor.text(answer)).contains("The database does not answer");
        }
        assertThat(visitor.get("/").statusCode()).as("pages open").isEqualTo(200);
        Visitor probe = Visitor.stranger(app.address());
        assertThat(probe.get("/actuator/health/liveness").statusCode()).as("nobody need start the server anew").isEqualTo(200);
        assertThat(probe.get("/actuator/health/readiness").statusCode()).as("a proxy sends people elsewhere").isEqualTo(503);
        database.start();
        app.awaitHealth();
        assertThat(coach.save(Coach.revision(visitor.get(coach.map())), "Back again").statusCode()).isEqualTo(200);
    }

    @Test
    void aFullDiskIsToldLosesNothingAndGoesOnWhenThereIsRoom() throws IOException {
        List<String> acknowledged = new ArrayList<>();
        List<String> refusals = new ArrayList<>();
        assumeTrue(small, "No small disk can be made here: that needs the rights of root, and a machine that lets it mount one");
        database.fillDisk();
        int revision = 1;
        for (int i = 0; i < WRITES && refusals.size() < REFUSALS; i++) {
            HttpResponse<byte[]> now = visitor.get(coach.map());
            revision = now.statusCode() == 200 ? Coach.revision(now) : revision;
            HttpResponse<byte[]> answer = coach.save(revision, "Full " + i);
            if (answer.statusCode() == 200) {
                acknowledged.add("Full " + i);
            } else {
                assertThat(answer.statusCode()).as(Visitor.text(answer)).isEqualTo(503);
                refusals.add(Visitor.text(answer));
            }
        }
        assertThat(refusals).as("at some time there was no room").hasSize(REFUSALS);
        assertThat(refusals.get(0)).as("in words").containsAnyOf("The disk is full", "The database does not answer")
                .doesNotContain("SQL", "could not extend");
        assertThat(visitor.get(coach.map()).statusCode()).as("whoever reads goes on").isEqualTo(200);
        database.freeDisk();
        // Where the disk fills while it writes ahead the database ends itself, and whoever looks after it starts it, as ./run does.
        if (Visitor.stranger(app.address()).get("/actuator/health/readiness").statusCode() != 200) {
            database.start();
            app.awaitHealth();
        }
        assertThat(coach.save(Coach.revision(visitor.get(coach.map())), "Room again").statusCode()).isEqualTo(200);
        List<String> stored = app.stored("select summary from map_revision where summary like 'Full %'");
        assertThat(stored).doesNotHaveDuplicates().containsAll(acknowledged);
        assertThat(visitor.get(coach.map() + "/odds").statusCode()).as("nothing is half stored").isEqualTo(200);
    }
}
