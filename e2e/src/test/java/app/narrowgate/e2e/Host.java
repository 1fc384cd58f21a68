package app.narrowgate.e2e;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;

/**
 * A virtual machine that runs the application once, ends it, and runs it anew, always from its packaged jar: what is loaded and compiled stays, and
 * so each run but the first begins in a fraction of the time. Told line by line on its standard input; ends with that.
 */
final class Host {

    /** Followed by what would stand on the command line, between tabs. */
    static final String RUN = "run";
    static final String END = "end";
    static final String BETWEEN = "\t";

    private static final String APPLICATION = "app.narrowgate.server.NarrowGateApplication";

    private Host() {
    }

    /** Runs what it is told to. */
    public static void main(String[] nothing) {
        AutoCloseable running = null;
        int exit = 0;
        try (BufferedReader told = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8))) {
            for (String line = told.readLine(); line != null; line = told.readLine()) {
                if (running != null) {
                    running.close();
                    running = null;
                }
                if (line.startsWith(RUN)) {
                    running = run(line.substring(RUN.length() + BETWEEN.length()).split(BETWEEN));
                }
            }
        } catch (Exception e) {
            e.printStackTrace();
            exit = 1;
        }
        // Threads of the application may be left.
        System.exit(exit);
    }

    private static AutoCloseable run(String[] settings) throws ReflectiveOperationException {
        Class<?> spring = Class.forName("org.springframework.boot.SpringApplication");
        Class<?> application = Class.forName(APPLICATION);
        Object run = spring.getConstructor(Class[].class).newInstance((Object) new Class<?>[] {application});
        // Its wiring is looked for under the name of whatever has the main method, if nothing is said.
        spring.getMethod("setMainApplicationClass", Class.class).invoke(run, application);
        return (AutoCloseable) spring.getMethod("run", String[].class).invoke(run, (Object) settings);
    }
}
