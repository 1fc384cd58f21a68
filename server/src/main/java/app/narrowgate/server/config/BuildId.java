package app.narrowgate.server.config;

import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.info.BuildProperties;
import org.springframework.stereotype.Component;

/**
 * Which build of the program this is, so that nothing that an older one computed is taken for an answer of this one.
 */
@Component
public class BuildId {

    private final String value;

    BuildId(ObjectProvider<BuildProperties> build) {
        BuildProperties properties = build.getIfAvailable();
        // Started from an editor there is no build; every start is one then.
        long at = properties == null ? System.nanoTime() : properties.getTime().toEpochMilli();
        this.value = Long.toString(at, Character.MAX_RADIX);
    }

    /** Letters and digits that differ from build to build. */
    public String value() {
        return value;
    }
}
