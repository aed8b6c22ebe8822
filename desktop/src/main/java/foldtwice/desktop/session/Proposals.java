package foldtwice.desktop.session;

import foldtwice.fold.LoopFolder;
import foldtwice.fold.Measure;
import foldtwice.fold.Siblings;
import foldtwice.fold.TooLongToFoldException;
import foldtwice.library.Library;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** What could be folded in the library, found in the background; can be dismissed one by one. */
public final class Proposals {

  /** Something that could be folded. */
  public sealed interface Proposal {

    /** The ids of the routines it is about. */
    List<String> about();

    /** A macro whose steps could be loops. */
    record Loops(Routine.Macro macro, List<Line> folded) implements Proposal {
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
    record Family(Siblings.Group group) implements Proposal {
      @Override
      public List<String> about() {
        return group.members().stream().map(Routine::id).toList();
      }
    }
  }

  private static final Logger LOG = LoggerFactory.getLogger(Proposals.class);

  private final ReadOnlyObjectWrapper<List<Proposal>> all = new ReadOnlyObjectWrapper<>(List.of());
  private final Set<Proposal> dismissed = new HashSet<>();
  private final Question<List<Proposal>> question;

  Proposals(Session session) {
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

  /** Looks whether there is something new to fold. */
  void look(Library library) {
    question.ask(new Question.Same(library.routines()), () -> find(library));
  }

  private static List<Proposal> find(Library library) {
    List<Proposal> found = new ArrayList<>();
    Siblings.find(library).forEach(g -> found.add(new Proposal.Family(g)));
    for (Routine r : library.routines().values()) {
      if (r instanceof Routine.Macro m) {
        Set<String> names =
            m.parameters().stream().map(Parameter::name).collect(Collectors.toSet());
        try {
          List<Line> folded = LoopFolder.fold(m.steps(), names);
          if (folded != m.steps()) {
            found.add(new Proposal.Loops(m, folded));
          }
        } catch (TooLongToFoldException e) {
          LOG.info("{} stays as it is: {}", m.name(), e.getMessage());
        }
      }
    }
    return List.copyOf(found);
  }
}
