package dobbin.server;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.ExtensionContext;

/** A script that is run by its name and may take as long as it does; tests have a time limit. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@Timeout(value = 7, unit = TimeUnit.DAYS)
@ExtendWith(Bench.Measured.class)
public @interface Bench {
    /** Knows that what runs is measured: nothing may be left out of it to save time. */
    final class Measured implements BeforeAllCallback {
        private static volatile boolean underWay;

        public static boolean isUnderWay() {
            return underWay;
        }

        @Override
        public void beforeAll(ExtensionContext bench) {
            underWay = true;
        }
    }
}
