package foldtwice.bench;

import foldtwice.describe.Description;
import foldtwice.describe.Does;
import foldtwice.describe.Span;
import foldtwice.desktop.trying.TryView;
import foldtwice.desktop.view.Target;
import foldtwice.extras.Extras;
import foldtwice.library.Beginning;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryFile;
import foldtwice.place.Application;
import foldtwice.place.Danger;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.trigger.Shape;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.TextField;

/**
 * Programs that are described: how long a sketch of 2,000 commands takes to be seen in Try, and
 * each letter of a search among 100,000 commands in the look-up, until its answer is drawn. Prints
 * milliseconds: the first, the median and the longest.
 */
public final class Described {

  private static final String[] MENUS = {"File", "Edit", "Draft", "View", "Weave", "Check"};

  /** As a quick hand types, so that the picture before has been painted. */
  private static final int BETWEEN_LETTERS_MILLIS = 120;

  private Described() {}

  /** Takes no arguments. */
  public static void main(String[] none) throws Exception {
    System.out.printf("sketch of 2,000 commands seen in Try: %s%n", sketches());
    System.out.printf("a letter among 100,000 commands: %s%n", letters());
    System.exit(0);
  }

  private static String sketches() throws Exception {
    Library library = with("one", 20, "big", 2_000);
    library = new Edit.PutApplication(program("two", 20)).on(library);
    Library three = library;
    List<Double> all = new ArrayList<>();
    List<Double> small = new ArrayList<>();
    for (int i = 0; i < 9; i++) {
      Opened opened = opened(three);
      Opened.on(() -> opened.frame().show(TryView.class).go("one"));
      drawn(opened);
      Thread.sleep(BETWEEN_LETTERS_MILLIS);
      long from = System.nanoTime();
      Opened.on(() -> opened.frame().show(TryView.class).go("big"));
      drawn(opened);
      all.add((System.nanoTime() - from) / 1e6);
      Opened.on(() -> opened.frame().show(TryView.class).go("one"));
      drawn(opened);
      from = System.nanoTime();
      Opened.on(() -> opened.frame().show(TryView.class).go("two"));
      drawn(opened);
      small.add((System.nanoTime() - from) / 1e6);
    }
    return told(all) + "; of 20 commands: " + told(small);
  }

  private static String letters() throws Exception {
    Opened opened = opened(with("one", 20, "huge", 100_000));
    Opened.on(() -> opened.frame().to(new Target.Sheet("places")));
    Opened.on(opened.frame()::openLookUp);
    List<Double> answered = new ArrayList<>();
    List<Double> all = new ArrayList<>();
    for (String word : List.of("weave 77", "mirror 5", "ctrl m", "check 99", "zzz")) {
      for (int end = 1; end <= word.length(); end++) {
        String typed = word.substring(0, end);
        Thread.sleep(BETWEEN_LETTERS_MILLIS);
        long from = System.nanoTime();
        Opened.on(() -> ((TextField) opened.scene().lookup("#look-up")).setText(typed));
        answered.add((System.nanoTime() - from) / 1e6);
        drawn(opened);
        all.add((System.nanoTime() - from) / 1e6);
      }
    }
    return told(answered) + ", and drawn: " + told(all);
  }

  private static Library with(String one, int few, String other, int many) {
    Library library =
        new Beginning("bench", "here", "us", Shape.ANSI, Beginning.desktop("logo")).library();
    for (Application a : List.of(program(one, few), program(other, many))) {
      library = new Edit.PutApplication(a).on(library);
      library = new Edit.Describe(described(a)).on(library);
    }
    return library;
  }

  private static Application program(String id, int commands) {
    List<NativeCommand> all = new ArrayList<>();
    for (int i = 0; i < commands; i++) {
      String menu = MENUS[i % MENUS.length];
      String name = (i % 3 == 0 ? "Mirror " : i % 3 == 1 ? "Weave " : "Check ") + i;
      all.add(
          new NativeCommand(
              "c" + i,
              name,
              menu,
              List.of(menu, "Group " + i / 60, name),
              List.of(),
              new Place.Whole(id),
              0,
              Danger.NONE,
              Optional.empty(),
              Extras.NONE));
    }
    return Application.unknown(id).named(id, "1").withCommands(all);
  }

  private static Description described(Application a) {
    List<Description.Command> does = new ArrayList<>();
    for (NativeCommand c : a.commands()) {
      does.add(
          new Description.Command(
              c.id(), List.of(new Does.Turns("Grid")), "", false, "", Span.ALWAYS));
    }
    return Description.none(a.id())
        .withCommands(does)
        .withSettings(
            List.of(
                new Description.Setting("Grid", List.of("on", "off"), "on", false, Span.ALWAYS)));
  }

  private static Opened opened(Library library) throws Exception {
    Path file = Files.createTempDirectory("described").resolve("library.json");
    LibraryFile.create(file, library);
    Opened opened = Opened.over(file);
    drawn(opened);
    Thread.sleep(1500); // what is worked out in the background is done
    return opened;
  }

  /** Until the next picture has been laid out. */
  private static void drawn(Opened opened) throws Exception {
    opened.untilLaidOut(() -> {});
  }

  private static String told(List<Double> all) {
    double[] sorted = all.stream().mapToDouble(d -> d).sorted().toArray();
    return String.format(
        "first %.0f, median %.0f, longest %.0f (%s)",
        all.getFirst(),
        sorted[sorted.length / 2],
        sorted[sorted.length - 1],
        Arrays.stream(sorted).mapToObj(d -> String.format("%.0f", d)).toList());
  }
}
