package foldtwice.desktop.conflicts;

import foldtwice.conflict.Conflict;
import foldtwice.desktop.parts.Batched;
import foldtwice.desktop.parts.Lists;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.scene.control.ListView;
import javafx.scene.control.SelectionMode;

/** The conflicts, ranked, in groups with a heading each. */
final class ConflictList extends ListView<ConflictList.Row> {

  /** A row: a heading, or a conflict. */
  sealed interface Row {
    record Heading(String text, int count) implements Row {}

    record One(Conflict conflict) implements Row {}
  }

  /**
   * Room for a kind and two lines, in pixels. All rows are as high: a list of rows of their own
   * heights measures two more each time something is drawn, until it has measured all.
   */
  private static final double ROW = 66;

  /** So many are held against each other. */
  private static final int FEW = 8;

  private Snapshot now;
  private Optional<Filled> filled = Optional.empty();
  private Optional<Alike> alike = Optional.empty();
  private final List<ConflictCell> cells = new ArrayList<>();

  /** Those of one cause, of those in the list. */
  private record Alike(Conflict one, List<Conflict> all) {}

  ConflictList() {
    setId("conflicts");
    setAccessibleText(Ui.text("tab.conflicts"));
    setItems(new Batched<>());
    getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
    setFixedCellSize(ROW);
    setCellFactory(
        v -> {
          ConflictCell cell = Skins.on(new ConflictCell(() -> now.words()));
          cells.add(cell);
          return cell;
        });
    setPlaceholder(Parts.wrapped(Ui.text("conflicts.none"), "soft"));
  }

  /** Shows conflicts, keeping those chosen that are still there. Costs a pass over them. */
  void show(Snapshot snapshot, List<Conflict> conflicts, Grouping grouping, String filter) {
    List<Conflict> chosen = chosen();
    boolean same = filled.isPresent() && filled.get().isSame(snapshot, conflicts, grouping, filter);
    boolean sameNames =
        now != null
            && Question.Same.is(now.library(), snapshot.library())
            && Question.Same.is(now.keymap().layout(), snapshot.keymap().layout());
    now = snapshot;
    filled = Optional.of(new Filled(snapshot.library(), conflicts, grouping, filter));
    if (!same) {
      fill(rows(conflicts, grouping, filter), chosen);
    }
    if (!sameNames) {
      cells.forEach(ConflictCell::look);
    }
  }

  /** What the rows were made from. */
  private record Filled(
      Library library, List<Conflict> conflicts, Grouping grouping, String filter) {

    /** True when other names of bindings at most would make them otherwise. */
    boolean isSame(Snapshot now, List<Conflict> other, Grouping by, String typed) {
      return conflicts == other
          && grouping == by
          && by != Grouping.ROUTINE
          && filter.isBlank()
          && typed.isBlank()
          && library.applications() == now.library().applications()
          && library.routines() == now.library().routines()
          && library.surfaces() == now.library().surfaces();
    }
  }

  private List<Row> rows(List<Conflict> conflicts, Grouping grouping, String filter) {
    Function<Conflict, String> group = grouping.of(now);
    Map<String, List<Row>> groups = new LinkedHashMap<>();
    for (Conflict c : conflicts) {
      if (matches(c, filter)) {
        groups.computeIfAbsent(group.apply(c), g -> new ArrayList<>()).add(new Row.One(c));
      }
    }
    List<Row> rows = new ArrayList<>();
    groups.forEach(
        (name, some) -> {
          rows.add(new Row.Heading(name, some.size()));
          rows.addAll(some);
        });
    return rows;
  }

  /** Tells whether the trouble was chosen; a few are held against each, many looked up. */
  private static Predicate<Conflict> stays(List<Conflict> chosen) {
    if (chosen.size() <= FEW) {
      return c -> isTopicOfAny(c, chosen);
    }
    Set<Object> topics = chosen.stream().map(Conflict::topic).collect(Collectors.toSet());
    return c -> topics.contains(c.topic());
  }

  private static boolean isTopicOfAny(Conflict one, List<Conflict> some) {
    for (Conflict c : some) {
      if (one.isTopicOf(c)) {
        return true;
      }
    }
    return false;
  }

  private void fill(List<Row> rows, List<Conflict> chosen) {
    alike = Optional.empty();
    getSelectionModel().clearSelection();
    Lists.follow(getItems(), rows);
    if (!chosen.isEmpty()) {
      Predicate<Conflict> stays = stays(chosen);
      for (int i = 0; i < rows.size(); i++) {
        if (rows.get(i) instanceof Row.One(Conflict c) && stays.test(c)) {
          getSelectionModel().select(i);
        }
      }
    }
    if (getSelectionModel().isEmpty() && rows.size() > 1) {
      getSelectionModel().select(1);
    }
  }

  private boolean matches(Conflict c, String filter) {
    if (filter.isBlank()) {
      return true;
    }
    String all =
        (Words.kind(c.kind()) + " " + now.words().sentence(c) + " " + Words.weight(c.weight()))
            .toLowerCase(Locale.ROOT);
    for (String word : filter.toLowerCase(Locale.ROOT).strip().split("\\s+")) {
      if (!all.contains(word)) {
        return false;
      }
    }
    return true;
  }

  /** Those that are chosen, in the order of the list. */
  List<Conflict> chosen() {
    return getSelectionModel().getSelectedItems().stream()
        .flatMap(r -> r instanceof Row.One(Conflict c) ? Stream.of(c) : Stream.empty())
        .toList();
  }

  /**
   * Those in the list that come from the same trigger of the same owner as one of them. Costs a
   * pass over the list, once.
   */
  List<Conflict> ofOneCause(Conflict one) {
    if (alike.isPresent() && Question.Same.is(alike.get().one(), one)) {
      return alike.get().all();
    }
    List<Conflict> all = new ArrayList<>();
    for (Row r : getItems()) {
      if (r instanceof Row.One(Conflict c) && c.hasCauseOf(one)) {
        all.add(c);
      }
    }
    alike = Optional.of(new Alike(one, all));
    return all;
  }

  /** Chooses all of these that are in the list. */
  void chooseAll(List<Conflict> some) {
    Set<Object> topics = some.stream().map(Conflict::topic).collect(Collectors.toSet());
    int[] rows =
        IntStream.range(0, getItems().size())
            .filter(
                i -> getItems().get(i) instanceof Row.One(Conflict c) && topics.contains(c.topic()))
            .toArray();
    if (rows.length > 0) {
      getSelectionModel().clearSelection();
      getSelectionModel().selectIndices(rows[0], rows);
    }
  }

  /** True when the conflict with this trouble is in the list. */
  boolean shows(Object topic) {
    return getItems().stream()
        .anyMatch(r -> r instanceof Row.One(Conflict c) && c.topic().equals(topic));
  }

  /** Chooses the conflict with this trouble, if it is in the list. */
  void choose(Object topic) {
    for (int i = 0; i < getItems().size(); i++) {
      if (getItems().get(i) instanceof Row.One(Conflict c) && c.topic().equals(topic)) {
        getSelectionModel().clearAndSelect(i);
        scrollTo(Math.max(0, i - 2));
      }
    }
  }
}
