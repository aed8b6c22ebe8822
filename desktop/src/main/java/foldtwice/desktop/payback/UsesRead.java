package foldtwice.desktop.payback;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.DiskWork;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.effort.UseLog;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.words.Words;
import java.io.BufferedReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** A use log: read beside the work, looked at, then taken or left. */
final class UsesRead extends VBox {

  private static final int MOST = 6;

  private final Session session;
  private final Label says = Parts.wrapped("");
  private final VBox unknown = new VBox(2);
  private final VBox fading = new VBox(2);
  private final Going going;
  private final Button take;
  private final Button leave;
  private final Question<Found> reading;
  private Found found;

  /** A log and what it was held against. */
  private record Found(Path file, UseLog log) {}

  UsesRead(Session session, Going going) {
    super(6);
    this.going = going;
    this.session = session;
    setId("uses-read");
    says.setId("uses-says");
    take = Parts.button("uses-take", Ui.text("payback.uses.take"), this::take, "main");
    leave = Parts.button("uses-leave", Ui.text("payback.cancel"), this::close);
    reading = session.background().question(Lane.READING, this::show, this::failed);
    getChildren()
        .addAll(
            Parts.label(Ui.text("payback.uses.heading"), "heading"),
            says,
            fading,
            unknown,
            new FlowPane(8, 4, take, leave));
    managedProperty().bind(visibleProperty());
    setVisible(false);
  }

  /** Asks for a log and reads it. */
  void choose() {
    session.files().files(getScene().getWindow(), Ui.text("payback.uses.choose")).stream()
        .findFirst()
        .ifPresent(this::read);
  }

  private void read(Path file) {
    Library library = session.now().library();
    setVisible(true);
    take.setDisable(true);
    unknown.getChildren().clear();
    fading.getChildren().clear();
    says.setText(Ui.text("payback.uses.reading", 0));
    reading.anew(
        asked ->
            DiskWork.done(
                () -> {
                  try (BufferedReader in = Files.newBufferedReader(file)) {
                    return new Found(
                        file,
                        UseLog.read(
                            in,
                            library,
                            rows -> {
                              asked.tell(() -> says.setText(Ui.text("payback.uses.reading", rows)));
                              return asked.isWanted();
                            }));
                  }
                }));
  }

  private void failed(String why) {
    says.setText(why);
  }

  private void show(Found read) {
    found = read;
    UseLog log = read.log();
    double weeks = Math.round(log.weeks() * 10) / 10.0;
    says.setText(
        Ui.text(
            "payback.uses.found",
            log.rows(),
            log.counts().size(),
            Words.number(weeks),
            log.repeated(),
            weeks));
    unknown.getChildren().clear();
    if (log.uncounted() > 0) {
      unknown
          .getChildren()
          .add(Parts.wrapped(Ui.text("payback.uses.unknown", log.uncounted()), "costs"));
      log.unknown().forEach(u -> unknown.getChildren().add(Parts.wrapped(u, "soft")));
    }
    fading(log);
    take.setDisable(log.counts().isEmpty() || !session.mayWrite());
    (take.isDisabled() ? leave : take).requestFocus();
  }

  /** What is used ever less, and the way to each. */
  private void fading(UseLog log) {
    fading.getChildren().clear();
    List<UseLog.Fading> all = log.fading();
    if (all.isEmpty()) {
      return;
    }
    fading.getChildren().add(Parts.wrapped(Ui.text("payback.fading", all.size()), "costs"));
    Library library = session.now().library();
    for (UseLog.Fading f : all.subList(0, Math.min(MOST, all.size()))) {
      Binding binding = library.bindings().get(f.binding());
      if (binding != null) {
        fading
            .getChildren()
            .add(
                Parts.button(
                    "fading-" + fading.getChildren().size(),
                    Ui.text(
                        "payback.fades",
                        session.now().words().binding(binding),
                        Words.number(Math.rint(f.before())),
                        Words.number(Math.rint(f.now()))),
                    () -> going.to(new Target.Binding(f.binding())),
                    "link"));
      }
    }
  }

  private void take() {
    Library library = session.now().library();
    Edit edit = found.log().taken(library);
    close();
    session.make(
        edit, Ui.text("said.uses", found.log().counts().size(), found.file().getFileName()));
  }

  private void close() {
    reading.drop();
    setVisible(false);
  }
}
