package foldtwice.resolve;

import foldtwice.place.Place;
import foldtwice.trigger.Signal;
import java.util.ArrayList;
import java.util.List;

/**
 * Why a press came out as it did, layer by layer.
 *
 * @param presses the strokes that were looked at together
 * @param layers who looked, in order
 */
public record Explanation(Place state, List<Signal> presses, List<LayerReport> layers) {

  /** What one layer did with the strokes. */
  public enum Verdict {
    /** Claims nothing of the kind. */
    PASSES,
    /** Takes it. */
    TAKES,
    /** Claims something longer and waits for the rest. */
    WAITS,
    /** Would take it, and is held back while a layer before it waits. */
    HELD_BACK,
    /** Would take it, but a layer before it did. */
    TOO_LATE,
    /** Would take it, but a shorter claim fired before. */
    CUT_SHORT,
    /** Several bindings of this layer claim it, so none fires. */
    UNDECIDED,
    /** Claims it, but text is being typed here. */
    TYPING,
    /** The character is typed. */
    TYPES
  }

  /**
   * One layer's part.
   *
   * @param claims those the verdict is about
   * @param behind native commands of the same layer that a binding goes before
   */
  public record LayerReport(Layer layer, Verdict verdict, List<Claim> claims, List<Claim> behind) {}

  /** Explains what these strokes, pressed one after the other in time, come to. */
  public static Explanation of(Keymap keymap, Place state, List<Signal> presses) {
    StateMap map = keymap.at(state);
    if (presses.size() > 1 && !map.kept(presses.getLast()).isEmpty()) {
      return of(keymap, state, List.of(presses.getLast())); // clause 15
    }
    Node node = map.walk(presses);
    List<LayerReport> reports = new ArrayList<>();
    boolean taken = false;
    boolean waiting = false;
    for (int i = 0; i < map.layers().size(); i++) {
      LayerReport report = report(keymap, map, node, i, presses, taken, waiting);
      reports.add(report);
      taken |= report.verdict == Verdict.TAKES || report.verdict == Verdict.UNDECIDED;
      waiting |= report.verdict == Verdict.WAITS;
    }
    if (map.takesText()) {
      boolean types =
          !taken
              && !waiting
              && presses.getFirst().asPress().flatMap(map.layout()::types).isPresent();
      reports.add(
          new LayerReport(
              new Layer.TextEntry(), types ? Verdict.TYPES : Verdict.PASSES, List.of(), List.of()));
    }
    return new Explanation(state, List.copyOf(presses), List.copyOf(reports));
  }

  private static LayerReport report(
      Keymap keymap,
      StateMap map,
      Node node,
      int layer,
      List<Signal> presses,
      boolean taken,
      boolean waiting) {
    Layer at = map.layers().get(layer);
    if (map.passesText(layer, presses)) {
      List<Claim> silent = keymap.claimsAt(at, presses);
      return new LayerReport(
          at, silent.isEmpty() ? Verdict.PASSES : Verdict.TYPING, silent, List.of());
    }
    List<Claim> owners = node == null ? List.of() : node.owners(layer);
    boolean longer = node != null && (node.below & 1L << layer) != 0;
    if (owners.isEmpty()) {
      boolean live = longer && !taken && layer < node.cut && !node.firesAtOnce();
      return new LayerReport(at, live ? Verdict.WAITS : Verdict.PASSES, List.of(), List.of());
    }
    Verdict verdict;
    if (presses.getFirst().isStart()) {
      verdict = Verdict.TAKES;
    } else if (layer >= node.cut) {
      verdict = Verdict.CUT_SHORT;
    } else if (taken) {
      verdict = Verdict.TOO_LATE;
    } else if (waiting) {
      verdict = Verdict.HELD_BACK;
    } else {
      verdict = owners.size() > 1 ? Verdict.UNDECIDED : Verdict.TAKES;
    }
    return new LayerReport(at, verdict, owners, node.behind(layer));
  }
}
