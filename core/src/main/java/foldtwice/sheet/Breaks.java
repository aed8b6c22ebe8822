package foldtwice.sheet;

import com.openhtmltopdf.extend.FSTextBreaker;
import com.openhtmltopdf.layout.UrlAwareLineBreakIterator;
import java.text.BreakIterator;
import java.util.Locale;
import java.util.concurrent.CancellationException;
import java.util.regex.Pattern;

/**
 * Breaks lines as the printer does anyway; since it is asked for every text, it can tell how far
 * the printing is and give it up.
 */
final class Breaks implements FSTextBreaker {

  /** So often a text is looked at until it is printed, about. */
  private static final double LOOKS = 4;

  private static final int EVERY = 64;
  private static final Pattern TEXT = Pattern.compile(">[^<]*[^<\\s][^<]*<");

  private final FSTextBreaker usual =
      new UrlAwareLineBreakIterator(BreakIterator.getLineInstance(Locale.US));
  private final Watch watch;
  private final double all;
  private long looks;

  Breaks(String xhtml, Watch watch) {
    this.watch = watch;
    this.all = Math.max(1, TEXT.matcher(xhtml).results().count() * LOOKS);
  }

  @Override
  public void setText(String text) {
    looks++;
    if (looks % EVERY == 1 && !watch.goesOn(Math.min(0.99, looks / all))) {
      throw new CancellationException("the sheet is not wanted any more");
    }
    usual.setText(text);
  }

  @Override
  public int next() {
    return usual.next();
  }
}
