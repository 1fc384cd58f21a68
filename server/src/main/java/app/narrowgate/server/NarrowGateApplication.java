package app.narrowgate.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the server. */
@SpringBootApplication
public class NarrowGateApplication {

    /** Runs with Spring's usual arguments. */
    public static void main(String[] args) {
        SpringApplication.run(NarrowGateApplication.class, args);
    }
}
