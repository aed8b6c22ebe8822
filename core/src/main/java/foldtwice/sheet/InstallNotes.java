package foldtwice.sheet;

import foldtwice.binding.Binding;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.place.Need;
import foldtwice.ready.Outlook;
import foldtwice.ready.Setup;
import foldtwice.ready.Wait;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/**
 * What has to be done on a computer on which nothing was done yet, program by program and in order:
 * what to install, what to put where, what to restart and to switch on.
 */
public final class InstallNotes {

  private InstallNotes() {}

  /**
   * A program, and what has to be done in it.
   *
   * @param ready how many bindings need nothing
   */
  public record Of(String program, List<Item> items, int ready) {}

  /**
   * One thing to tick off.
   *
   * @param bindings what waits for it, in words
   */
  public record Item(String says, List<String> bindings) {}

  /** What to do, where it can be told as that. */
  private static String says(Wait what, Words words) {
    return what instanceof Wait.For(Need need)
        ? Sheet.TEXTS.get("sheet.do." + need)
        : words.wait(what);
  }

  static List<Of> of(Subject subject, About about) {
    Library library = subject.library();
    Words words = new Words(library, subject.keymap().layout());
    Predicate<Binding> meant = about.within(library);
    Setup nothing = new Setup(Map.of());
    Map<String, Map<String, List<String>>> programs = new LinkedHashMap<>();
    Map<String, Integer> ready = new LinkedHashMap<>();
    for (Binding b : library.bindings().values()) {
      if (b.isDraft() || b.isOff() || !meant.test(b)) {
        continue;
      }
      String program =
          b.place()
              .applicationId()
              .map(words::application)
              .orElseGet(() -> Sheet.TEXTS.get("sheet.everywhere"));
      Map<String, List<String>> items =
          programs.computeIfAbsent(program, p -> new LinkedHashMap<>());
      List<Outlook.Item> waits =
          Outlook.of(library, subject.keymap(), subject.known(), nothing, b).items();
      waits.forEach(
          i ->
              items
                  .computeIfAbsent(says(i.what(), words), w -> new ArrayList<>())
                  .add(words.binding(b)));
      ready.merge(program, waits.isEmpty() ? 1 : 0, Integer::sum);
    }
    List<Of> all = new ArrayList<>();
    programs.forEach(
        (program, items) ->
            all.add(
                new Of(
                    program,
                    items.entrySet().stream()
                        .map(e -> new Item(e.getKey(), List.copyOf(e.getValue())))
                        .toList(),
                    ready.get(program))));
    return all;
  }
}
