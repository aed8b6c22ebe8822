package foldtwice.desktop.handover;

import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.standin.Photographer;
import foldtwice.desktop.view.Going;
import foldtwice.sheet.About;
import foldtwice.sheet.Sheet;
import foldtwice.sheet.SheetFile;
import foldtwice.sheet.SheetKind;
import foldtwice.sheet.Wanted;
import foldtwice.text.DiskWords;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.geometry.Pos;
import javafx.print.PageLayout;
import javafx.print.PageOrientation;
import javafx.print.Printer;
import javafx.print.PrinterJob;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.ImageView;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Cheat sheets: what to choose from, the sheet as it will print, what is on it. */
final class SheetsLeaf extends BorderPane {

  private static final double GAP = 28;

  /** Half a second, in nanoseconds. */
  private static final long SLOW = 500_000_000;

  private final Session session;
  private final Runnable onMade;
  private final SheetChoice choice;
  private final OnSheet on;
  private final Label says = Parts.wrapped("", "soft");
  private final ImageView paper = new ImageView();
  private final StackPane desk = new StackPane();
  private final Question<Preview> making;
  private final Question<Preview.Page> drawing;

  /** The percent that was told last; of the thread that makes it. */
  private volatile int told;

  /** True when it takes so long that one may wish to give it up. */
  private final BooleanProperty slow = new SimpleBooleanProperty();

  private long began;

  private Preview preview;
  private int page = 1;

  /** The sheet that was given up; it is made only when it is asked for. */
  private Optional<Wanted> givenUp = Optional.empty();

  /**
   * Of the session's library.
   *
   * @param stop gives up what is being made, {@code make} makes it after all
   * @param onMade called when another page is shown, or none
   */
  SheetsLeaf(Session session, Going going, Button stop, Button make, Runnable onMade) {
    this.session = session;
    this.onMade = onMade;
    choice = new SheetChoice(this::again);
    on = new OnSheet(going, this::again);
    making = session.background().question(Lane.WORK, this::made, says::setText);
    drawing = session.background().question(Lane.WORK, this::drawn, says::setText);
    says.setId("sheet-says");
    paper.setId("sheet-paper-picture");
    paper.setPreserveRatio(true);
    paper.getStyleClass().add("sheet-paper");
    StackPane lying = new StackPane(paper);
    lying.setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
    lying.getStyleClass().add("lying-sheet");
    lying.visibleProperty().bind(paper.imageProperty().isNotNull());
    says.setMaxWidth(360);
    stop.visibleProperty().bind(slow.and(stop.disabledProperty().not()));
    make.visibleProperty().bind(make.disabledProperty().not());
    List.of(stop, make).forEach(b -> b.managedProperty().bind(b.visibleProperty()));
    VBox between = new VBox(10, says, stop, make);
    between.setAlignment(Pos.CENTER);
    between.setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
    desk.getChildren().addAll(lying, between);
    desk.getStyleClass().add("sheet-desk");
    desk.setMinSize(120, 120);
    desk.widthProperty().addListener((o, a, b) -> draw());
    desk.heightProperty().addListener((o, a, b) -> draw());
    setLeft(choice);
    setCenter(desk);
    ScrollPane right = Parts.leaf(on, true);
    right.setPrefWidth(262);
    setRight(right);
  }

  /** True when there is a sheet to save. */
  boolean isThere() {
    return preview != null && preview.pdf().isPresent() && !making.isUnderWay();
  }

  boolean hasPictures() {
    return isThere() && !preview.sheet().pictures().isEmpty();
  }

  boolean hasTexts() {
    return isThere() && preview.sheet().compose().lines() > 0;
  }

  /** Holds a sheet that was made before against the library as it is. */
  void check() {
    Optional<Path> chosen =
        session.files().files(getScene().getWindow(), Ui.text("sheets.check.choose")).stream()
            .findFirst();
    if (chosen.isEmpty()) {
      return;
    }
    Snapshot now = session.now();
    session
        .background()
        .once(
            Lane.READING,
            () -> SheetCheck.of(chosen.get(), now, session),
            found -> on.show(found, choice::choose));
  }

  boolean canTurn(int by) {
    return page + by >= 1 && page + by <= pages();
  }

  /** Which page is shown, where there are several. */
  String which() {
    return pages() > 1 ? Ui.text("sheets.page", page, pages()) : "";
  }

  private int pages() {
    return preview == null ? 0 : preview.pages();
  }

  void takeKeys() {
    choice.takeKeys();
  }

  void takeFilter() {
    choice.takeFilter();
  }

  void show(Snapshot now) {
    choice.show(now);
    again();
  }

  /** Chooses a sheet. */
  void choose(About about, SheetKind kind) {
    choice.choose(about, kind);
  }

  /** Makes the sheet that is chosen, unless it is there. */
  private void again() {
    Optional<About> about = choice.about();
    Snapshot now = session.now();
    if (about.isEmpty() || !now.audited()) {
      return; // it is made as soon as the library is looked through
    }
    Wanted wanted = wanted(about.get());
    Subject subject = now.subject();
    List<Conflict> conflicts =
        Stream.concat(now.allConflicts().stream(), now.accepted().stream()).toList();
    Sheet.Shown shown = session.demonstrating(subject, new Photographer());
    boolean other = preview == null || !preview.sheet().wanted().equals(wanted);
    if (givenUp.equals(Optional.of(wanted))) {
      return;
    }
    givenUp = Optional.empty();
    if (making.ask(
        List.of(
            wanted,
            now.station().id(),
            new Question.Same(now.library()),
            new Question.Same(now.setup())),
        asked -> Preview.of(subject, conflicts, wanted, shown, part -> looksOn(asked, part)))) {
      says.setText(Ui.text("sheets.making"));
      began = System.nanoTime();
      slow.set(false);
      if (other) {
        page = 1;
      }
      onMade.run();
    }
  }

