package foldtwice.conflict;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.Key;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Press;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What would follow if a binding had a trigger: said before it is taken.
 *
 * @param conflicts what the audit would find, the heaviest first; empty means free
 * @param elsewhere who else has the same presses, in places where they cannot meet
 */
public record Advice(Trigger trigger, List<Conflict> conflicts, List<Claim> elsewhere) {

  /**
   * Advice on giving a binding this trigger in its place.
   *
   * @param subject the library as it is, its keymap compiled from it
   */
  public static Advice on(Subject subject, Binding binding, Trigger trigger) {
    return on(subject, knowing(subject.library(), binding), binding, trigger);
  }

  /**
   * The same for a binding of a routine that the library does not have yet.
   *
   * @param first what brings the routine
   */
  public static Advice on(Subject subject, Edit first, Binding binding, Trigger trigger) {
    Library then = first.on(subject.library());
    return on(
        subject.with(then, subject.keymap().following(subject.library(), then)), binding, trigger);
  }

  private static Advice on(Subject subject, Library knowing, Binding binding, Trigger trigger) {
    Library library = subject.library();
    Keymap keymap = subject.keymap();
    Keymap candidate = candidate(library, keymap, binding, trigger);
    Claim claim = Keymap.claims(binding.withTriggers(List.of(trigger))).getFirst();
    List<Place> here = candidate.statesOf(binding.place());
    List<Claim> elsewhere =
        candidate.claimsOn(trigger).stream()
            .filter(c -> !c.owner().equals(claim.owner()))
            .filter(c -> candidate.statesOf(c.place()).stream().noneMatch(here::contains))
            .toList();
    Subject then = new Subject(knowing, candidate, subject.known(), subject.setup());
    return new Advice(trigger, Auditor.of(claim, binding, then), elsewhere);
  }

  /** The library with what a conflict would tell of the binding: how often, by which way. */
  private static Library knowing(Library library, Binding binding) {
    Binding there = library.bindings().get(binding.id());
    boolean known =
        there != null
            && there.usesPerWeek() == binding.usesPerWeek()
            && there.fitting().equals(binding.fitting());
    return known ? library : new Edit.PutBinding(binding).on(library);
  }

  private static Keymap candidate(
      Library library, Keymap keymap, Binding binding, Trigger trigger) {
    Binding present = library.bindings().get(binding.id());
    if (present != null
        && present.place().equals(binding.place())
        && present.triggers().contains(trigger)) {
      return keymap; // it has it already: what is compiled is what is asked about
    }
    Keymap others = present == null ? keymap : keymap.without(present);
    return others.with(binding.withTriggers(List.of(trigger)));
  }

  /** The heaviest weight of what would follow; nothing when it is free. */
  public Optional<Weight> weight() {
    return conflicts.stream().map(Conflict::weight).min(Comparator.naturalOrder());
  }

  /** True when nothing is wrong with who gets the trigger. */
  public boolean isFree() {
    return conflicts.stream().noneMatch(c -> c.kind().isAboutTrigger());
  }

  /**
   * Free triggers with the same modifiers on the keys nearest to a trigger's last key, the nearest
   * first.
   *
   * @param most how many
   */
  public static List<Trigger.Keys> freeNear(
      Subject subject, Binding binding, Trigger.Keys trigger, int most) {
    Keymap keymap = subject.keymap();
    Library knowing = knowing(subject.library(), binding);
    Stroke last = trigger.strokes().getLast();
    Optional<Shape.Cap> from =
        keymap.layout().presses(last).stream().findFirst().flatMap(p -> cap(keymap, p.code()));
    if (from.isEmpty()) {
      return List.of();
    }
    return keymap.station().shape().caps().stream()
        .filter(c -> c.code() != from.get().code() && c.code().fixedKeysym().isEmpty())
        .sorted(Comparator.comparingDouble(c -> distance(c, from.get())))
        .flatMap(c -> stroke(keymap.layout(), c.code(), last).stream())
        .map(s -> replaceLast(trigger, s))
        .filter(t -> on(subject, knowing, binding, t).isFree())
        .limit(most)
        .toList();
  }

  private static Optional<Shape.Cap> cap(Keymap keymap, KeyCode code) {
    return keymap.station().shape().caps().stream().filter(c -> c.code() == code).findFirst();
  }

  private static Optional<Stroke> stroke(Layout layout, KeyCode code, Stroke like) {
    Stroke byCharacter = layout.stroke(new Press(code, like.modifiers()));
    return byCharacter.key() instanceof Key.Making(var keysym) && keysym.types()
        ? Optional.of(byCharacter)
        : Optional.empty();
  }

  private static Trigger.Keys replaceLast(Trigger.Keys trigger, Stroke last) {
    List<Stroke> strokes = trigger.strokes();
    return new Trigger.Keys(
        Stream.concat(strokes.subList(0, strokes.size() - 1).stream(), Stream.of(last)).toList());
  }

  /** In key widths, middle to middle. */
  private static double distance(Shape.Cap a, Shape.Cap b) {
    return Math.hypot(a.x() + a.width() / 2 - b.x() - b.width() / 2, a.y() - b.y());
  }
}
