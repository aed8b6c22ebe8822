package foldtwice.desktop.parts;

import atlantafx.base.theme.PrimerLight;
import java.util.List;
import java.util.prefs.Preferences;
import javafx.scene.Scene;
import javafx.scene.text.Font;

/** The day sheet and the night sheet, and the fonts that ship with the product. */
public final class Theme {

  private static final String HERE = "/foldtwice/desktop/";
  private static final List<String> FONTS =
      List.of(
          "hanken-grotesk-latin-400-normal",
          "hanken-grotesk-latin-600-normal",
          "commit-mono-latin-400-normal");

  private boolean night;

  /** Loads the fonts by family name and puts the base theme under everything. */
  public static void install() {
    for (String font : FONTS) {
      if (Font.loadFont(Theme.class.getResourceAsStream(HERE + "fonts/" + font + ".woff"), 13)
          == null) {
        throw new IllegalStateException(
            "the font " + font + ", shipped in the jar, cannot be loaded");
      }
    }
    javafx.application.Application.setUserAgentStylesheet(
        new PrimerLight().getUserAgentStylesheet());
  }

  /** Lays this sheet over a scene. */
  public void on(Scene scene) {
    List<String> sheets = List.of(css(night ? "night.css" : "day.css"), css("sheet.css"));
    if (!scene.getStylesheets().equals(sheets)) { // else all that was matched is matched again
      scene.getStylesheets().setAll(sheets);
    }
  }

  public boolean isNight() {
    return night;
  }

  public void turn(Scene scene, boolean toNight) {
    night = toNight;
    on(scene);
  }

  /** The sheet chosen last on this computer. */
  public static boolean remembered() {
    return Preferences.userNodeForPackage(Theme.class).getBoolean("night", false);
  }

  /** Keeps the choice for the next start. */
  public static void remember(boolean night) {
    Preferences.userNodeForPackage(Theme.class).putBoolean("night", night);
  }

  private static String css(String name) {
    return Theme.class.getResource(HERE + name).toExternalForm();
  }
}
