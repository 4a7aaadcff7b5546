package dobbin.cli;

import dobbin.edit.EditRejected;
import dobbin.reel.OutOfRange;
import java.io.IOException;
import java.nio.file.NoSuchFileException;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.ScopeType;

/** The commands of {@code ./dobbin} that need no server. */
@Command(
        name = "dobbin",
        description = "Small looping animations from stills.",
        subcommands = {Make.class, Unpack.class, Cut.class, Bench.class})
public final class Main {
    private static final int UNUSABLE_INPUT = 2;

    @Option(
            names = {"-h", "--help"},
            usageHelp = true,
            scope = ScopeType.INHERIT,
            description = "this text")
    private boolean help;

    private Main() {}

    public static void main(String[] args) {
        System.setProperty("java.awt.headless", "true");
        System.exit(run(args));
    }

    /** @return the exit status: 0 done, 1 failed, 2 the words of the call or the files were unusable */
    static int run(String... args) {
        return new CommandLine(new Main())
                .setCaseInsensitiveEnumValuesAllowed(true)
                .setExecutionExceptionHandler((failure, command, parsed) -> {
                    command.getErr().println("dobbin " + command.getCommandName() + ": " + sentence(failure));
                    return failure instanceof IOException ? 1 : UNUSABLE_INPUT;
                })
                .execute(args);
    }

    private static String sentence(Exception failure) {
        if (failure instanceof EditRejected rejected) {
            return rejected.field() + " " + rejected.getMessage();
        }
        if (failure instanceof OutOfRange outOfRange) {
            return outOfRange.field() + " " + outOfRange.getMessage();
        }
        return failure instanceof NoSuchFileException ? failure.getMessage() + " is not there" : failure.getMessage();
    }
}
