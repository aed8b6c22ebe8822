package foldtwice.desktop.frame;

import foldtwice.desktop.session.OnDisk;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Kind;
import foldtwice.desktop.view.OwnKeys;
import foldtwice.desktop.view.View;
import foldtwice.library.file.Backups;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;

/** Everything that can be done in the window: what is declared, and what stands on the sheet. */
final class Deeds {

  /** More buttons than this on one sheet are rows of a list, which is searched itself. */
  private static final int MOST_ON_SHEET = 120;

  /**
   * Something that can be done.
   *
   * @param id of a declared action; empty for what only stands there now
   * @param detail where it is done, and its key
   * @param applies whether it can be done now
   */
  record Deed(
      String id,
      String title,
      String detail,
      Act.Reach reach,
      BooleanSupplier applies,
      Runnable does) {

    /** What stands there now, and only there. */
    static Deed seen(String title, String detail, Runnable does) {
      return new Deed("", title, detail, Act.Reach.HERE, () -> true, does);
    }
  }

  private final Session session;
  private final Frame frame;
  private final Sheets sheets;

  Deeds(Session session, Frame frame, Sheets sheets) {
    this.session = session;
    this.frame = frame;
    this.sheets = sheets;
  }

  /** The action of that id, of the window or of a view. */
  Optional<Deed> of(String id) {
    return declared().filter(d -> d.id().equals(id)).findFirst();
  }

  void perform(String id) {
    of(id).ifPresent(d -> d.does().run());
  }

  /** Whatever can be done now, for the look-up. */
  List<Deed> now() {
    List<Deed> all = new ArrayList<>(declared().filter(d -> d.applies().getAsBoolean()).toList());
    Set<String> ids = new HashSet<>();
    Set<String> titles = new HashSet<>();
    all.forEach(
        d -> {
          ids.add(d.id());
          titles.add(d.title());
        });
    for (Backups.Backup b : session.disk().backups()) {
      all.add(
          Deed.seen(
              Ui.text("disk.back", OnDisk.when(b)),
              Ui.text("disk.backup"),
              () -> session.goBackTo(b)));
    }
    List<Button> onSheet = new ArrayList<>();
    sheets.view().ifPresent(v -> buttons(v.node(), onSheet));
    String where = Ui.text("tab." + sheets.kind().id());
    for (Button b : onSheet) {
      String says =
          b.getText() == null || b.getText().isBlank() ? b.getAccessibleText() : b.getText();
      if (says != null && !ids.contains(b.getId()) && titles.add(says)) {
        all.add(Deed.seen(says, Ui.text("look.here", where), b::fire));
      }
    }
    return all;
  }

  private static void buttons(Node node, List<Button> found) {
    if (!node.isVisible() || node.isDisabled() || found.size() >= MOST_ON_SHEET) {
      return;
    }
    if (node instanceof Button b) {
      found.add(b);
    } else if (node instanceof Parent p) {
      p.getChildrenUnmodifiable().forEach(c -> buttons(c, found));
    }
  }

  private Stream<Deed> declared() {
    return Stream.concat(
        FrameActs.ALL.stream()
            .map(
                a ->
                    deed(
                        a,
                        Ui.text("app.name"),
                        () -> a.applies().test(frame),
                        () -> a.does().accept(frame))),
        Views.ALL.stream().flatMap(this::of));
  }

  private <V extends View> Stream<Deed> of(Kind<V> kind) {
    return kind.acts().stream()
        .map(
            a ->
                deed(
                    a,
                    Ui.text("tab." + kind.id()),
                    () -> sheets.applies(kind, a),
                    () -> sheets.perform(kind, a)));
  }

  private static Deed deed(Act<?> act, String where, BooleanSupplier applies, Runnable does) {
    String keys = OwnKeys.get().keys(act.id());
    String detail = keys.isEmpty() ? where : where + ", " + keys;
    return new Deed(act.id(), act.says(), detail, act.reach(), applies, does);
  }
}
