package foldtwice.resolve;

import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Place;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Lift;
import foldtwice.trigger.Motion;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * All claims that can be heard while an application is in one state, as one tree over presses.
 *
 * <p>Building costs the number of claims in the layers; looking up a stroke costs one probe of a
 * table, whatever their number.
 */
final class StateMap {

  private final Place state;
  private final List<Layer> layers;
  private final boolean takesText;
  private final Layout layout;
  private final Node root = new Node();

  private StateMap(Place state, List<Layer> layers, boolean takesText, Layout layout) {
    this.state = state;
    this.layers = List.copyOf(layers);
    this.takesText = takesText;
    this.layout = layout;
  }

  static StateMap build(
      Place state, Application application, Layout layout, Map<Place, List<Compiled>> claims) {
    List<Layer> layers = new ArrayList<>();
    layers.add(new Layer.Reserved());
    layers.add(new Layer.SystemWide());
    boolean takesText = false;
    if (state instanceof Place.Within(String id, String contextId)) {
      List<Context> path = application.path(contextId);
      takesText = path.getLast().takesText();
      for (Context context : path.reversed()) {
        layers.add(new Layer.At(new Place.Within(id, context.id())));
      }
    }
    layers.add(new Layer.At(new Place.Whole(application.id())));
    StateMap map = new StateMap(state, layers, takesText, layout);
    for (int i = 0; i < layers.size(); i++) {
      for (Compiled c : claims.getOrDefault(place(layers.get(i)), List.of())) {
        boolean desktops = c.claim().owner() instanceof Owner.Desktop;
        if (desktops == layers.get(i) instanceof Layer.Reserved) {
          map.add(i, c);
        }
      }
    }
    decide(map.root, Node.NO_LAYER, true);
    return map;
  }

  private static Place place(Layer layer) {
    return layer instanceof Layer.At(Place place) ? place : new Place.Everywhere();
  }

  private void add(int layer, Compiled compiled) {
    for (List<Signal> path : compiled.paths()) {
      if (!passesText(layer, path)) {
        insert(layer, path, compiled.claim());
      }
    }
  }

  private void insert(int layer, List<Signal> path, Claim claim) {
    Node node = root;
    for (Signal press : path) {
      node.below |= 1L << layer;
      node = node.childOrNew(press.id());
    }
    node.hits.add(new Node.Hit(layer, claim));
  }

  /**
   * Clause 8: while text is typed, only the context itself hears a trigger that begins by typing.
   */
  boolean passesText(int layer, List<Signal> path) {
    return takesText
        && !(layers.get(layer) instanceof Layer.Reserved)
        && !(layers.get(layer) instanceof Layer.At(Place place) && place.equals(state))
        && types(path.getFirst());
  }

  /** A key that types as it goes down is not heard coming up either. */
  private boolean types(Signal first) {
    return switch (first) {
      case Press p -> layout.types(p).isPresent();
      case Lift(Press p) -> layout.types(p).isPresent();
      case Motion m -> false;
    };
  }

  /** Clauses 2 to 6 and 10, from the root downwards. */
  private static void decide(Node node, int cut, boolean isRoot) {
    node.cut = cut;
    int first = node.firstLayer();
    if (!isRoot) {
      node.decision = decision(node, first);
    }
    int next = node.firesAtOnce() ? 0 : Math.min(cut, first);
    for (Node child : node.children()) {
      decide(child, next, false);
    }
  }

  private static Outcome decision(Node node, int first) {
    boolean longer = (node.below & ((1L << Math.min(first, node.cut)) - 1)) != 0;
    if (first == Node.NO_LAYER) {
      return longer ? new Outcome.Waiting(Optional.empty()) : null;
    }
    List<Claim> owners = node.owners(first);
    if (longer && !node.firesAtOnce()) {
      return new Outcome.Waiting(
          owners.size() == 1 ? Optional.of(owners.getFirst()) : Optional.empty());
    }
    return owners.size() == 1
        ? new Outcome.Fired(owners.getFirst())
        : new Outcome.Undecided(owners);
  }

  Node root() {
    return root;
  }

  Place state() {
    return state;
  }

  List<Layer> layers() {
    return layers;
  }

  boolean takesText() {
    return takesText;
  }

  Layout layout() {
    return layout;
  }

  /** The node these presses lead to; null when nobody claims anything there. */
  Node walk(List<Signal> presses) {
    Node node = root;
    for (Signal press : presses) {
      node = node.child(press.id());
      if (node == null) {
        return null;
      }
    }
    return node;
  }

  /**
   * The number of the layer that claims made in this place belong to; -1 when it is not heard here.
   */
  int layerOf(Claim claim) {
    for (int i = 0; i < layers.size(); i++) {
      boolean desktops = claim.owner() instanceof Owner.Desktop;
      if (desktops == layers.get(i) instanceof Layer.Reserved
          && place(layers.get(i)).equals(claim.place())) {
        return i;
      }
    }
    return -1;
  }
}
