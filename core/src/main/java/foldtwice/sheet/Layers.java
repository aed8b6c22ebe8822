package foldtwice.sheet;

import foldtwice.atlas.Atlas;
import foldtwice.atlas.Key;
import foldtwice.atlas.Troubles;
import foldtwice.binding.Binding;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.resolve.Owner;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * The keyboard in every place a sheet is about, with everything held that means something there.
 */
public final class Layers {

  /** More pages nobody prints. */
  static final int MOST_PLACES = 60;

  /** Margins, headings and legend of such a page, in millimetres. */
  private static final double NOT_KEYS = 20 + 9 + 2 * 8 + 8;

  private Layers() {}

  /**
   * A place and its pictures.
   *
   * @param pages two pictures each, as many as fit on a page
   */
  public record Of(String place, List<List<Layer>> pages) {}

  /**
   * The keyboard with something held.
   *
   * @param held in words; empty for nothing
   */
  public record Layer(String held, Picture picture) {}

  static List<Of> of(Subject subject, List<Conflict> conflicts, Wanted wanted, Contents contents) {
    double width = width(subject.keymap().station().shape(), wanted.paper());
    Library library = subject.library();
    Words words = new Words(library, subject.keymap().layout());
    Troubles troubles = new Troubles(conflicts);
    Set<Modifiers> held = held(library);
    List<Of> all = new ArrayList<>();
    for (Place place : places(subject, wanted.about(), contents)) {
      List<Layer> layers = new ArrayList<>();
      for (Modifiers m : held) {
        Atlas atlas = Atlas.of(library, subject.keymap(), troubles, place, m, List.of());
        if (atlas.keys().values().stream().anyMatch(k -> isTaken(k, wanted.natives()))) {
          String name = m.words();
          String title =
              name.isEmpty()
                  ? words.place(place)
                  : Sheet.TEXTS.get("sheet.layer.title", words.place(place), name);
          layers.add(
              new Layer(
                  name,
                  Picture.of(KeyboardDrawing.of(subject.keymap(), atlas, words, width, title))));
        }
      }
      List<List<Layer>> pages = new ArrayList<>();
      for (int i = 0; i < layers.size(); i += 2) {
        pages.add(layers.subList(i, Math.min(i + 2, layers.size())));
      }
      if (!pages.isEmpty()) {
        all.add(new Of(words.place(place), pages));
      }
    }
    return all;
  }

  /** As wide as two of them fit on a page that lies on its side. */
  private static double width(Shape shape, Paper paper) {
    List<Shape.Cap> caps = shape.allCaps();
    double across = caps.stream().mapToDouble(c -> c.x() + c.width()).max().orElseThrow();
    double top = caps.stream().mapToDouble(Shape.Cap::y).min().orElseThrow();
    double down = caps.stream().mapToDouble(c -> c.y() + 1).max().orElseThrow() - top;
    double high = (paper.width() - NOT_KEYS) / 2;
    return Math.min(paper.height() - 25, high / down * across);
  }

  /** Whether a layer is worth a picture: something of the library is on it, or of the program. */
  private static boolean isTaken(Key key, boolean natives) {
    return switch (key.part()) {
      case YOURS, SHARED -> true;
      case BEGINS ->
          natives || key.claims().stream().anyMatch(c -> !(c.owner() instanceof Owner.Native));
      case NATIVE -> natives;
      case FREE, DESKTOP, TYPES, MODIFIER -> false;
    };
  }

  /** The states in which something of the sheet can fire. */
  private static List<Place> places(Subject subject, About about, Contents contents) {
    Set<Place> all = new LinkedHashSet<>();
    Library library = subject.library();
    if (about instanceof About.Program(String id)) {
      Application a = library.applications().get(id);
      if (a != null) {
        all.addAll(a.states());
      }
    } else {
      Set<String> bindings = new TreeSet<>();
      contents.lines().forEach(l -> bindings.add(l.binding()));
      for (String id : bindings) {
        Binding b = library.bindings().get(id);
        if (b != null && !(b.place() instanceof Place.Everywhere)) {
          all.addAll(subject.keymap().statesOf(b.place()));
        }
      }
    }
    return all.stream().limit(MOST_PLACES).toList();
  }

  /** What is held for anything in the library, fewest first. */
  private static Set<Modifiers> held(Library library) {
    Set<Modifiers> held =
        new TreeSet<>(Comparator.comparingInt(Modifiers::count).thenComparingInt(Modifiers::bits));
    held.add(Modifiers.NONE);
    for (Binding b : library.bindings().values()) {
      b.triggers().forEach(t -> first(t, held));
    }
    for (Application a : library.applications().values()) {
      a.commands().forEach(c -> c.triggers().forEach(t -> first(t, held)));
    }
    return held;
  }

  private static void first(Trigger t, Set<Modifiers> held) {
    t.keyStrokes().stream().findFirst().map(Stroke::modifiers).ifPresent(held::add);
  }
}
