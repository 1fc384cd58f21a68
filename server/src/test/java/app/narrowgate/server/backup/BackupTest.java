package app.narrowgate.server.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestDatabase;
import app.narrowgate.server.TestServer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A house and a gym in an archive and back, compared row by row and file by file; what is not sound is refused by name. */
class BackupTest {

    /** What a restore writes itself. */
    private static final String ITS_OWN = "'restore', 'put-in'";

    @TempDir
    private static Path folder;
    private static TestServer server;
    private static Path house;

    @BeforeAll
    static void start() throws Exception {
        server = TestServer.start();
        server.client().openGym("Second, \\\"the\\\" gym", "quill");
        house = folder.resolve("house.zip");
        assertThat(told(server.databaseUrl(), "backup", house.toString())).contains("a house with 2 gyms", "as safe as the house itself");
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    /** What the command says, asked about a database. */
    private static String told(String url, String... words) throws IOException, SQLException {
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        Map<String, String> environment = Map.of("NARROWGATE_DB_URL", url, "NARROWGATE_DB_USER", TestDatabase.USER, "NARROWGATE_DB_PASSWORD",
                TestDatabase.PASSWORD);
        new BackupCommand(environment, new PrintStream(said, true, StandardCharsets.UTF_8), Clock.systemUTC()).run(List.of(words));
        return said.toString(StandardCharsets.UTF_8);
    }

    /** Every row of every table that is kept, in the order of its text, without what the restore wrote itself. */
    private static Map<String, List<String>> rows(Connection connection) throws SQLException {
        Map<String, List<String>> rows = new TreeMap<>();
        for (Table table : Catalogue.tables(connection)) {
            String but = table.name().equals("audit") ? " where deed not in (" + ITS_OWN + ")" : "";
            rows.put(table.name(), column(connection, "select t::text from %s t%s order by t::text collate \"C\"".formatted(table.name(), but)));
        }
        return rows;
    }

    private static List<String> column(Connection connection, String query) throws SQLException {
        List<String> values = new ArrayList<>();
        try (Statement statement = connection.createStatement(); ResultSet found = statement.executeQuery(query)) {
            while (found.next()) {
                values.add(found.getString(1));
            }
        }
        return values;
    }

    private static Map<String, byte[]> files(Path archive) throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipFile zip = new ZipFile(archive.toFile())) {
            for (ZipEntry entry : zip.stream().toList()) {
                try (InputStream in = zip.getInputStream(entry)) {
                    files.put(entry.getName(), in.readAllBytes());
                }
            }
        }
        return files;
    }

    private static Path archive(String name, Map<String, byte[]> files) throws IOException {
        Path path = folder.resolve(name);
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(path))) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue());
                zip.closeEntry();
            }
        }
        return path;
    }

    /** The house's archive with one of its files changed, or left out where the change gives null. */
    private static Path changed(String name, String file, UnaryOperator<String> change) throws IOException {
        Map<String, byte[]> files = files(house);
        String text = change.apply(files.containsKey(file) ? new String(files.get(file), StandardCharsets.UTF_8) : "");
        files.remove(file);
        if (text != null) {
            files.put(file, text.getBytes(StandardCharsets.UTF_8));
        }
        return archive(name, files);
    }

    @Test
    void aHouseThatIsRestoredIsEqualRowByRowAndFileByFile() throws Exception {
        try (TestDatabase restored = new TestDatabase()) {
            told(restored.url(), "restore", house.toString());
            try (Connection before = server.behind(); Connection after = restored.connect()) {
                assertThat(rows(after)).isEqualTo(rows(before));
                assertThat(rows(after).values().stream().mapToInt(List::size).sum()).as("rows there are to compare").isGreaterThan(1000);
            }
            assertThat(restored.one("select count(*) || ' ' || min(actor::text) from audit where deed = 'restore'"))
                    .as("each gym's owner sees that it was restored").isEqualTo("2 00000000-0000-0000-0000-000000000000");
            restored.in("delete from audit where deed = 'restore'");
            Path again = folder.resolve("again.zip");
            told(restored.url(), "backup", again.toString());
            Map<String, byte[]> first = files(house);
            Map<String, byte[]> second = files(again);
            first.remove(Manifest.FILE);
            second.remove(Manifest.FILE);
            assertThat(second).containsExactlyEntriesOf(first);
        }
    }

    @Test
    void numbersThatTheDatabaseGivesGoOnAfterARestore() throws Exception {
        try (TestDatabase restored = new TestDatabase()) {
            told(restored.url(), "restore", house.toString());
            restored.in("insert into mail (gym_id, at, address, subject, body) select id, now(), 'a', 'b', 'c' from gym limit 1");
            assertThat(restored.one("select count(*) = count(distinct id) from mail")).isEqualTo("t");
        }
    }

    @Test
    void everyTableIsKeptOrNamedAsNotKept() throws Exception {
        try (Connection connection = server.behind()) {
            Set<String> all = Set.copyOf(column(connection, "select tablename from pg_tables where schemaname = 'public'"));
            assertThat(files(house).keySet()).contains(Manifest.FILE).filteredOn(name -> name.startsWith("tables/"))
                    .containsExactlyInAnyOrderElementsOf(all.stream().filter(name -> !Catalogue.NOT_KEPT.contains(name))
                            .map(name -> "tables/" + name + ".csv").toList());
            assertThat(all).as("what is not kept is there").containsAll(Catalogue.NOT_KEPT);
        }
    }

    @Test
    void aDamagedArchiveIsRefusedByNameAndNothingIsFilled() throws Exception {
        byte[] whole = Files.readAllBytes(house);
        Path cut = Files.write(folder.resolve("cut.zip"), Arrays.copyOf(whole, whole.length / 2));
        byte[] flipped = whole.clone();
        flipped[whole.length / 3] ^= 1;
        Path bent = Files.write(folder.resolve("bent.zip"), flipped);
        assertRefused(cut, "cut.zip", "damaged or no archive");
        assertRefused(bent, "bent.zip", "is damaged at tables/");
        assertRefused(changed("other.zip", "tables/person.csv", text -> text.replaceFirst("\n", "\n\n")), "tables/person.csv", "not what was written");
        assertRefused(changed("less.zip", "tables/map.csv", text -> null), "tables/map.csv", "it is missing");
        assertRefused(changed("more.zip", "tables/else.csv", text -> "x"), "tables/else.csv", "does not belong");
        assertRefused(changed("nothing.zip", Manifest.FILE, text -> null), "no archive of Narrow Gate");
        assertRefused(changed("broken.zip", Manifest.FILE, text -> text.substring(0, 40)), Manifest.FILE, "cannot be read");
        for (String lacks : List.of("of", "written", "build", "id", "table", "sha256")) {
            assertRefused(changed("lacks.zip", Manifest.FILE, text -> text.replaceFirst("\"%s\" : \"[^\"]*\"".formatted(lacks),
                    "\"%s\" : null".formatted(lacks))), Manifest.FILE, "something is missing");
        }
        assertRefused(changed("format.zip", Manifest.FILE, text -> text.replace("backup/1", "backup/9")), "narrowgate-backup/9", "reads narrowgate-backup/1");
        assertRefused(changed("later.zip", Manifest.FILE, text -> text.replaceFirst("\"schema\" : \"\\d+\"", "\"schema\" : \"900\"")),
                "later Narrow Gate", "version 900", "Update");
        assertRefused(folder.resolve("none.zip"), "There is no file", "none.zip");
    }

    private static void assertRefused(Path archive, String... words) throws Exception {
        try (TestDatabase empty = new TestDatabase()) {
            assertThatThrownBy(() -> told(empty.url(), "restore", archive.toString())).isInstanceOf(RefusedException.class)
                    .hasMessageContainingAll(words);
            assertThat(empty.one("select count(*) from pg_tables where schemaname = 'public'")).isEqualTo("0");
        }
    }

    @Test
    void nothingIsWrittenOver() throws Exception {
        byte[] before = Files.readAllBytes(house);
        assertThatThrownBy(() -> told(server.databaseUrl(), "backup", house.toString())).isInstanceOf(RefusedException.class)
                .hasMessageContaining("Choose another name");
        assertThatThrownBy(() -> told(server.databaseUrl(), "restore", house.toString())).isInstanceOf(RefusedException.class)
                .hasMessageContaining("not empty");
        assertThatThrownBy(() -> told(server.databaseUrl(), "backup", folder.resolve("no/such/x.zip").toString())).isInstanceOf(RefusedException.class)
                .hasMessageContaining("There is no folder");
        assertThat(Files.readAllBytes(house)).isEqualTo(before);
        assertThat(folder).isDirectoryNotContaining("glob:**.part*");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(house))).as("nobody else reads it").isEqualTo("rw-------");
    }

    /** Its tables are made as they were, filled, and brought up to today. */
    @Test
    void anArchiveFromBeforeALaterTableIsRestoredToo() throws Exception {
        try (TestDatabase old = new TestDatabase(); TestDatabase restored = new TestDatabase()) {
            new Place(old.url(), TestDatabase.USER, TestDatabase.PASSWORD, "").migrate("13");
            old.in("""
                    insert into gym values ('00000000-0000-0000-0000-000000000001', 'Old', '2026-01-01');
                    insert into account (id, gym_id, name, display_name, password_hash, created_at, role) values
                        ('00000000-0000-0000-0000-000000000002', '00000000-0000-0000-0000-000000000001', 'elm', 'Elm', 'x', '2026-01-01', 'owner');""");
            Path archive = folder.resolve("old.zip");
            told(old.url(), "backup", archive.toString());
            told(restored.url(), "restore", archive.toString());
            assertThat(restored.one("select a.name || ' of ' || g.name from account a join gym g on g.id = a.gym_id")).isEqualTo("elm of Old");
            assertThat(restored.one("select count(*) from lesson")).as("a table that came later").isEqualTo("0");
        }
    }

    @Test
    void aGymGoesIntoAnotherHouseThatRunsAndItsPeopleSignInThere() throws Exception {
        String name = server.client().signIn("tamsin", "open-the-gate").get("/api/session").json().get("gym").stringValue();
        Path archive = folder.resolve("gym.zip");
        assertThat(told(server.databaseUrl(), "gym-out", name, archive.toString())).contains("the gym " + name);
        try (TestServer other = TestServer.start()) {
            // Made of the same demo, it has the very same gym.
            try (TestDatabase empty = new TestDatabase()) {
                assertThatThrownBy(() -> told(other.databaseUrl(), "gym-in", archive.toString(), empty.url())).isInstanceOf(RefusedException.class)
                        .hasMessageContaining("in this house already");
            }
            try (Connection behind = other.behind(); Statement statement = behind.createStatement()) {
                statement.execute("delete from gym");
            }
            TestClient another = other.client().openGym("Another", "tamsin");
            try (TestDatabase empty = new TestDatabase()) {
                assertThat(told(other.databaseUrl(), "gym-in", archive.toString(), empty.url())).contains(name, "“tamsin” was taken",
                        "signs in as “tamsin-2”").doesNotContain("“bram” was taken");
            }
            TestClient here = server.signedIn();
            TestClient there = other.client().signIn("tamsin-2", "open-the-gate");
            String map = "/api/maps/" + here.firstMap();
            assertThat(there.get(map + "/file").json()).isEqualTo(here.get(map + "/file").json());
            assertThat(there.get(map + "/odds?by=record").text()).isEqualTo(here.get(map + "/odds?by=record").text());
            assertThat(there.get("/api/audit").text()).contains("Whoever runs the house", "put the gym into this house");
            assertThat(another.get("/api/maps").json()).as("the gym that was there sees nothing of it").isEmpty();
        }
    }

    @Test
    void anArchiveOfAGymHoldsNothingOfAnother() throws Exception {
        Path archive = folder.resolve("second.zip");
        told(server.databaseUrl(), "gym-out", "Second, \"the\" gym", archive.toString());
        Map<String, byte[]> files = files(archive);
        assertThat(text(files, "tables/account.csv")).contains("quill").doesNotContain("tamsin", "bram");
        assertThat(text(files, "tables/person.csv").lines()).as("its names alone").hasSize(1);
        assertThat(files).doesNotContainKey("tables/demo_part.csv");
        assertThatThrownBy(() -> told(server.databaseUrl(), "gym-out", "Nobody's", folder.resolve("x.zip").toString()))
                .isInstanceOf(RefusedException.class).hasMessageContainingAll("No gym", "Nobody's", "Second, ");
        try (TestDatabase empty = new TestDatabase()) {
            assertThatThrownBy(() -> told(empty.url(), "restore", archive.toString())).isInstanceOf(RefusedException.class)
                    .hasMessageContaining("of a gym, not of a house");
        }
    }

    private static String text(Map<String, byte[]> files, String file) {
        return new String(files.get(file), StandardCharsets.UTF_8);
    }

    @Test
    void theOwnersArchiveHoldsNoPasswordsAndOpensByALink() throws Exception {
        TestClient owner = server.client().signIn("quill", TestClient.PASSWORD);
        byte[] bytes = owner.bytes("/api/gyms/mine/archive", "identity").body();
        Path archive = Files.write(folder.resolve("owners.zip"), bytes);
        try (Connection behind = server.behind()) {
            assertThat(text(files(archive), "tables/account.csv")).contains("quill").doesNotContain("tamsin")
                    .doesNotContain(column(behind, "select password_hash from account"));
        }
        assertThat(owner.get("/api/audit").text()).contains("took out the whole gym");
        try (TestServer other = TestServer.start(); TestDatabase empty = new TestDatabase()) {
            String said = told(other.databaseUrl(), "gym-in", archive.toString(), empty.url());
            String token = said.replaceAll("(?s).*/come-in#(\\S+) .*", "$1");
            assertThatThrownBy(() -> other.client().signIn("quill", TestClient.PASSWORD)).hasMessageContaining("401");
            TestClient again = other.client();
            again.get("/api/session");
            assertThat(again.post("/api/invitations/password", "{\"token\":\"%s\",\"password\":\"%s\"}".formatted(token, TestClient.PASSWORD)).status())
                    .isLessThan(300);
            assertThat(again.get("/api/session").json().get("gym").stringValue()).isEqualTo("Second, \"the\" gym");
        }
    }

    @Test
    void whatItDoesNotUnderstandItSays() {
        assertThatThrownBy(() -> told(server.databaseUrl(), "restroe", "x")).isInstanceOf(RefusedException.class).hasMessageContaining("restore FILE");
    }
}
