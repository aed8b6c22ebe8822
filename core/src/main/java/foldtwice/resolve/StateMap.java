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
import java.util.Set;

/**
 * All claims that can be heard while an application is in one state, as one tree over presses.
 *
 * <p>The branch of a first press is built when it is first asked for, and costs the claims that
 * begin with it; looking up a stroke after that costs one probe of a table, whatever their number.
 */
final class StateMap {

  /** The number of the desktop's layer. */
  private static final int RESERVED = 0;

  private final Place state;
  private final List<Layer> layers;
  private final List<Bundle> bundles;

  /** Where text is typed; null where none is. */
  private final Place typing;

  private final Layout layout;
  private final Branches branches;

  private StateMap(
      Place state,
      List<Layer> layers,
      List<Bundle> bundles,
      Place typing,
      Layout layout,
      Branches branches) {
    this.state = state;
    this.layers = layers;
    this.bundles = bundles;
    this.typing = typing;
    this.layout = layout;
    this.branches = branches;
  }

  static StateMap build(
      Place state, Application application, Layout layout, Map<Place, Bundle> claims) {
    List<Layer> layers = new ArrayList<>();
    layers.add(new Layer.Reserved());
    layers.add(new Layer.SystemWide());
    for (Context context : application.heardIn(state)) {
      layers.add(new Layer.At(new Place.Within(application.id(), context.id())));
    }
    layers.add(new Layer.At(new Place.Whole(application.id())));
    List<Bundle> bundles =
        layers.stream().map(l -> claims.getOrDefault(place(l), Bundle.EMPTY)).toList();
    Place typing =
        application
            .focused(state)
            .filter(Context::takesText)
            .map(c -> new Place.Within(application.id(), c.id()))
            .orElse(null);
    return new StateMap(state, List.copyOf(layers), bundles, typing, layout, new Branches());
  }

  /**
   * The same state after what one place claims has changed.
   *
   * @param firsts the ids of the first presses of what was added or taken away
   */
  StateMap with(Place place, Bundle now, Set<Integer> firsts) {
    List<Bundle> next = new ArrayList<>(bundles);
    for (int i = 0; i < next.size(); i++) {
      if (place(layers.get(i)).equals(place)) {
        next.set(i, now);
      }
    }
    return new StateMap(state, layers, List.copyOf(next), typing, layout, branches.without(firsts));
  }

  /** True when what is claimed in a place is heard in this state. */
  boolean hears(Place place) {
    return layers.stream().anyMatch(l -> place(l).equals(place));
  }

  private static Place place(Layer layer) {
    return layer instanceof Layer.At(Place place) ? place : new Place.Everywhere();
  }

  /** What begins with a press; {@link Node#EMPTY} when nothing does. */
  private Node branch(int first) {
    Node branch = branches.get(first);
    if (branch == null) {
      branch = grow(first);
      branches.put(first, branch);
    }
    return branch;
  }

  private Node grow(int first) {
    Node branch = null;
    for (int i = 0; i < layers.size(); i++) {
      boolean reserved = layers.get(i) instanceof Layer.Reserved;
      for (Compiled c : bundles.get(i).beginningWith(first)) {
        if (c.refused() || c.claim().owner() instanceof Owner.Desktop != reserved) {
          continue;
        }
        for (List<Signal> path : c.paths()) {
          if (path.getFirst().id() == first && !passesText(i, path)) {
            branch = branch == null ? new Node() : branch;
            insert(branch, i, path, c.claim());
          }
        }
      }
    }
    if (branch == null) {
      return Node.EMPTY;
    }
    decide(branch, Node.NO_LAYER);
    return branch;
  }

  private static void insert(Node branch, int layer, List<Signal> path, Claim claim) {
    Node node = branch;
    for (Signal press : path.subList(1, path.size())) {
      node.below |= 1L << layer;
      node = node.childOrNew(press.id());
    }
    node.hits.add(new Node.Hit(layer, claim));
  }

  /**
   * Clause 8: while text is typed, only the context it is typed in hears a trigger that begins by
   * typing.
   */
  boolean passesText(int layer, List<Signal> path) {
    return typing != null
        && !(layers.get(layer) instanceof Layer.Reserved)
        && !(layers.get(layer) instanceof Layer.At(Place place) && place.equals(typing))
        && types(path.getFirst());
  }

  /** A key that types as it goes down is not heard coming up either. */
  private boolean types(Signal first) {
    return first.key().filter(layout::beginsTyping).isPresent();
  }

  /** Clauses 2 to 6 and 10, from the first press onwards. */
  private static void decide(Node node, int cut) {
    node.cut = cut;
    node.close();
    int first = node.firstLayer();
    node.decision = decision(node, first);
    int next = node.firesAtOnce() ? 0 : Math.min(cut, first);
    for (Node child : node.children()) {
      decide(child, next);
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

  /** The node one press leads to; null when nobody claims anything there. */
  Node first(Signal press) {
    Node branch = branch(heard(press).id());
    return branch == Node.EMPTY ? null : branch;
  }

  /** Clause 15: who of the desktop takes this press alone; none when the desktop lets it pass. */
  List<Claim> kept(Signal press) {
    Node node = first(press);
    return node != null && node.firstLayer() == RESERVED ? node.owners(RESERVED) : List.of();
  }

  Place state() {
    return state;
  }

  List<Layer> layers() {
    return layers;
  }

  boolean takesText() {
    return typing != null;
  }

  Layout layout() {
    return layout;
  }

  /** The node these presses lead to; null when nobody claims anything there. */
  Node walk(List<Signal> presses) {
    Node node = first(presses.getFirst());
    for (int i = 1; i < presses.size() && node != null; i++) {
      node = node.child(heard(presses.get(i)).id());
    }
    return node;
  }

  private Signal heard(Signal signal) {
    return switch (signal) {
      case Press p -> layout.heard(p);
      case Lift(Press p) -> new Lift(layout.heard(p));
      case Motion m -> m;
    };
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
