package dobbin.server.health;

import java.util.regex.Pattern;
import org.springframework.boot.autoconfigure.AutoConfigurationImportFilter;
import org.springframework.boot.autoconfigure.AutoConfigurationMetadata;
import org.springframework.context.EnvironmentAware;
import org.springframework.core.env.Environment;

/**
 * Leaves out all that tells of health and metrics unless it was given a port ({@code management.server.port}): nobody waits for it at
 * the start who does not want it, and it never answers at the port that people use. Which parts there are is worked out when Dobbin
 * is built; where a port is given, it must be worked out anew ({@code -Dspring.aot.enabled=false}), as the launcher does.
 */
class WhereAskedFor implements AutoConfigurationImportFilter, EnvironmentAware {
    private static final Pattern ABOUT_HEALTH =
            Pattern.compile(".*\\.(actuate|micrometer|health|metrics|observation)\\..*|.*Observation.*");

    private boolean asked;

    @Override
    public void setEnvironment(Environment environment) {
        asked = environment.containsProperty("management.server.port");
    }

    @Override
    public boolean[] match(String[] parts, AutoConfigurationMetadata metadata) {
        boolean[] wanted = new boolean[parts.length];
        for (int i = 0; i < parts.length; i++) {
            wanted[i] =
                    asked || parts[i] == null || !ABOUT_HEALTH.matcher(parts[i]).matches();
        }
        return wanted;
    }
}
