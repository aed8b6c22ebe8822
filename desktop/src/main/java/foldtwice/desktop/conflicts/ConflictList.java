package foldtwice.desktop.conflicts;

import foldtwice.conflict.Conflict;
import foldtwice.desktop.parts.Batched;
import foldtwice.desktop.parts.Lists;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Background;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntConsumer;
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
    record Heading(String text) implements Row {}

    record One(Conflict conflict) implements Row {}
  }

  /** So many are laid out and counted at once. */
  private static final int AT_ONCE = 500;

  /**
   * Room for a kind and two lines, in pixels. All rows are as high: a list of rows of their own
   * heights measures two more each time something is drawn, until it has measured all.
   */
  private static final double ROW = 66;

  /** So many are held against each other. */
  private static final int FEW = 8;

  private final Question<ConflictRows> laying;
  private final Question<Integer> counting;
  private final Runnable onLaid;
  private final IntConsumer onAlike;
  private final List<ConflictCell> cells = new ArrayList<>();
  private Snapshot now;
  private Optional<Filled> filled = Optional.empty();
  private ConflictRows laid = ConflictRows.NONE;
  private boolean filling;

  /**
   * @param onLaid hears each time that what was to be shown is in the list
   * @param onAlike hears how many come from the same trigger as the first that is chosen
   */
  ConflictList(Background background, Runnable onLaid, IntConsumer onAlike) {
    this.onLaid = onLaid;
    this.onAlike = onAlike;
    laying = background.question(Background.Lane.WORK, this::fill);
    counting = background.question(Background.Lane.WORK, onAlike::accept);
    setId("conflicts");
    setAccessibleText(Ui.text("tab.conflicts"));
    setItems(new Batched<>());
    getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
    setFixedCellSize(ROW);
    setCellFactory(
        v -> {
          ConflictCell cell =
              Skins.on(new ConflictCell(() -> now.words(), h -> laid.counts().getOrDefault(h, 0)));
          cells.add(cell);
          return cell;
        });
    setPlaceholder(Parts.wrapped(Ui.text("conflicts.none"), "soft"));
  }

  /** Shows conflicts, as soon as they are laid out; those chosen stay so where they are there. */
  void show(Snapshot snapshot, List<Conflict> conflicts, Grouping grouping, String filter) {
    boolean same = filled.isPresent() && filled.get().isSame(snapshot, conflicts, grouping, filter);
    boolean sameNames =
        now != null
            && Question.Same.is(now.library(), snapshot.library())
            && Question.Same.is(now.keymap().layout(), snapshot.keymap().layout());
    now = snapshot;
    filled = Optional.of(new Filled(snapshot.library(), conflicts, grouping, filter));
    if (!same && conflicts.size() <= AT_ONCE) {
      laying.drop();
      fill(ConflictRows.of(snapshot, conflicts, grouping, filter));
      return;
    }
    if (!sameNames) {
      cells.forEach(ConflictCell::look);
    }
    if (same) {
      onLaid.run();
    } else {
      laying.anew(() -> ConflictRows.of(snapshot, conflicts, grouping, filter));
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

  private void fill(ConflictRows next) {
    laid = next;
    filling = true;
    try {
      if (isSameUpTo(last(getSelectionModel().getSelectedIndices()), next.rows())) {
        Lists.follow(getItems(), next.rows());
      } else {
        List<Conflict> chosen = chosen();
        getSelectionModel().clearSelection();
        Lists.follow(getItems(), next.rows());
        choose(chosen);
      }
    } finally {
      filling = false;
    }
    cells.forEach(ConflictCell::look); // there may be more of a group
    onLaid.run();
  }

  private static int last(List<Integer> indices) {
    return indices.stream().mapToInt(i -> i).max().orElse(-1);
  }

  /**
   * True when something is chosen and those rows stay where they are. To choose the same again has
   * the styles of its row matched again, and a frame in which nothing else happens is painted
   * whole.
   */
  private boolean isSameUpTo(int row, List<Row> next) {
    if (row < 0 || next.size() <= row) {
      return false;
    }
    for (int i = 0; i <= row; i++) {
      if (!Lists.isSame(getItems().get(i), next.get(i))) {
        return false;
      }
    }
    return true;
  }

  /** Chooses those of these that are still there, or else the first. */
  private void choose(List<Conflict> chosen) {
    if (!chosen.isEmpty()) {
      Predicate<Conflict> stays = stays(chosen);
      for (int i = 0; i < getItems().size(); i++) {
        if (getItems().get(i) instanceof Row.One(Conflict c) && stays.test(c)) {
          getSelectionModel().select(i);
        }
      }
    }
    if (getSelectionModel().isEmpty() && getItems().size() > 1) {
      getSelectionModel().select(1);
    }
  }

  /** True while other rows are laid out. */
  boolean isLaying() {
    return laying.isUnderWay();
  }

  /** True while rows are put, and what is chosen with them. */
  boolean isFilling() {
    return filling;
  }

  /** Those that are chosen, in the order of the list. */
  List<Conflict> chosen() {
    return getSelectionModel().getSelectedItems().stream()
        .flatMap(r -> r instanceof Row.One(Conflict c) ? Stream.of(c) : Stream.empty())
        .toList();
  }

  /** Counts those that come from the same trigger as the first that is chosen, and tells. */
  void countAlike() {
    List<Conflict> chosen = chosen();
    if (chosen.isEmpty()) {
      counting.drop();
    } else if (getItems().size() <= AT_ONCE) {
      counting.drop();
      onAlike.accept(ofOneCause(getItems(), chosen.getFirst()).size());
    } else {
      List<Row> rows = laid.rows();
      Conflict one = chosen.getFirst();
      counting.ask(
          List.of(new Question.Same(rows), new Question.Same(one)),
          () -> ofOneCause(rows, one).size());
    }
  }

  /** Those in the list that come from the same trigger of the same owner as one of them. */
  List<Conflict> ofOneCause(Conflict one) {
    return ofOneCause(getItems(), one);
  }

  private static List<Conflict> ofOneCause(List<Row> rows, Conflict one) {
    List<Conflict> all = new ArrayList<>();
    for (Row r : rows) {
      if (r instanceof Row.One(Conflict c) && c.hasCauseOf(one)) {
        all.add(c);
      }
    }
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
