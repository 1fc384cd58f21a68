package app.narrowgate.server.gym;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestDatabase;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationVersion;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A house of an earlier version: nothing in it is lost, and what was there before there were gyms becomes one gym's. */
class UpgradeTest {

    private static final String BEFORE_GYMS = "9";
    private TestDatabase database;

    @BeforeEach
    void create() throws SQLException {
        database = new TestDatabase();
    }

    @AfterEach
    void drop() throws SQLException {
        database.close();
    }

    private void migrate(String version) {
        Flyway.configure().dataSource(database.url(), TestDatabase.USER, TestDatabase.PASSWORD).target(version).load().migrate();
    }

    @Test
    void whatIsThereBecomesOneGyms() throws SQLException {
        migrate(BEFORE_GYMS);
        database.in("""
                insert into account (id, name, display_name, password_hash, created_at) values
                    ('00000000-0000-0000-0000-000000000001', 'second', 'Second', 'x', '2026-02-01'),
                    ('00000000-0000-0000-0000-000000000002', 'first', 'First', 'x', '2026-01-01');
                insert into map (id, title, head, created_at) values
                    ('00000000-0000-0000-0000-000000000003', 'Old', 1, '2026-03-01');
                insert into map_revision (map_id, number, kind, author, at, summary) values
                    ('00000000-0000-0000-0000-000000000003', 1, 'edit', '00000000-0000-0000-0000-000000000001', '2026-03-01', 'Began');
                insert into question (id, map_id, words, author, at) values
                    ('00000000-0000-0000-0000-000000000004', '00000000-0000-0000-0000-000000000003', 'they sit up',
                    '00000000-0000-0000-0000-000000000001', '2026-03-02');""");
        migrate("latest");
        assertThat(database.one("select count(*) from gym")).isEqualTo("1");
        assertThat(database.one("select string_agg(name || ' ' || role, ', ' order by name) from account")).isEqualTo("first owner, second instructor");
        for (String table : new String[] {"map", "map_revision", "question", "account"}) {
            assertThat(database.one("select bool_and(gym_id = (select id from gym)) from " + table)).as(table).isEqualTo("t");
        }
        assertThat(database.one("select shared from map")).as("nothing is shared that nobody shared").isEqualTo("f");
    }

    /** What a house had put into its tables by each version, in the shape that they had then; a word in braces stands for an id. */
    private static Map<String, String> byVersion() {
        Map<String, String> data = new LinkedHashMap<>();
        data.put("1", """
                insert into account values ('{account}', 'oak', 'Oak', 'x', '2026-01-01');
                insert into map values ('{map}', 'Old', 2, '2026-01-01');
                insert into map_revision values ('{map}', 1, 'edit', null, '{account}', '2026-01-01', 'Began');
                insert into map_revision values ('{map}', 2, 'undo', 1, '{account}', '2026-01-02', 'Back');
                insert into map_part values ('{map}', 'situations', 'mount', 1, 2, 0, '{"name": "Mount"}'), ('{map}', 'situations', 'mount', 2, null, 0, '{}');
                insert into spring_session values ('1', '2', 1, 1, 1, 1, 'oak');
                insert into spring_session_attributes values ('1', 'x', '\\x00');""");
        data.put("2", """
                insert into map_version values ('{version}', '{map}', 1, 'Before', '{account}', '2026-01-03');
                insert into finding_dismissal values ('{map}', 'dead-end', 'mount', '', 'We know', '{account}', '2026-01-03');
                insert into question values ('{question}', '{map}', 'They sit up', 'mount', '{account}', '2026-01-03');""");
        data.put("6", "insert into device values ('token', '{account}', '2026-01-04', '2026-01-04');");
        data.put("7", "insert into map_trace values ('{trace}', '{map}', 'Dropped it', '{account}', '2026-01-04');");
        data.put("8", """
                insert into drill values ('{drill}', '{map}', 1, null);
                insert into drill_version values ('{drill}', 1, '{}', '{account}', '2026-01-05');""");
        data.put("9", "insert into reading values ('{reading}', '{map}', '{account}', 'mount', 'roll', 'roll', true, 3, 900, '2026-01-06');");
        data.put("11", """
                insert into invitation (id, token_hash, kind, role, whom, made_by, made_at, expires_at)
                    values ('{invitation}', 'h', 'join', 'student', '', '{account}', '2026-01-07', '2026-01-14');
                insert into mail (at, address, subject, body) values ('2026-01-07', 'a@b.example', 's', 'b');
                insert into audit (at, actor, deed, detail) values ('2026-01-07', '{account}', 'invite', '');""");
        data.put("12", """
                insert into person (id, version, name, age, notes, created_at) values ('{person}', 1, 'Fern', 'adult', '', '2026-01-08');
                insert into person_ailment (person, number, injury, avoid) values ('{person}', 1, 'knee', '');""");
        data.put("13", """
                insert into shared_link (id, token_hash, map_id, place, title, read, late, stances, made_by, made_at, expires_at)
                    values ('{link}', 'h', '{map}', 'mount', 'Mount', 1, 0, '', '{account}', '2026-01-09', '2026-02-09');""");
        data.put("14", """
                insert into lesson (id, map_id, version, day, body, author, at)
                    values ('{lesson}', '{map}', 1, '2026-01-10', '{}', '{account}', '2026-01-10');""");
        data.put("15", """
                insert into mat (lesson_id, map_id, version, body, at) values ('{lesson}', '{map}', 1, '{}', '2026-01-10');
                insert into mat_link (id, lesson_id, kind, token_hash, made_by, made_at, expires_at)
                    values ('{screen}', '{lesson}', 'screen', 'h', '{account}', '2026-01-10', '2026-01-11');""");
        data.put("16", """
                insert into term (id, map_id, version, title, first_day, last_day, author, at)
                    values ('{term}', '{map}', 1, 'Spring', '2026-01-01', '2026-03-01', '{account}', '2026-01-10');
                insert into class_shape (id, title, minutes, body, author, at) values ('{shape}', 'Ours', 60, '{}', '{account}', '2026-01-10');""");
        data.put("17", """
                insert into record_event (id, map_id, kind, at, kept_at, author, person, situation, ending)
                    values ('{round}', '{map}', 'round', '2026-01-11', '2026-01-11', '{account}', '{person}', 'mount', 'tap');
                insert into record_event (id, map_id, kind, at, kept_at, author, voids)
                    values ('{void}', '{map}', 'void', '2026-01-11', '2026-01-11', '{account}', '{round}');""");
        data.put("18", """
                insert into record_event (id, map_id, kind, at, kept_at, author, reaction)
                    values ('{keep}', '{map}', 'keep', '2026-01-12', '2026-01-12', '{account}', 'roll');""");
        data.put("19", """
                insert into record_event (id, map_id, kind, at, kept_at, author, person, technique, role, many)
                    values ('{repetitions}', '{map}', 'repetitions', '2026-01-13', '2026-01-13', '{account}', '{person}', 'bridge', 'first', 10);
                insert into gate_place (map_id, level, number, place) values ('{map}', 'novice', 0, 'mount');
                insert into repetition_goal (map_id, many) values ('{map}', 500);""");
        data.put("20", """
                insert into record_import (id, map_id, author, at, file, events) values ('{import}', '{map}', '{account}', '2026-01-14', 'x.csv', 1);
                insert into record_event (id, map_id, kind, at, kept_at, author, person, import)
                    values ('{attendance}', '{map}', 'attendance', '2026-01-14', '2026-01-14', '{account}', '{person}', '{import}');""");
        data.put("22", """
                insert into run (id, map_id, owner, about, kind, request, revision, state, done, of, asked_at, node, heard_at)
                    values ('{run}', '{map}', '{account}', 'x', 'gates', '{}', 1, 'running', 0, 0, '2026-01-15', '{node}', '2026-01-15');
                insert into sign_in_try (key, at) values ('x', '2026-01-15');""");
        return data;
    }

