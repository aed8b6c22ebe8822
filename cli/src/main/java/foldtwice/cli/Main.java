package foldtwice.cli;

import foldtwice.text.Plain;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import picocli.CommandLine;

/** Starts the command line. */
public final class Main {

  private Main() {}

  public static void main(String[] args) {
    PrintWriter out = new PrintWriter(System.out, true, StandardCharsets.UTF_8);
    PrintWriter err = new PrintWriter(System.err, true, StandardCharsets.UTF_8);
    System.exit(run(out, err, args));
  }

  /** Runs one command and returns its exit code. */
  public static int run(PrintWriter out, PrintWriter err, String... args) {
    return new CommandLine(new Root())
        .setOut(out)
        .setErr(err)
        .setCaseInsensitiveEnumValuesAllowed(true)
        .setExecutionExceptionHandler(
            (e, command, parsed) -> {
              if (e instanceof Unusable unusable) {
                command.getErr().println("foldtwice: " + Plain.of(unusable.getMessage()));
                return Exit.UNUSABLE;
              }
              throw e;
            })
        .execute(args);
  }
}
