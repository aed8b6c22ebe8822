package foldtwice.desktop.session;

import foldtwice.fold.LoopFolder;
import foldtwice.fold.Measure;
import foldtwice.fold.Siblings;
import foldtwice.fold.TooLongToFoldException;
import foldtwice.library.Library;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.script.Ecmascript;
import foldtwice.standin.FoldProof;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.Collectors;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** What could be folded in the library, found in the background; can be dismissed one by one. */
public final class Proposals {

  /** Something that could be folded. */
  public sealed interface Proposal {

    /** The ids of the routines it is about. */
    List<String> about();

    /** In how many states both were run and came to the same. */
    int tried();

    /** A macro whose steps could be loops. */
    record Loops(Routine.Macro macro, List<Line> folded, int tried) implements Proposal {
      @Override
      public List<String> about() {
        return List.of(macro.id());
      }

      /** How much shorter it gets, by the measure. */
      public int before() {
        return Measure.of(macro.steps());
      }

      public int after() {
        return Measure.of(folded);
      }
    }

    /** Routines that could be one. */
    record Family(Siblings.Group group, int tried) implements Proposal {
      @Override
      public List<String> about() {
        return group.members().stream().map(Routine::id).toList();
      }
    }
  }

  /** Nobody waits for it: it is looked for when the person rests, so long after an edit. */
  private static final Duration REST = Duration.millis(700);

  /** So long the programs are waited for. */
  private static final int PATIENCE_SECONDS = 5;

  private static final Logger LOG = LoggerFactory.getLogger(Proposals.class);

  private final ReadOnlyObjectWrapper<List<Proposal>> all = new ReadOnlyObjectWrapper<>(List.of());
  private final Set<Proposal> dismissed = new HashSet<>();
  private final Question<List<Proposal>> question;
  private final Session session;
  private final PauseTransition rest = new PauseTransition(REST);
  private Map<String, Routine> last = Map.of();

  /** What came of it when it was looked for last. */
  private volatile FoldProof.Proved proved = FoldProof.Proved.NOTHING;

  Proposals(Session session) {
    this.session = session;
    question =
        session
            .background()
            .question(
                Background.Lane.IDLE,
                found -> all.set(found.stream().filter(p -> !dismissed.contains(p)).toList()));
    session.nowProperty().addListener((o, a, now) -> look(now.library()));
  }

  /** Those that are not dismissed. */
  public ReadOnlyObjectProperty<List<Proposal>> allProperty() {
    return all.getReadOnlyProperty();
  }

  /** Those about a routine. */
  public List<Proposal> about(String routine) {
    return all.get().stream().filter(p -> p.about().contains(routine)).toList();
  }

  /** Does not show it again until something about it changes. */
  public void dismiss(Proposal proposal) {
    dismissed.add(proposal);
    all.set(all.get().stream().filter(p -> !p.equals(proposal)).toList());
  }

  /**
   * Looks whether there is something new to fold, as soon as nothing has been edited for a while.
   */
  private void look(Library library) {
    if (!Question.Same.is(library.routines(), last)) {
      last = library.routines();
      rest.setOnFinished(
          e -> question.ask(new Question.Same(library.routines()), () -> find(library)));
      rest.playFromStart();
    }
  }

  /** The programs as they are, from the thread that works them; empty when that has no time. */
  private Optional<FoldProof> proof(Library library) {
    FutureTask<FoldProof> asked =
        new FutureTask<>(
            () ->
                new FoldProof(
                    library,
                    session.now().keymap(),
                    Ecmascript.ENGINE,
                    session.computer().copy(),
                    proved));
    Platform.runLater(asked);
    try {
      return Optional.of(asked.get(PATIENCE_SECONDS, TimeUnit.SECONDS));
    } catch (TimeoutException | ExecutionException e) {
      LOG.info("nothing is proposed now: {}", e.toString());
      return Optional.empty();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return Optional.empty();
    }
  }

  /** What comes to the same in all states it was tried in. */
  private List<Proposal> find(Library library) {
    List<Proposal> candidates = candidates(library);
    Optional<FoldProof> proof = candidates.isEmpty() ? Optional.empty() : proof(library);
    List<Proposal> found =
        proof.stream()
            .flatMap(p -> candidates.stream().flatMap(c -> proved(p, c).stream()))
            .toList();
    proved = proof.map(FoldProof::proved).orElse(proved);
    return found;
  }

  private static Optional<Proposal> proved(FoldProof proof, Proposal candidate) {
    OptionalInt tried = proof.same(pairs(candidate));
    if (tried.isEmpty()) {
      LOG.info("not proposed, it came to something else: {}", candidate.about());
      return Optional.empty();
    }
    return Optional.of(
        switch (candidate) {
          case Proposal.Loops(var macro, var folded, int none) ->
              new Proposal.Loops(macro, folded, tried.getAsInt());
          case Proposal.Family(var group, int none) -> new Proposal.Family(group, tried.getAsInt());
        });
  }

  private static List<FoldProof.Pair> pairs(Proposal candidate) {
    return switch (candidate) {
      case Proposal.Loops(Routine.Macro macro, List<Line> folded, int none) ->
          List.of(new FoldProof.Pair(macro, Map.of(), macro.withSteps(folded), Map.of()));
      case Proposal.Family(Siblings.Group group, int none) -> FoldProof.pairs(group);
    };
  }

  private static List<Proposal> candidates(Library library) {
    List<Proposal> found = new ArrayList<>();
    Siblings.find(library).forEach(g -> found.add(new Proposal.Family(g, 0)));
    for (Routine r : library.routines().values()) {
      if (r instanceof Routine.Macro m) {
        Set<String> names =
            m.parameters().stream().map(Parameter::name).collect(Collectors.toSet());
        try {
          List<Line> folded = LoopFolder.fold(m.steps(), names);
          if (folded != m.steps()) {
            found.add(new Proposal.Loops(m, folded, 0));
          }
        } catch (TooLongToFoldException e) {
          LOG.info("{} stays as it is: {}", m.name(), e.getMessage());
        }
      }
    }
    return List.copyOf(found);
  }
}
