package foldtwice.desktop.handover;

import foldtwice.conflict.Audit;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.handover.Kit;
import foldtwice.handover.KitShelf;
import foldtwice.handover.Taking;
import foldtwice.library.file.FormatException;
import foldtwice.merge.Contradiction;
import foldtwice.merge.Take;
import foldtwice.remedy.Remedy;
import foldtwice.words.MergeWords;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.VBox;

/**
 * A kit somebody made, before it is taken: what is new, what changes, what would conflict on this
 * station; and once it is taken, what has to be done there, to be ticked off.
 */
final class KitTaking extends BorderPane {

  private final Session session;
  private final Runnable onChosen;
  private final Runnable onLaid;
  private final VBox told = new VBox(6);
  private final Question<Kit> reading;
  private final Question<KitLooked> looking;
  private Optional<Kit> kit = Optional.empty();
  private Optional<KitLooked> looked = Optional.empty();

  /** What was decided, by the path of a contradiction. */
  private final Map<List<String>, Take> decided = new LinkedHashMap<>();

  /** What helps against conflicts of it, and is done with it; of the library it was found for. */
  private List<Remedy> helps = List.of();

  private Question.Same helpsIn = new Question.Same(null);

  /** What the person has ticked off. */
  private final Set<String> ticked = new HashSet<>();

  private boolean open;

  KitTaking(Session session, Runnable onChosen, Runnable onLaid) {
    this.session = session;
    this.onChosen = onChosen;
    this.onLaid = onLaid;
    reading = session.background().question(Lane.READING, this::read, this::cannot);
    looking = session.background().question(Lane.TRIAL, this::looked, this::cannot);
    setId("kit-taking");
    told.setId("kit-told");
    told.getStyleClass().add("sheet-side");
    told.setFocusTraversable(true);
    ScrollPane scroll = Parts.leaf(told, true);
    setCenter(scroll);
  }

  boolean isOpen() {
    return open;
  }

  boolean canTake() {
    return looked.filter(l -> !l.taking().rows().isEmpty() || !helps.isEmpty()).isPresent()
        && session.mayWrite();
  }

  void takeKeys() {
    told.requestFocus();
  }

  /** Asks for a file and looks what is in it. */
  void choose() {
    session
        .files()
        .files(getScene() == null ? null : getScene().getWindow(), Ui.text("act.kit-take"))
        .stream()
        .findFirst()
        .ifPresent(this::open);
  }

