package dobbin.cli;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;

/** What a command answered. */
record Said(int status, String out, String err) {
    static Said said(String... args) {
        PrintStream out = System.out;
        PrintStream err = System.err;
        ByteArrayOutputStream toOut = new ByteArrayOutputStream();
        ByteArrayOutputStream toErr = new ByteArrayOutputStream();
        try {
            System.setOut(new PrintStream(toOut, true, StandardCharsets.UTF_8));
            System.setErr(new PrintStream(toErr, true, StandardCharsets.UTF_8));
            int status = Main.run(args);
            return new Said(status, toOut.toString(StandardCharsets.UTF_8), toErr.toString(StandardCharsets.UTF_8));
        } finally {
            System.setOut(out);
            System.setErr(err);
        }
    }
}