  /** Tells how far it is, each percent once. */
  private boolean looksOn(Question.Asked asked, double part) {
    int percent = (int) (part * 100);
    if (percent != told) {
      told = percent;
      asked.tell(
          () -> {
            says.setText(Ui.text("sheets.makingpart", percent));
            slow.set(System.nanoTime() - began > SLOW);
          });
    }
    return asked.isWanted();
  }

  /** True while a sheet is made that is not there yet. */
  boolean isMaking() {
    return making.isUnderWay();
  }

  /** Gives up the sheet that is being made. */
  void giveUp() {
    making.drop();
    givenUp = choice.about().map(this::wanted);
    says.setText(Ui.text("sheets.givenup"));
    paper.setImage(null);
    preview = null;
    onMade.run();
  }

  private Wanted wanted(About about) {
    return new Wanted(about, choice.kind(), on.paper(), on.natives(), !on.all());
  }

  boolean isGivenUp() {
    return givenUp.isPresent() && !making.isUnderWay();
  }

  /** Makes the sheet that was given up. */
  void make() {
    givenUp = Optional.empty();
    again();
  }

  private void made(Preview next) {
    preview = next;
    says.setText(
        next.pdf().isPresent() ? "" : Ui.text("sheets.nothing", next.sheet().contents().title()));
    page = Math.clamp(page, 1, Math.max(1, next.pages()));
    on.show(next.sheet(), next.pages());
    if (next.pdf().isEmpty()) {
      paper.setImage(null);
    }
    draw();
    onMade.run();
  }

  void turn(int by) {
    page = Math.clamp(page + by, 1, pages());
    draw();
    onMade.run();
  }

  /** Draws the page as large as there is room for it. */
  private void draw() {
    if (preview == null || preview.pdf().isEmpty() || desk.getWidth() < 80) {
      return;
    }
    Wanted shown = preview.sheet().wanted();
    boolean lies = shown.kind().lies();
    double w = lies ? shown.paper().height() : shown.paper().width();
    double h = lies ? shown.paper().width() : shown.paper().height();
    double scale = Math.min((desk.getWidth() - 2 * GAP) / w, (desk.getHeight() - 2 * GAP) / h);
    if (scale <= 0) {
      return;
    }
    paper.setFitWidth(w * scale);
    double dense =
        getScene() == null || getScene().getWindow() == null
            ? 1
            : getScene().getWindow().getOutputScaleX();
    Preview of = preview;
    int number = page;
    drawing.ask(
        List.of(new Question.Same(of), number, Math.round(w * scale * dense)),
        () -> of.page(number, 25.4 * scale * dense));
  }

  private void drawn(Preview.Page drawn) {
    paper.setImage(drawn.picture());
  }

  void save(SheetFile.Form form) {
    Preview of = preview;
    String name =
        (of.sheet().contents().title() + " " + Ui.text("sheets.kind." + of.sheet().wanted().kind()))
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", "-")
            + "."
            + form.ending();
    session
        .files()
        .fresh(getScene().getWindow(), Ui.text("sheets.save." + form), name)
        .ifPresent(file -> write(of, form, file));
  }

  private void write(Preview of, SheetFile.Form form, Path file) {
    session
        .background()
        .once(
            Lane.READING,
            () -> {
              try {
                return SheetFile.write(of.sheet(), form, file);
              } catch (IOException e) {
                throw new UncheckedIOException(
                    Ui.text("sheets.cannot", file, DiskWords.reason(e)), e);
              }
            },
            files -> session.say(Ui.text("said.sheet", files.getFirst().toString(), files.size())));
  }

  /** Sends all pages to a printer the person chooses. */
  void print() {
    session.background().once(Lane.READING, () -> !Printer.getAllPrinters().isEmpty(), this::print);
  }

  private void print(boolean anywhere) {
    PrinterJob job = anywhere ? PrinterJob.createPrinterJob() : null;
    if (job == null) {
      session.say(Ui.text("sheets.noprinter"));
      return;
    }
    if (!job.showPrintDialog(getScene().getWindow())) {
      return;
    }
    Preview of = preview;
    session.say(Ui.text("sheets.printing", of.pages()));
    session
        .background()
        .once(
            Lane.READING,
            () -> {
              List<Preview.Page> all = new java.util.ArrayList<>();
              for (int i = 1; i <= of.pages(); i++) {
                all.add(of.page(i, Preview.PRINTER));
              }
              return all;
            },
            all -> send(job, of, all));
  }

  private void send(PrinterJob job, Preview of, List<Preview.Page> pages) {
    boolean lies = of.sheet().wanted().kind().lies();
    PageLayout layout =
        job.getPrinter()
            .createPageLayout(
                job.getJobSettings().getPageLayout().getPaper(),
                lies ? PageOrientation.LANDSCAPE : PageOrientation.PORTRAIT,
                Printer.MarginType.HARDWARE_MINIMUM);
    boolean well = true;
    for (Preview.Page p : pages) {
      ImageView picture = new ImageView(p.picture());
      picture.setPreserveRatio(true);
      picture.setFitWidth(p.picture().getWidth() * 72.0 / Preview.PRINTER); // at true size
      picture.setTranslateX(-layout.getLeftMargin());
      picture.setTranslateY(-layout.getTopMargin());
      well = well && job.printPage(layout, new VBox(picture));
    }
    well = well && job.endJob();
    session.say(Ui.text(well ? "sheets.printed" : "sheets.notprinted", pages.size()));
  }
}