  private void open(Path file) {
    open = true;
    decided.clear();
    helps = List.of();
    ticked.clear();
    kit = Optional.empty();
    looked = Optional.empty();
    told.getChildren().setAll(Parts.wrapped(Ui.text("kits.reading", file.getFileName()), "soft"));
    onLaid.run();
    onChosen.run();
    takeKeys();
    reading.anew(
        asked -> {
          try {
            if (Files.size(file) > Kit.MOST_BYTES) {
              throw new IllegalArgumentException(
                  Ui.text("kits.toolarge", file.getFileName(), Kit.MOST_BYTES >> 20));
            }
            return Kit.read(Files.readAllBytes(file));
          } catch (FormatException e) {
            throw new IllegalArgumentException(
                Ui.text("kits.nokit", file.getFileName(), e.getMessage()), e);
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
        });
  }

  private void cannot(String why) {
    looked = Optional.empty();
    told.getChildren().setAll(Parts.wrapped(why, "blocks"));
    onChosen.run();
  }

  private void read(Kit of) {
    kit = Optional.of(of);
    look();
  }

  /** Looks anew when the library or the station is another. */
  void show(Snapshot now) {
    if (open && kit.isPresent() && now.audited()) {
      if (!new Question.Same(now.library()).equals(helpsIn)) {
        helps = List.of(); // found in another library, it might undo what was done since
      }
      look();
    }
  }

  private void look() {
    Kit of = kit.orElseThrow();
    Snapshot now = session.now();
    Supplier<Audit> audit = session.audit(now.subject());
    Path place = session.store().file();
    Map<List<String>, Take> choices = Map.copyOf(decided);
    List<Remedy> with = helps;
    if (looking.ask(
        List.of(
            new Question.Same(of),
            new Question.Same(now.library()),
            new Question.Same(now.setup()),
            now.station().id(),
            choices,
            with),
        () -> KitLooked.of(of, audit, place, choices, with))) {
      looked = Optional.empty();
      onChosen.run();
    }
  }

  private void looked(KitLooked found) {
    looked = Optional.of(found);
    Kit.Card card = found.kit().card();
    told.getChildren()
        .setAll(
            Parts.wrapped((card.name() + " " + card.release()).strip(), "title"),
            Parts.wrapped(
                Ui.text(
                    "kits.of",
                    card.from(),
                    card.licence().isEmpty() ? Ui.text("kits.nolicence") : card.licence()),
                "soft"));
    if (!card.notes().isEmpty()) {
      told.getChildren().add(Parts.wrapped(card.notes()));
    }
    rows(found);
    told.getChildren()
        .add(
            new KitLanding(
                found,
                session.now().words().of(found.then()),
                helps,
                ticked,
                this::help,
                this::unhelp));
    onChosen.run();
  }

  private void rows(KitLooked found) {
    Taking taking = found.taking();
    MergeWords words =
        new MergeWords(
            session.now().words().of(found.mine()), session.now().words().of(taking.merged()));
    told.getChildren()
        .add(
            Parts.label(
                taking.rows().isEmpty()
                    ? Ui.text("kits.hasall")
                    : Ui.text("kits.brings", taking.rows().size(), taking.same()),
                "heading"));
    Differences.add(told, taking.rows(), words);
    if (!taking.renamed().isEmpty()) {
      told.getChildren()
          .add(Parts.wrapped(Ui.text("kits.renamed", taking.renamed().size()), "note"));
    }
    if (!taking.contradictions().isEmpty()) {
      told.getChildren().add(Parts.label(Ui.text("kits.contradicts"), "heading"));
      taking.contradictions().stream()
          .limit(Differences.MOST)
          .forEach(c -> contradiction(c, found.weighing().of(c), words));
      Differences.more(told, taking.contradictions().size());
    }
  }

  /** One to decide: what is here stays until the person takes what the kit has. */
  private void contradiction(Contradiction c, Optional<Weighing.Effect> effect, MergeWords words) {
    boolean theirs = c.taken() == Take.THEIRS;
    int number = told.lookupAll(".contradiction").size();
    VBox row =
        new VBox(
            2,
            Parts.wrapped(words.ofKit(c), theirs ? "plain" : "costs"),
            Parts.button(
                "kit-decide-" + number,
                Ui.text(theirs ? "kits.keepours" : "kits.taketheirs"),
                () -> decide(c, Weighing.other(c)),
                "link"));
    effect.ifPresent(
        e ->
            row.getChildren()
                .add(
                    Parts.wrapped(
                        e.solves() + e.causes() == 0
                            ? Ui.text("kits.weighs.nothing")
                            : Ui.text("kits.weighs", e.solves(), e.causes()),
                        "soft")));
    row.getStyleClass().addAll("why-row", "contradiction");
    told.getChildren().add(row);
  }

  private void decide(Contradiction c, Take take) {
    decided.put(c.path(), take);
    look();
  }

  private void help(Remedy remedy) {
    with(Stream.concat(helps.stream(), Stream.of(remedy)).toList());
  }

  private void unhelp(Remedy remedy) {
    with(helps.subList(0, helps.indexOf(remedy))); // those after it were found on top of it
  }

  private void with(List<Remedy> next) {
    helps = List.copyOf(next);
    helpsIn = new Question.Same(session.now().library());
    takeKeys();
    look();
  }

  /**
   * Takes it, as one change that can be undone, once it is on the shelf: a kit on the shelf that
   * was not taken does no harm.
   */
  void take() {
    looked.ifPresent(
        l ->
            session
                .background()
                .write(
                    () -> KitShelf.keep(l.library(), l.kit(), l.taking().renamed()),
                    () -> taken(l)));
  }

  /** Puts it on for a while; taken off, everything is as it was. */
  void beGuest() {
    looked.ifPresent(
        l -> {
          takeKeys();
          session.guests().putOn(l.kit(), l.edit(), () -> looked.filter(l::equals).isPresent());
        });
  }

  private void taken(KitLooked l) {
    if (looked.filter(l::equals).isEmpty()) {
      return; // the library is another by now, and is looked at anew
    }
    Kit.Card card = l.kit().card();
    takeKeys();
    session.make(l.edit(), Ui.text("said.kittaken", (card.name() + " " + card.release()).strip()));
  }

  /** Leaves it: nothing has been changed. */
  void leave() {
    open = false;
    kit = Optional.empty();
    looked = Optional.empty();
    reading.drop();
    looking.drop();
    onLaid.run();
    onChosen.run();
  }
}
