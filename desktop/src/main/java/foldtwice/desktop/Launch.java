package foldtwice.desktop;

import foldtwice.desktop.pictures.Pictures;
import foldtwice.text.Nearness;
import foldtwice.text.Plain;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.stream.Stream;
import javafx.application.Application;

/**
 * Starts the desktop: {@code foldtwice [LIBRARY]} or {@code foldtwice pictures [FOLDER]}. Not a
 * JavaFX application itself, so that JavaFX may lie on the class path.
 */
public final class Launch {

  /**
   * Says that JavaFX lies on the class path, which is how it is meant; the reference keeps it
   * quiet.
   */
  private static final Logger TOOLKIT = Logger.getLogger("javafx");

  /** The commands of the command line, as the launchers know them. */
  private static final String COMMANDS = "/foldtwice/cli/commands";

  private Launch() {}

  public static void main(String[] args) {
    TOOLKIT.setLevel(Level.SEVERE);
    List<String> arguments = List.of(args);
    boolean pictures =
        !arguments.isEmpty()
            && List.of("pictures", Pictures.REHEARSE).contains(arguments.getFirst());
    if (!pictures && !arguments.isEmpty() && !Files.exists(Path.of(arguments.getFirst()))) {
      System.err.println(
          "foldtwice: "
              + Plain.of(arguments.getFirst())
              + " is neither a file nor a command"
              + Nearness.nearest(arguments.getFirst(), commands())
                  .map(c -> "; did you mean " + c + "?")
                  .orElse("; 'foldtwice --help' lists the commands"));
      System.exit(2);
    }
    if (pictures || noDisplay()) {
      System.setProperty("glass.platform", "Headless");
      System.setProperty("prism.order", "sw");
      if (!pictures) {
        System.err.println(
            "foldtwice: no display found, so the window is drawn without one; end it with Ctrl+C");
      }
    }
    if (!pictures) {
      App.begin(arguments);
    }
    Application.launch(pictures ? Pictures.class : App.class, args);
  }

  /** What can stand there, for whoever mistypes it. */
  private static List<String> commands() {
    try (var in = Launch.class.getResourceAsStream(COMMANDS)) {
      return Stream.concat(
              new String(in.readAllBytes(), StandardCharsets.UTF_8).lines(), Stream.of("pictures"))
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static boolean noDisplay() {
    return System.getProperty("glass.platform") == null
        && System.getProperty("os.name").toLowerCase(Locale.ROOT).contains("linux")
        && isEmpty(System.getenv("DISPLAY"))
        && isEmpty(System.getenv("WAYLAND_DISPLAY"));
  }

  private static boolean isEmpty(String value) {
    return value == null || value.isEmpty();
  }
}
