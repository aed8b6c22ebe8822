package foldtwice.desktop.live;

import foldtwice.desktop.parts.Asking;
import foldtwice.desktop.parts.Contents;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.WhyRows;
import foldtwice.desktop.session.LiveState;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.routine.Routine;
import foldtwice.run.Reply;
import foldtwice.run.Status;
import foldtwice.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What was set off in the real programs, and what came of it, step by step. */
final class FiredCard extends VBox {

  private final Session session;
  private final Going going;
  private final VBox rows = new VBox(10);
  private final Contents contents = new Contents(rows);
  private List<LiveState.Fired> shown = List.of();

  FiredCard(Session session, Going going) {
    super(6);
    this.session = session;
    this.going = going;
    rows.setId("live-fired");
    ScrollPane scroll = Parts.leaf(rows, false);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(Parts.label(Ui.text("live.fired"), "heading"), scroll);
    contents.add("", () -> Parts.wrapped(Ui.text("live.nothing"), "soft"));
    contents.show();
  }

  void show(LiveState state) {
    if (state.fired().equals(shown)) {
      return;
    }
    shown = state.fired();
    for (int i = 0; i < shown.size(); i++) {
      LiveState.Fired fired = shown.get(i);
      boolean whole = i == 0 || fired.asking().isPresent(); // what is being answered stays
      contents.add(List.of(fired, whole, session.live().commandAsked()), () -> row(fired, whole));
    }
    contents.show();
  }

  /**
   * @param whole true to show every step
   */
  private Node row(LiveState.Fired fired, boolean whole) {
    Words words = session.now().words();
    String name =
        fired.binding().map(words::binding).or(() -> fired.routine().map(Routine::name)).orElse("");
    Label title = Parts.label(fired.onlyShown() ? Ui.text("live.would", name) : name, "strong");
    HBox.setHgrow(title, Priority.ALWAYS);
    title.setMaxWidth(Double.MAX_VALUE);
    HBox head = new HBox(8, title);
    head.setAlignment(Pos.CENTER_LEFT);
    fired
        .routine()
        .ifPresent(
            r -> {
              Button look =
                  Parts.button(
                      "live-look-" + fired.number(),
                      Ui.text("live.lookat"),
                      () -> going.to(new Target.Routine(r.id())),
                      "link");
              look.setAccessibleText(Ui.text("live.lookat") + ", " + r.name());
              head.getChildren().add(look);
            });
    VBox all = new VBox(4, head);
    fired
        .refused()
        .map(FiredCard::refused)
        .ifPresent(t -> all.getChildren().add(Parts.wrapped(t, "refused")));
    fired
        .asks()
        .ifPresent(
            r ->
                all.getChildren()
                    .add(
                        Parts.button(
                            "live-allow-" + fired.number(),
                            Ui.text("live.allow", r.name()),
                            () -> session.live().allow(r))));
    fired
        .standing()
        .ifPresent(
            s -> {
              all.getChildren()
                  .addAll(whole ? WhyRows.trace(s.trace()) : List.of(WhyRows.ending(s.trace())));
              session
                  .live()
                  .commandAsked()
                  .filter(c -> whole && s.isOver() && s.trace().endedBadly())
                  .ifPresent(
                      c ->
                          all.getChildren()
                              .add(
                                  Parts.button(
                                      "live-allow-command",
                                      Ui.text("live.allowcommand", String.join(" ", c)),
                                      () -> session.live().allow(c))));
            });
    fired.asking().ifPresent(a -> all.getChildren().add(asking(fired, a)));
    return all;
  }

  private Node asking(LiveState.Fired fired, Status.Asking asking) {
    return new Asking(
        asking,
        new Asking.Answering() {
          @Override
          public void answer(Map<String, foldtwice.routine.Value> values) {
            session.live().answer(fired, values);
          }

          @Override
          public void giveUp() {
            session.live().stop();
          }
        },
        Optional.empty());
  }

  private static String refused(Reply.Refused r) {
    return Ui.text("standin.refused", r.expected(), r.found());
  }
}
