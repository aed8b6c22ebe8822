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
   * @param detail where it is done, and its key
   */
  record Deed(String id, String title, String detail, Act.Reach reach, Runnable does) {}

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
    List<Deed> all = new ArrayList<>(declared().filter(this::applies).toList());
    Set<String> ids = new HashSet<>();
    Set<String> titles = new HashSet<>();
    all.forEach(
        d -> {
          ids.add(d.id());
          titles.add(d.title());
        });
    for (Backups.Backup b : session.disk().backups()) {
      all.add(
          new Deed(
              "",
              Ui.text("disk.back", OnDisk.when(b)),
              Ui.text("disk.backup"),
              Act.Reach.HERE,
              () -> session.goBackTo(b)));
    }
    List<Button> onSheet = new ArrayList<>();
    sheets.view().ifPresent(v -> buttons(v.node(), onSheet));
    String where = Ui.text("tab." + sheets.kind().id());
    for (Button b : onSheet) {
      String says =
          b.getText() == null || b.getText().isBlank() ? b.getAccessibleText() : b.getText();
      if (says != null && !ids.contains(b.getId()) && titles.add(says)) {
        all.add(new Deed("", says, Ui.text("look.here", where), Act.Reach.HERE, b::fire));
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
        FrameActs.ALL.stream().map(a -> deed(a, Ui.text("app.name"), () -> a.does().accept(frame))),
        Views.ALL.stream().flatMap(this::of));
  }

  private <V extends View> Stream<Deed> of(Kind<V> kind) {
    return kind.acts().stream()
        .map(a -> deed(a, Ui.text("tab." + kind.id()), () -> sheets.perform(kind, a)));
  }

  private static Deed deed(Act<?> act, String where, Runnable does) {
    String keys = OwnKeys.get().keys(act.id());
    return new Deed(
        act.id(), act.says(), keys.isEmpty() ? where : where + ", " + keys, act.reach(), does);
  }

  private boolean applies(Deed deed) {
    return FrameActs.ALL.stream()
            .filter(a -> a.id().equals(deed.id()))
            .findFirst()
            .map(a -> a.applies().test(frame))
            .orElse(true)
        && Views.ALL.stream().allMatch(k -> applies(k, deed.id()));
  }

  private <V extends View> boolean applies(Kind<V> kind, String id) {
    return kind.acts().stream()
        .filter(a -> a.id().equals(id))
        .allMatch(a -> sheets.applies(kind, a));
  }
}
