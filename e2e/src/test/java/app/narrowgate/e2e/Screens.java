package app.narrowgate.e2e;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Flow;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Screens that follow a class by a link, without a browser. */
final class Screens implements AutoCloseable {

    private static final Pattern TOKEN = Pattern.compile("\"token\":\"([^\"]+)\"");

    private final ExecutorService reading = Executors.newFixedThreadPool(2);
    private final HttpClient http = HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).executor(reading).build();
    private final String address;

    Screens(String address) {
        this.address = address;
    }

    /**
     * Opens so many more, and waits until each was shown the class.
     *
     * @param mat the address of the class on the mat
     * @param heard told of each line that comes to a screen, on any thread
     */
    void open(Visitor visitor, String mat, int many, Consumer<String> heard) throws InterruptedException {
        Matcher token = TOKEN.matcher(Visitor.text(visitor.send("POST", mat + "/links", "{\"kind\":\"screen\"}")));
        if (!token.find()) {
            throw new IllegalStateException("No link was made to the class");
        }
        String csrf = UUID.randomUUID().toString();
        CountDownLatch there = new CountDownLatch(many);
        for (int i = 0; i < many; i++) {
            HttpRequest request = HttpRequest.newBuilder(URI.create(address + "/api/screens/events")).header("Content-Type", "application/json")
                    .header("Origin", address).header("Cookie", "XSRF-TOKEN=" + csrf).header("X-XSRF-TOKEN", csrf)
                    .POST(HttpRequest.BodyPublishers.ofString("{\"token\":\"%s\"}".formatted(token.group(1)))).build();
            boolean[] first = {true};
            http.sendAsync(request, BodyHandlers.fromLineSubscriber(new Lines(line -> {
                if (line.startsWith("data:") && line.length() > 10) {
                    if (first[0]) {
                        first[0] = false;
                        there.countDown();
                    }
                    heard.accept(line);
                }
            })));
        }
        if (!there.await(2, TimeUnit.MINUTES)) {
            throw new IllegalStateException(there.getCount() + " screens were never shown the class");
        }
    }

    @Override
    public void close() {
        reading.shutdownNow();
    }

    /** Tells each line as it comes. */
    private record Lines(Consumer<String> heard) implements Flow.Subscriber<String> {

        @Override
        public void onSubscribe(Flow.Subscription subscription) {
            subscription.request(Long.MAX_VALUE);
        }

        @Override
        public void onNext(String line) {
            heard.accept(line);
        }

        @Override
        public void onError(Throwable cut) {
            // The house closes.
        }

        @Override
        public void onComplete() {
            // The house closes.
        }
    }
}
