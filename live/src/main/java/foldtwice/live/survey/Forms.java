package foldtwice.live.survey;

import foldtwice.describe.Description;
import foldtwice.describe.Span;
import foldtwice.routine.Kind;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Dialogs that were read, as a description has them. */
final class Forms {

  private Forms() {}

  /** Dialogs as they were opened, over those a library knows. */
  static List<Description.Dialog> dialogs(
      List<Description.Dialog> said, List<Survey.Form> read, Differences differences) {
    return differences.merge(
        said,
        read.stream().map(Forms::dialog).toList(),
        Description.Dialog::title,
        (old, now) -> sameForm(old, now) ? old : again(old, now),
        Forms::words,
        Proposal.What.DIALOG,
        true);
  }

  private static Description.Dialog dialog(Survey.Form form) {
    Set<String> labels = new HashSet<>();
    return new Description.Dialog(
        form.title(),
        form.fields().stream().filter(f -> labels.add(f.label())).map(Forms::field).toList(),
        form.buttons().stream()
            .distinct()
            .map(b -> new Description.Button(b, List.of(), false))
            .toList(),
        Span.ALWAYS);
  }

  private static Description.Field field(Survey.Field f) {
    return switch (f.takes()) {
      case TEXT -> new Description.Field(f.label(), new Kind.Words(), f.start(), "");
      case YES_NO -> new Description.Field(f.label(), new Kind.YesNo(), f.start(), "");
      case CHOICE ->
          f.options().isEmpty()
              ? new Description.Field(f.label(), new Kind.Words(), f.start(), "")
              : new Description.Field(
                  f.label(),
                  new Kind.Choice(f.options().stream().distinct().toList()),
                  f.options().contains(f.start()) ? f.start() : f.options().getFirst(),
                  "");
      case NUMBER ->
          new Description.Field(
              f.label(),
              new Kind.Decimal(
                  Numbers.of(f.least()),
                  Numbers.of(f.most() > f.least() ? f.most() : f.least()),
                  Numbers.of(step(f.step()))),
              Numbers.of(Double.parseDouble(f.start())).toPlainString(),
              "");
    };
  }

  /** The same dialog with what buttons are known to do. */
  private static Description.Dialog again(Description.Dialog old, Description.Dialog now) {
    Map<String, Description.Button> known = new HashMap<>();
    old.buttons().forEach(b -> known.putIfAbsent(b.label(), b));
    Map<String, Description.Field> before = new HashMap<>();
    old.fields().forEach(f -> before.putIfAbsent(f.label(), f));
    return new Description.Dialog(
        old.title(),
        now.fields().stream().map(f -> wider(before.getOrDefault(f.label(), f), f)).toList(),
        now.buttons().stream().map(b -> known.getOrDefault(b.label(), b)).toList(),
        old.span());
  }

  /** How far a number goes may depend on the document: it goes as far as it ever was seen to. */
  private static Description.Field wider(Description.Field old, Description.Field now) {
    if (old.kind() instanceof Kind.Decimal(var least, var most, var step)
        && now.kind() instanceof Kind.Decimal other) {
      return new Description.Field(
          now.label(),
          new Kind.Decimal(least.min(other.least()), most.max(other.most()), step),
          old.start(),
          old.unitOf());
    }
    return now;
  }

  private static boolean sameForm(Description.Dialog one, Description.Dialog other) {
    return fields(one).equals(fields(again(one, other)))
        && one.buttons().stream()
            .map(Description.Button::label)
            .collect(Collectors.toSet())
            .equals(
                other.buttons().stream()
                    .map(Description.Button::label)
                    .collect(Collectors.toSet()));
  }

  private static List<String> fields(Description.Dialog d) {
    return d.fields().stream().map(f -> f.label() + f.kind()).toList();
  }

  private static String words(Description.Dialog d) {
    return d.fields().stream().map(Description.Field::label).collect(Collectors.joining(", "))
        + (d.fields().isEmpty() ? "" : "; ")
        + d.buttons().stream().map(Description.Button::label).collect(Collectors.joining(", "));
  }

  private static double step(double told) {
    return told >= 1e-6 && Double.isFinite(told) ? told : 1;
  }
}
