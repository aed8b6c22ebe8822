package foldtwice.sheet;

import foldtwice.binding.Binding;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.trigger.Keysym;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Press;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Texts that are typed by keys, as an X11 Compose file (the X.Org manual page Compose(5)), so that
 * they are typed without any program of ours. Lines are {@code <Multi_key> <o> <c> : "©"}.
 *
 * <p>A sequence whose first key types something is put behind the Compose key ({@code Multi_key}),
 * or typing that letter would always wait. Such a file knows neither contexts nor Ctrl, Alt and
 * Logo, and texts that are made up anew each time are none: what needs one of these is left out.
 *
 * @param text the file
 * @param lines how many sequences it has
 * @param leftOut what could not be put into it, and why
 */
public record ComposeFile(String text, int lines, List<Contents.Aside> leftOut) {

  /** Longer results are cut by readers of such files; in bytes of UTF-8. */
  private static final int LONGEST = 250;

  /**
   * Puts what a sheet tells of into such a file.
   *
   * @param contents of the sheet; bindings that do not work on the station are not in it
   */
  static ComposeFile of(Subject subject, Contents contents) {
    Library library = subject.library();
    Words words = new Words(library, subject.keymap().layout());
    Layout layout = subject.keymap().layout();
    Apart apart = new Apart();
    Map<List<String>, String> sequences = new LinkedHashMap<>();
    List<Contents.Aside> left = new ArrayList<>();
    for (Contents.Line line : contents.lines()) {
      Binding b = library.bindings().get(line.binding());
      if (b == null) {
        continue; // the program's own
      }
      Optional<String> types = library.routineOf(b).flatMap(r -> types(b, r));
      if (types.isEmpty()) {
        continue; // it does something else than typing a text
      }
      Optional<List<String>> keys = keysyms(line.trigger(), layout);
      String why =
          keys.isEmpty()
              ? "keys"
              : types.get().getBytes(StandardCharsets.UTF_8).length > LONGEST
                  ? "long"
                  : apart.add(keys.get()) ? "" : "taken";
      if (why.isEmpty()) {
        sequences.put(keys.get(), types.get());
      } else {
        left.add(
            new Contents.Aside(
                b.id(), line.says(), words.binding(b), Sheet.TEXTS.get("sheet.compose." + why)));
      }
    }
    StringBuilder out = new StringBuilder();
    out.append("# ")
        .append(comment(Sheet.TEXTS.get("sheet.compose.head", contents.title(), contents.asOf())))
        .append("\ninclude \"%L\"\n");
    sequences.forEach((keys, text) -> out.append(line(keys, text)));
    return new ComposeFile(out.toString(), sequences.size(), left);
  }

  private static String line(List<String> keys, String text) {
    StringBuilder out = new StringBuilder();
    keys.forEach(k -> out.append('<').append(k).append("> "));
    return out.append(": \"").append(quoted(text)).append("\"\n").toString();
  }

  /** Compose(5): a backslash, a quote and what cannot be seen are written with a backslash. */
  private static String quoted(String text) {
    StringBuilder out = new StringBuilder();
    text.codePoints()
        .forEach(
            c -> {
              if (c == '"' || c == '\\') {
                out.append('\\').appendCodePoint(c);
              } else if (c < 0x20 || c == 0x7F) {
                out.append(String.format("\\%03o", c));
              } else {
                out.appendCodePoint(c);
              }
            });
    return out.toString();
  }

  private static String comment(String text) {
    return text.replaceAll("\\p{Cntrl}", " ");
  }

  /** Sequences of which none is another or begins one: readers would keep one of them only. */
  private static final class Apart {
    private final Set<List<String>> whole = new HashSet<>();
    private final Set<List<String>> begun = new HashSet<>();

    /** Takes one up; false when it would clash. */
    boolean add(List<String> keys) {
      for (int i = 1; i <= keys.size(); i++) {
        if (whole.contains(keys.subList(0, i))) {
          return false;
        }
      }
      if (begun.contains(keys)) {
        return false;
      }
      for (int i = 1; i < keys.size(); i++) {
        begun.add(List.copyOf(keys.subList(0, i)));
      }
      return whole.add(keys);
    }
  }

  /** The keysyms of a trigger; empty where such a file cannot tell of it. */
  private static Optional<List<String>> keysyms(Trigger trigger, Layout layout) {
    if (!(trigger instanceof Trigger.Keys(List<Stroke> strokes))) {
      return Optional.empty();
    }
    List<String> names = new ArrayList<>();
    for (Stroke s : strokes) {
      Optional<Keysym> makes =
          layout.presses(s).stream()
              .filter(ComposeFile::isPlain)
              .findFirst()
              .flatMap(p -> layout.makes(p.code(), p.held()));
      if (makes.isEmpty()) {
        return Optional.empty();
      }
      if (names.isEmpty() && makes.get().types()) {
        names.add("Multi_key");
      }
      names.add(makes.get().name());
    }
    return Optional.of(names);
  }

  private static boolean isPlain(Press p) {
    Set<Modifier> held = new HashSet<>(p.held().list());
    held.removeAll(Set.of(Modifier.SHIFT, Modifier.ALTGR));
    return held.isEmpty();
  }

  /** The text a routine types, where it does nothing else and types the same each time. */
  private static Optional<String> types(Binding binding, Routine routine) {
    if (!(routine instanceof Routine.Macro macro)) {
      return Optional.empty();
    }
    StringBuilder text = new StringBuilder();
    for (Line line : macro.steps()) {
      if (!line.on() || line.step() instanceof Step.Modifiers || line.step() instanceof Step.Note) {
        continue;
      }
      if (!(line.step() instanceof Step.TypeText(var template))
          || !template.names().stream().allMatch(n -> macro.parameter(n).isPresent())) {
        return Optional.empty();
      }
      text.append(
          template.with(n -> Library.argument(binding, macro.parameter(n).orElseThrow()).shown()));
    }
    return text.isEmpty() ? Optional.empty() : Optional.of(text.toString());
  }
}
