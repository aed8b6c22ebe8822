package foldtwice.desktop;

import foldtwice.desktop.pictures.Pictures;
import java.util.List;
import java.util.Locale;
import java.util.logging.Level;
import java.util.logging.Logger;
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

  private Launch() {}

  public static void main(String[] args) {
    TOOLKIT.setLevel(Level.SEVERE);
    List<String> arguments = List.of(args);
    boolean pictures =
        !arguments.isEmpty()
            && List.of("pictures", Pictures.REHEARSE).contains(arguments.getFirst());
    if (pictures || noDisplay()) {
      System.setProperty("glass.platform", "Headless");
      System.setProperty("prism.order", "sw");
      if (!pictures) {
        System.err.println(
            "foldtwice: no display found, so the window is drawn without one; end it with Ctrl+C");
      }
    }
    Application.launch(pictures ? Pictures.class : App.class, args);
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