    /** Each word in braces as an id of its own, the same wherever it stands. */
    private static String withIds(String sql) {
        return Pattern.compile("\\{([a-z]+)}").matcher(sql).replaceAll(word -> UUID.nameUUIDFromBytes(word.group(1).getBytes(UTF_8)).toString());
    }

    /** A house that has been there from the first version on, and has used whatever came with each. */
    @Test
    void everyStepFindsDataOfEveryVersionBeforeIt() throws SQLException {
        MigrationInfo[] versions = Flyway.configure().dataSource(database.url(), TestDatabase.USER, TestDatabase.PASSWORD).load().info().all();
        Map<String, String> data = byVersion();
        for (MigrationInfo version : versions) {
            migrate(version.getVersion().getVersion());
            String sql = data.getOrDefault(version.getVersion().getVersion(), "");
            boolean gyms = version.getVersion().compareTo(MigrationVersion.fromVersion(BEFORE_GYMS)) > 0;
            database.in((gyms ? "select set_config('narrowgate.gym', (select id::text from gym), false);" : "") + withIds(sql));
        }
        assertThat(versions).hasSizeGreaterThan(20);
        try (Connection connection = database.connect(); ResultSet tables = connection.getMetaData().getTables(null, "public", "%", new String[] {"TABLE"})) {
            while (tables.next()) {
                String table = tables.getString("TABLE_NAME");
                String rows = database.one("select count(*) from " + table);
                // Who was signed in before there were gyms signs in once more.
                assertThat(rows).as("rows in " + table + ": a version that brings a table says what a house puts into it")
                        .matches(table.startsWith("spring_session") ? "0" : "[1-9]\\d*");
            }
        }
        assertThat(database.one("select string_agg(kind, ' ' order by at, kind) from record_event")).isEqualTo("round void keep repetitions attendance");
        assertThat(database.one("select body->>'name' from map_part where until = 2")).as("an earlier state of a part").isEqualTo("Mount");
        assertThat(database.one("select redo_next from map_revision where number = 2")).as("what a redo would bring back").isEqualTo("2");
        assertThat(database.one("select role from account")).isEqualTo("owner");
        assertThat(database.one("select bool_and(gym = (select id from gym)) from demo_part")).as("which gym the demo's parts were given to").isEqualTo("t");
    }

    @Test
    void anEmptyHouseStaysEmpty() throws SQLException {
        migrate("latest");
        assertThat(database.one("select count(*) from gym")).isEqualTo("0");
    }
}
