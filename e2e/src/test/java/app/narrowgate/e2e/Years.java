package app.narrowgate.e2e;

import java.net.http.HttpResponse;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** What a gym writes in three years: a roster, rounds, classes and changes of its map, as people write them. */
final class Years {

    private static final int AT_ONCE = 200;
    private static final int DAYS = 1_000;
    private static final int HERE = 16;
    private static final List<String> ENDINGS = List.of("guard", "half", "turtle", "tap", "held", "standing");
    private static final long SEED = 20_261_129;

    private final Coach coach;
    private final Random random = new Random(SEED);

    Years(Coach coach) {
        this.coach = coach;
    }

    /** Puts so many people on the roster, and gives the ids of as many of those who are on it. */
    List<String> people(int many) {
        for (int from = 0; from < many; from += AT_ONCE) {
            int to = Math.min(from + AT_ONCE, many);
            taken(coach.visitor().send("POST", "/api/people", "{\"people\":[%s]}".formatted(IntStream.range(from, to)
                    .mapToObj("{\"name\":\"Pell Underhill %d\",\"age\":\"adults\",\"level\":\"novice\",\"weight\":71.5,\"notes\":\"\"}"::formatted)
                    .collect(Collectors.joining(",")))));
        }
        return coach.people(many);
    }

    /** Notes so many rounds between them. */
    void rounds(List<String> people, int many) {
        for (int from = 0; from < many; from += AT_ONCE) {
            List<String> events = new ArrayList<>();
            for (int i = from; i < Math.min(from + AT_ONCE, many); i++) {
                events.add(round(people, random, Instant.now().minus(random.nextInt(DAYS), ChronoUnit.DAYS)));
            }
            taken(coach.visitor().send("POST", coach.map() + "/record/events", "{\"events\":[%s]}".formatted(String.join(",", events))));
        }
    }

    /** A round of two of them, as it is noted. */
    static String round(List<String> people, Random random, Instant at) {
        int below = random.nextInt(people.size());
        int above = (below + 1 + random.nextInt(people.size() - 1)) % people.size();
        return """
                {"id":"%s","kind":"round","at":"%s","person":"%s","partner":"%s","start":"mount-low","side":"left","ending":"%s","seconds":%d,
                "reaction":"low-trap-bridge"}""".formatted(UUID.randomUUID(), at, people.get(below), people.get(above),
                ENDINGS.get(random.nextInt(ENDINGS.size())), 10 + random.nextInt(80));
    }

    /** Plans so many classes and puts each on the mat. */
    void classes(List<String> people, int many) {
        for (int i = 0; i < many; i++) {
            onTheMat(coach, people, "Class %d".formatted(i), LocalDate.of(2032, 5, 4));
        }
    }

    /** Plans a class for some of them, begins it on the mat, and gives the address of that. */
    static String onTheMat(Coach coach, List<String> people, String title, LocalDate day) {
        String id = UUID.randomUUID().toString();
        taken(coach.visitor().send("POST", coach.map() + "/classes", """
                {"id":"%s","lesson":{"title":"%s","day":"%s","starts":"19:30","minutes":60,"family":"mount","read":0.25,"late":0.5,
                "usual":"step-by-step","here":["%s"],"fixed":[],"out":[],"together":[],"apart":[],"odd":"three","limit":12,"turn":0}}"""
                .formatted(id, title, day, String.join("\",\"", people.subList(0, Math.min(HERE, people.size()))))));
        String mat = coach.map() + "/classes/" + id + "/mat";
        taken(coach.visitor().send("POST", mat, ""));
        taken(coach.visitor().send("POST", mat + "/presses", press("start", 0)));
        return mat;
    }

    static String press(String deed, int step) {
        return "{\"id\":\"%s\",\"deed\":\"%s\",\"step\":%d,\"ago\":0}".formatted(UUID.randomUUID(), deed, step);
    }

    /** Changes the map so many times. */
    void changes(int many) {
        int revision = Coach.revision(coach.visitor().get(coach.map()));
        for (int i = 0; i < many; i++) {
            revision = Coach.revision(taken(coach.save(revision, "Change %d of the map, in some words".formatted(i))));
        }
    }

    private static HttpResponse<byte[]> taken(HttpResponse<byte[]> answer) {
        if (answer.statusCode() >= 300) {
            throw new IllegalStateException("Refused with %d: %s".formatted(answer.statusCode(), Visitor.text(answer)));
        }
        return answer;
    }
}
