package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.binding.Pattern;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.family.Series;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.routine.Routine;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.layout.HBox;

/**
 * A family in the place of the trifold: who belongs to it, how it is laid, and what comes of it,
 * before anything is made.
 */
final class FamilyView extends HBox {

  private final Session session;
  private final Runnable onLeave;
  private final FamilyMembers members;
  private final FamilyPattern pattern;
  private final FamilyOutcome outcome;
  private Family family;
  private Family laidOut;
  private Place place;

  /** The id of the binding it was opened for. */
  private String openedFor = "";

  /** The library it was planned in. */
  private Library plannedIn;

  private List<Series.Member> planned = List.of();
  private final Question<Plan> planning;
  private boolean isKept;

  /** True when it shall be made as soon as it is worked out. */
  private boolean isWanted;

  /**
   * A view of nothing.
   *
   * @param onLeave called when it is done with
   */
  FamilyView(Session session, Runnable onLeave) {
    this.session = session;
    planning = session.background().question(Lane.TRIAL, this::show);
    this.onLeave = onLeave;
    members = new FamilyMembers(session, this::plan);
    pattern = new FamilyPattern(session, this::plan);
    outcome = new FamilyOutcome(this::make, onLeave, this::takeApart);
    getStyleClass().add("trifold");
    setId("family");
    getChildren().addAll(members, Parts.crease(), pattern, Parts.crease(), outcome);
  }

  /** Gives the keys to the family's name. */
  void focusName() {
    members.focusName();
  }

  /** Shows the family of some bindings; a new one where they are in none. */
  void open(List<Binding> chosen) {
    Snapshot now = session.now();
    Binding first = chosen.getFirst();
    openedFor = first.id();
    Optional<Family> kept = now.library().familyOf(first.id());
    isKept = kept.isPresent();
    isWanted = false;
    place = first.place();
    family = kept.orElseGet(() -> begun(now, chosen));
    Optional<Routine> routine = now.library().routineOf(first);
    boolean together = isKept || chosen.size() > 1;
    members.open(family, routine, first.arguments(), together);
    pattern.open(family.pattern(), first.fitting().repeats());
    outcome.open(isKept);
    plan();
  }

  /** Goes on with the family as it is now, or leaves when it is gone. */
  void follow(Snapshot now) {
    if (Question.Same.is(now.library(), plannedIn)) {
      return;
    }
    Optional<Family> is = Optional.ofNullable(now.library().families().get(family.id()));
    Optional<Binding> first = Optional.ofNullable(now.library().bindings().get(openedFor));
    Optional<Routine> routine = first.flatMap(now.library()::routineOf);
    if ((isKept && is.isEmpty()) || routine.isEmpty()) {
      onLeave.run();
      return;
    }
    family = is.orElse(family);
    place = first.get().place();
    members.follow(family, routine, first.get().arguments());
    pattern.follow(family.pattern(), first.get().fitting().repeats());
    plan();
  }

  private static Family begun(Snapshot now, List<Binding> chosen) {
    Binding first = chosen.getFirst();
    String name = now.words().routineName(first);
    Pattern laid =
        first.triggers().stream()
            .filter(t -> t instanceof Trigger.Keys k && !k.isSequence())
            .findFirst()
            .<Pattern>map(t -> new Pattern.Neighbours(((Trigger.Keys) t).strokes().getFirst()))
            .orElse(new Pattern.Neighbours(FamilyPattern.ALT_1));
    Family fresh = Series.begun(now.library(), name, laid);
    return chosen.size() > 1 ? fresh.plus(chosen.stream().map(Binding::id).toList()) : fresh;
  }

  /** Works out what would come of it; shown when it is found. */
  private void plan() {
    Optional<Pattern> laid = pattern.pattern();
    plannedIn = session.now().library();
    planning.drop();
    planned = List.of();
    if (laid.isEmpty() || family == null) {
      outcome.wait(Ui.text("family.nokey"));
      return;
    }
    Family wanted = members.named(family.with(laid.get()));
    List<Series.Wish> wishes = members.wishes(pattern.isSteps());
    int repeats = pattern.repeats();
    Snapshot now = session.now();
    planning.anew(
        () ->
            new Plan(
                now,
                wanted,
                Series.plan(now.library(), now.keymap(), wanted, place, wishes).stream()
                    .map(m -> m.repeating(repeats))
                    .toList()));
  }

  private record Plan(Snapshot of, Family family, List<Series.Member> members) {}

  private void show(Plan plan) {
    laidOut = plan.family();
    planned = plan.members();
    outcome.show(plan.of(), planned);
    if (isWanted) {
      make();
    }
  }

  /** Makes what is planned; while it is still being worked out, as soon as it is. */
  private void make() {
    isWanted = planning.isUnderWay();
    if (planned.isEmpty()) {
      return;
    }
    session.make(
        Series.make(laidOut, planned), Ui.text("said.family", laidOut.name(), planned.size()));
    onLeave.run();
  }

  /** Leaves the members as they are, each by itself. */
  private void takeApart() {
    session.make(new Edit.RemoveFamily(family.id()), Ui.text("said.apart", family.name()));
    onLeave.run();
  }

  /** Choices of what is held, in words. */
  static Map<String, Modifiers> heldChoices() {
    Map<String, Modifiers> all = new LinkedHashMap<>();
    all.put(Ui.text("family.nothingheld"), Modifiers.NONE);
    for (List<Modifier> held :
        List.of(
            List.of(Modifier.SHIFT),
            List.of(Modifier.CTRL),
            List.of(Modifier.ALT),
            List.of(Modifier.CTRL, Modifier.SHIFT),
            List.of(Modifier.ALT, Modifier.SHIFT),
            List.of(Modifier.CTRL, Modifier.ALT))) {
      List<String> words = new ArrayList<>();
      held.forEach(m -> words.add(m.word()));
      all.put(String.join("+", words), Modifiers.of(held.toArray(Modifier[]::new)));
    }
    return all;
  }
}
