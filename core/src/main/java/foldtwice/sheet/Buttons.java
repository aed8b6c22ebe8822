package foldtwice.sheet;

import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Surface;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Toolbars and radial menus on a sheet. */
public final class Buttons {

  private Buttons() {}

  /**
   * One of them.
   *
   * @param about whose it is, or where it opens and by what
   */
  public record Of(String name, String about, Picture picture) {}

  /**
   * Those on which something that the sheet tells of lies, and those of the program it is about.
   */
  static List<Of> of(Subject subject, About about, Contents contents) {
    Library library = subject.library();
    Words words = new Words(library, subject.keymap().layout());
    Map<Trigger, String> does = new HashMap<>();
    contents
        .lines()
        .forEach(l -> does.merge(l.trigger(), l.does(), (x, y) -> x.equals(y) ? x : x + " / " + y));
    List<Of> all = new ArrayList<>();
    for (Surface s : library.surfaces().values()) {
      switch (s) {
        case Toolbar bar -> {
          boolean used =
              does.keySet().stream()
                  .anyMatch(t -> t instanceof Trigger.Button b && b.toolbar().equals(bar.id()));
          if (used || isOf(about, Optional.of(bar.application()))) {
            Svg picture =
                ButtonDrawing.toolbar(
                    bar, slot -> does.getOrDefault(new Trigger.Button(bar.id(), slot), ""));
            all.add(
                new Of(
                    bar.name(),
                    Sheet.TEXTS.get("sheet.toolbar", words.application(bar.application())),
                    Picture.of(picture)));
          }
        }
        case RadialMenu menu -> {
          boolean used =
              does.keySet().stream()
                  .anyMatch(t -> t instanceof Trigger.Radial r && r.menu().equals(menu.id()));
          if (used || isOf(about, menu.place().applicationId())) {
            Svg picture =
                ButtonDrawing.radial(
                    menu, d -> does.getOrDefault(new Trigger.Radial(menu.id(), d), ""));
            String opens =
                menu.opens().isEmpty()
                    ? Sheet.TEXTS.get("sheet.opens.nothing")
                    : String.join(", ", menu.opens().stream().map(words::trigger).toList());
            all.add(
                new Of(
                    menu.name(),
                    Sheet.TEXTS.get("sheet.radial", opens, words.place(menu.place())),
                    Picture.of(picture)));
          }
        }
        default -> {} // devices have sheets of their own; what fits is made up anew each time
      }
    }
    return all;
  }

  private static boolean isOf(About about, Optional<String> application) {
    return about instanceof About.Everything
        || (about instanceof About.Program(String id) && application.equals(Optional.of(id)));
  }
}
