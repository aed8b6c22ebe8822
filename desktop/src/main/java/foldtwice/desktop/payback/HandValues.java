package foldtwice.desktop.payback;

import foldtwice.effort.Measured;
import foldtwice.effort.Pointing;
import foldtwice.effort.Skill;
import foldtwice.effort.Span;
import foldtwice.effort.Values;
import java.util.Optional;
import java.util.prefs.Preferences;

/** How fast a person's hand is: a class of the model, or what was measured; kept with them. */
final class HandValues {

  private static final String SKILL = "skill";
  private static final String OWN = "own";

  private final Preferences kept = Preferences.userNodeForPackage(HandValues.class).node("hand");

  Skill skill() {
    try {
      return Skill.valueOf(kept.get(SKILL, Skill.AVERAGE_SKILLED.name()));
    } catch (IllegalArgumentException e) {
      return Skill.AVERAGE_SKILLED; // somebody has changed it
    }
  }

  /** What was measured, if it was. */
  Optional<Values> measured() {
    Optional<Span> key = span("key");
    Optional<Span> hand = span("hand");
    Optional<Span> a = span("pointing.a");
    Optional<Span> b = span("pointing.b");
    return key.isEmpty() || hand.isEmpty() || a.isEmpty() || b.isEmpty()
        ? Optional.empty()
        : Optional.of(
            Values.measured(key.get(), new Pointing.Fitts(a.get(), b.get(), 1), hand.get()));
  }

  private Optional<Span> span(String name) {
    double low = kept.getDouble(name + ".low", Double.NaN);
    double mid = kept.getDouble(name + ".mid", Double.NaN);
    double high = kept.getDouble(name + ".high", Double.NaN);
    return low <= mid && mid <= high && low >= 0 && high < 60
        ? Optional.of(new Span(low, mid, high))
        : Optional.empty();
  }

  boolean isOwn() {
    return kept.getBoolean(OWN, false) && measured().isPresent();
  }

  void choose(Skill skill) {
    kept.put(SKILL, skill.name());
    kept.putBoolean(OWN, false);
  }

  void chooseOwn() {
    kept.putBoolean(OWN, true);
  }

  /** Keeps what was measured, and uses it. */
  void keep(Measured m) {
    put("key", m.key());
    put("hand", m.hand());
    put("pointing.a", m.intercept());
    put("pointing.b", m.slope());
    kept.putBoolean(OWN, true);
  }

  private void put(String name, Span span) {
    kept.putDouble(name + ".low", span.low());
    kept.putDouble(name + ".mid", span.mid());
    kept.putDouble(name + ".high", span.high());
  }

  Values values() {
    return isOwn() ? measured().orElseThrow() : Values.of(skill());
  }
}
