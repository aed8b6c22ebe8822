package foldtwice.desktop.places;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Bound;
import foldtwice.library.Edit;
import foldtwice.library.Ids;
import foldtwice.place.Application;
import foldtwice.place.Need;
import foldtwice.place.WayIn;
import foldtwice.ready.Entries;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** How bindings get into an application, and what stands in its file. */
final class WaysPane extends VBox {

  private static final int MOST_ENTRIES = 40;

  private final Session session;
  private final VBox rows = new VBox(5);
  private Shown shown;

  WaysPane(Session session) {
    super(5);
    this.session = session;
    setId("ways-pane");
    getChildren().add(rows);
  }

  /**
   * All that is seen.
   *
   * @param taken how many bindings come by each way
   * @param running what runs beside it
   * @param entries what stands in its file, or is to; empty where it has none here
   */
  private record Shown(
      Application application,
      List<Integer> taken,
      Set<Need> running,
      Optional<List<Entries.Entry>> entries,
      Question.Same layout) {

    static Shown of(Snapshot now, Application application, boolean here) {
      boolean copied =
          application.ways().stream().anyMatch(w -> w.needs().contains(Need.FILE_COPIED));
      return new Shown(
          application,
          taken(now, application),
          now.setup().program(application.id()).running(),
          here && copied
              ? Optional.of(Entries.of(now.library(), now.setup(), application))
              : Optional.empty(),
          new Question.Same(now.keymap().layout()));
    }

    private static List<Integer> taken(Snapshot now, Application application) {
      Map<WayIn, Integer> taken = new HashMap<>();
      for (Binding b : Bound.in(now.library(), application.id())) {
        application.way(b.fitting().way()).ifPresent(w -> taken.merge(w, 1, Integer::sum));
      }
      return application.ways().stream().map(w -> taken.getOrDefault(w, 0)).toList();
    }
  }

  void show(Snapshot now, Application application) {
    boolean here = session.programs().containsKey(application.id());
    Shown next = Shown.of(now, application, here);
    if (next.equals(shown)) {
      return;
    }
    if (shown == null || !application.id().equals(shown.application().id())) {
      form(application);
    } // what is being written into the form stays
    shown = next;
    boolean had = Parts.hasKeys(rows);
    rows.getChildren().clear();
    if (application.ways().isEmpty()) {
      rows.getChildren().add(Parts.wrapped(Ui.text("ways.none"), "soft"));
    }
    for (int i = 0; i < application.ways().size(); i++) {
      way(application, application.ways().get(i), next.taken().get(i));
    }
    next.entries().ifPresent(entries -> file(now, entries));
    if (had && lookup("#ways-write") != null) {
      lookup("#ways-write").requestFocus();
    }
  }

  private void form(Application application) {
    getChildren().setAll(rows, new WayForm(application, this::add));
  }

  private void way(Application application, WayIn way, int taken) {
    HBox head = new HBox(8, Parts.label(way.name(), "strong"), Parts.gap());
    head.getChildren()
        .add(
            Parts.button(
                "way-away-" + way.id(),
                Ui.text("ways.away"),
                () -> remove(application, way),
                "link"));
    rows.getChildren().add(head);
    String needs =
        way.needs().isEmpty()
            ? Ui.text("ways.atonce")
            : way.needs().stream().map(Words::need).collect(Collectors.joining(", "));
    rows.getChildren().add(row(Ui.text("ways.needs"), needs));
    rows.getChildren()
        .add(
            row(
                Ui.text("ways.bindings"),
                way.slots() == 0
                    ? Integer.toString(taken)
                    : Ui.text("ways.slots", taken, way.slots())));
    if (!way.passesArguments()) {
      rows.getChildren().add(Parts.wrapped(Ui.text("ways.noarguments"), "soft"));
    }
    if (way.freeOfRules()) {
      rows.getChildren().add(Parts.wrapped(Ui.text("ways.free"), "soft"));
    }
    for (Need need : List.of(Need.HELPER_RUNNING, Need.DOCUMENT_OPEN, Need.TOOLBAR_SHOWN)) {
      if (way.needs().contains(need) && session.programs().containsKey(application.id())) {
        CheckBox runs = Skins.on(new CheckBox(Ui.text("ways." + need)));
        runs.setId("ways-" + need.name().toLowerCase(Locale.ROOT));
        runs.setSelected(shown.running().contains(need));
        runs.setOnAction(e -> session.needs().run(application, need, runs.isSelected()));
        rows.getChildren().add(runs);
      }
    }
  }

  private void add(WayIn way) {
    Application application = shown.application();
    List<WayIn> more = new ArrayList<>(application.ways());
    String id =
        Ids.free(
            Ids.of(way.name(), "way"),
            wanted -> more.stream().anyMatch(w -> w.id().equals(wanted)));
    more.add(
        new WayIn(
            id,
            way.name(),
            way.needs(),
            way.passesArguments(),
            way.slots(),
            way.freeOfRules(),
            way.extras()));
    put(application, more);
    form(application);
    lookup("#way-new").requestFocus();
  }

  /** A way some binding names stays. */
  private void remove(Application application, WayIn way) {
    long named =
        Bound.in(session.now().library(), application.id()).stream()
            .filter(b -> b.fitting().way().equals(way.id()))
            .count();
    if (named > 0) {
      session.say(Ui.text("ways.used", way.name(), named));
      return;
    }
    put(application, application.ways().stream().filter(w -> !w.equals(way)).toList());
  }

  private void put(Application application, List<WayIn> ways) {
    session.make(
        new Edit.PutApplication(application.withWays(ways)),
        Ui.text("said.changed", application.name()));
  }

  /** What has to be written, what is stale, and the thin entries. */
  private void file(Snapshot now, List<Entries.Entry> entries) {
    long open = entries.stream().filter(e -> e.state() != Entries.State.CURRENT).count();
    rows.getChildren().add(Parts.label(Ui.text("ways.file", entries.size()), "strong"));
    if (open > 0) {
      rows.getChildren()
          .addAll(
              Parts.wrapped(Ui.text("ways.open", open), "costs"),
              Parts.button(
                  "ways-write",
                  Ui.text("ways.write"),
                  () -> session.needs().copy(shown.application()),
                  "make"));
    }
    entries.stream()
        .filter(e -> e.state() != Entries.State.CURRENT || e.thin())
        .sorted(Comparator.comparing(e -> e.state() == Entries.State.CURRENT))
        .limit(MOST_ENTRIES)
        .forEach(e -> rows.getChildren().add(entry(now, e)));
  }

  private static HBox entry(Snapshot now, Entries.Entry e) {
    return row(
        e.binding().triggers().stream().map(now.words()::trigger).collect(Collectors.joining(", ")),
        Ui.text("ways.entry." + e.state(), e.name()));
  }

  private static HBox row(String name, String says) {
    HBox row = Parts.fact(name, Parts.wrapped(says));
    row.getStyleClass().add("why-row");
    return row;
  }
}
