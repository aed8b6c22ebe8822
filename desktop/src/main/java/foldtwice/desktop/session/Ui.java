package foldtwice.desktop.session;

import foldtwice.text.Texts;

/** The texts of the interface, from the bundle {@code foldtwice/desktop/Ui.properties}. */
public final class Ui {

  private static final Texts TEXTS = Texts.of("foldtwice.desktop.Ui", Ui.class.getClassLoader());

  private Ui() {}

  /** True when there is a text of that key. */
  public static boolean has(String key) {
    return TEXTS.bundle().containsKey(key);
  }

  public static String text(String key, Object... values) {
    return TEXTS.get(key, values);
  }
}
