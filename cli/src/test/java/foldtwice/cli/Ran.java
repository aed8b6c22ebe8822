package foldtwice.cli;

import com.fasterxml.jackson.databind.JsonNode;
import foldtwice.library.file.Json;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/** What came of a command. */
record Ran(int exit, String out, String err) {

  /** Runs one, as a shell would. */
  static Ran run(Object... arguments) {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    String[] all = Arrays.stream(arguments).map(Object::toString).toArray(String[]::new);
    int exit = Main.run(new PrintWriter(out), new PrintWriter(err), all);
    return new Ran(exit, out.toString(), err.toString());
  }

  JsonNode json() throws Exception {
    return Json.parse(out.getBytes(StandardCharsets.UTF_8));
  }
}
