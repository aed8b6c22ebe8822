package foldtwice.live.say;

import foldtwice.text.Texts;

/** The texts of live. */
public final class Say {

  private static final Texts TEXTS =
      Texts.of("foldtwice.live.say.Live", Say.class.getClassLoader());

  private Say() {}

  /** A text with its gaps filled. */
  public static String text(String key, Object... arguments) {
    return TEXTS.get(key, arguments);
  }
}
