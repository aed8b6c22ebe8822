package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.binding.Readiness;
import foldtwice.conflict.Conflict;
import foldtwice.desktop.parts.FoundBy;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
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
    Optional<Conflict> conflict,
    String conflictText,
    String besides) {

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
            Optional.empty(),
            "",
            now.library().routineOf(b).map(FoundBy::of).orElse("") + " " + words.sight(triggers))
        .told(now, words);
  }

  /** The same with what is told of it now. */
  Row told(Snapshot now, Words words) {
    Optional<Conflict> worst = now.conflictsOf(binding.id()).stream().findFirst();
    return worst.equals(conflict)
        ? this
        : new Row(
            binding,
            triggers,
            trigger,
            routine,
            arguments,
            place,
            family,
            readiness,
            worst,
            worst.map(c -> brief(c, binding, words)).orElse(""),
            besides);
  }

  /** A double claim names the other of the two, from whichever side it is told. */
  private static String brief(Conflict c, Binding b, Words words) {
    List<foldtwice.resolve.Claim> claims = new java.util.ArrayList<>(c.claims());
    claims.sort(
        java.util.Comparator.comparing(
            claim -> !claim.owner().equals(new foldtwice.resolve.Owner.Yours(b.id()))));
    return words.brief(c.toldFrom(claims));
  }

  /** True when every word of a filter stands somewhere in the row. */
  boolean matches(String filter) {
    String all =
        String.join(
                " ",
                trigger.isEmpty() ? Ui.text("notrigger") : trigger,
                routine,
                besides,
                arguments,
                place,
                family,
                conflictText,
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
    return application.isEmpty()
        || binding.place().applicationId().filter(application::equals).isPresent();
  }
}
