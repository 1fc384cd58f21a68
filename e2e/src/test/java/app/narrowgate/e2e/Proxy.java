package app.narrowgate.e2e;

import java.io.File;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** The proxy in front of the nodes of one house, as {@code scripts/proxy} starts it. */
final class Proxy implements AutoCloseable {

    private final int port = RunningApp.freePort();
    private final Process process;

    Proxy(RunningApp... nodes) throws IOException {
        List<String> command = new ArrayList<>(List.of("../scripts/proxy", Integer.toString(port)));
        Stream.of(nodes).map(node -> Integer.toString(node.port())).forEach(command::add);
        process = new ProcessBuilder(command).redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(new File("target/proxy-" + port + ".log"))).start();
        nodes[0].awaitHealth(address());
    }

    String address() {
        return "http://127.0.0.1:" + port;
    }

    @Override
    public void close() {
        process.destroy();
        process.onExit().join();
    }
}
