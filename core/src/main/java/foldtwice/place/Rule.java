package foldtwice.place;

import foldtwice.trigger.Key;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Keysym;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Optional;

/** One thing an application demands of the triggers it accepts. Rules add up: all must hold. */
public sealed interface Rule {

  /** Sequences of more strokes than this are refused. */
  record MostStrokes(int count) implements Rule {}

  /**
   * Every stroke must hold one of these, unless its key is a function key or another key that types
   * nothing.
   */
  record HoldsOneOf(Modifiers modifiers) implements Rule {}

  /** Every stroke must hold one of these, whatever its key: only chords with them. */
  record AlwaysHolds(Modifiers modifiers) implements Rule {}

  /** No stroke may hold any of these. */
  record NeverHolds(Modifiers modifiers) implements Rule {}

  /** These keys are never accepted, by XKB keysym name. */
  record NeverKeys(List<String> keysyms) implements Rule {
    public NeverKeys {
      keysyms = List.copyOf(keysyms);
    }
  }

  /** Another rule, for what is bound in one of these contexts or inside it only. */
  record In(List<String> contexts, Rule rule) implements Rule {
    public In {
      contexts = List.copyOf(contexts);
    }
  }

  /**
   * True when this rule has nothing against the trigger; rules speak of keys only.
   *
   * @param layout says what a key named by its position makes
   */
  default boolean accepts(Trigger trigger, Layout layout) {
    List<Stroke> strokes = trigger.keyStrokes();
    return switch (this) {
      case MostStrokes(int count) -> strokes.size() <= count;
      case HoldsOneOf(Modifiers wanted) ->
          strokes.stream().allMatch(s -> !types(s) || (s.modifiers().bits() & wanted.bits()) != 0);
      case AlwaysHolds(Modifiers wanted) ->
          strokes.stream().allMatch(s -> (s.modifiers().bits() & wanted.bits()) != 0);
      case In(var contexts, Rule rule) -> rule.accepts(trigger, layout);
      case NeverHolds(Modifiers refused) ->
          strokes.stream().noneMatch(s -> (s.modifiers().bits() & refused.bits()) != 0);
      case NeverKeys(List<String> refused) ->
          strokes.stream()
              .flatMap(s -> made(s.key(), layout).stream())
              .noneMatch(k -> refused.stream().anyMatch(r -> isSame(r, k)));
    };
  }

  private static Optional<Keysym> made(Key key, Layout layout) {
    return switch (key) {
      case Key.Making(Keysym keysym) -> Optional.of(keysym);
      case Key.At(KeyCode code) -> layout.makes(code, Modifiers.NONE);
    };
  }

  /** A capital letter is on the key of the small one. */
  private static boolean isSame(String refused, Keysym made) {
    return made.name().equals(refused)
        || Keysym.named(refused).map(Keysym::small).equals(Optional.of(made.small()));
  }

  private static boolean types(Stroke stroke) {
    return switch (stroke.key()) {
      case Key.Making(Keysym keysym) -> keysym.text().isPresent();
      case Key.At(KeyCode code) -> code.fixedKeysym().isEmpty();
    };
  }

  /** The modifiers a rule speaks of, for wording. */
  default List<Modifier> modifierList() {
    return switch (this) {
      case HoldsOneOf(Modifiers m) -> m.list();
      case AlwaysHolds(Modifiers m) -> m.list();
      case In(var contexts, Rule rule) -> rule.modifierList();
      case NeverHolds(Modifiers m) -> m.list();
      case MostStrokes m -> List.of();
      case NeverKeys k -> List.of();
    };
  }
}
