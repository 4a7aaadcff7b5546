package dobbin.server;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Timeout;

/** A script that is run by its name and may take as long as it does; tests have a time limit. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@Timeout(value = 7, unit = TimeUnit.DAYS)
public @interface Bench {}
