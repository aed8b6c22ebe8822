package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.binding.Readiness;
import foldtwice.conflict.Conflict;
import foldtwice.desktop.parts.FoundBy;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Owner;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** A binding as the register shows it. */
record Row(
    Binding binding,
    List<Trigger> triggers,
    String trigger,
    String routine,
    String arguments,
    String place,
    String family,
    Readiness readiness,
    String besides) {

  /**
   * The worst that is wrong with a binding.
   *
   * @param says it in few words
   */
  record Trouble(Conflict worst, String says) {

    static Trouble of(Conflict worst, Binding b, Words words) {
      return new Trouble(worst, brief(worst, b, words));
    }

    /** A double claim names the other of the two, from whichever side it is told. */
    private static String brief(Conflict c, Binding b, Words words) {
      List<Claim> claims = new ArrayList<>(c.claims());
      claims.sort(Comparator.comparing(claim -> !claim.owner().equals(new Owner.Yours(b.id()))));
      return words.brief(c.toldFrom(claims));
    }
  }

  static Row of(Binding b, String family, Snapshot now, Words words) {
    List<Trigger> triggers = b.isOff() ? b.fitting().parked() : b.triggers();
    return new Row(
        b,
        triggers,
        triggers.stream().map(words::trigger).collect(Collectors.joining(", ")),
        words.routineName(b),
        words.arguments(b),
        words.place(b.place()),
        family,
        now.outlook(b).stage(),
        now.library().routineOf(b).map(FoundBy::of).orElse("") + " " + words.sight(triggers));
  }

  /** True when every word of a filter stands somewhere in the row, or in what is wrong with it. */
  boolean matches(String filter, String trouble) {
    String all =
        String.join(
                " ",
                trigger.isEmpty() ? Ui.text("notrigger") : trigger,
                routine,
                besides,
                arguments,
                place,
                family,
                trouble,
                Ui.text("readiness." + readiness))
            .toLowerCase(Locale.ROOT);
    for (String word : filter.toLowerCase(Locale.ROOT).split("\\s+")) {
      if (!all.contains(word)) {
        return false;
      }
    }
    return true;
  }

  boolean isIn(String application) {
    return application.isEmpty() || binding.place().isOf(application);
  }
}
