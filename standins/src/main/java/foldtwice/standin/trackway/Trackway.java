package foldtwice.standin.trackway;

import foldtwice.known.Effects;
import foldtwice.known.Touch;
import foldtwice.place.AddOn;
import foldtwice.place.Place;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Change;
import foldtwice.run.Dialog;
import foldtwice.run.Reply;
import foldtwice.standin.base.Edition;
import foldtwice.standin.base.OpenDialog;
import foldtwice.standin.base.StandIn;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The field map. */
public final class Trackway extends StandIn<Fieldmap> {

  public static final String ID = "trackway";

  /** The versions there are; only the later one selects what lies inside by a menu. */
  public static final List<String> VERSIONS = List.of("1.8", "2.0");

  /** The add-on that chains stops. */
  public static final AddOn CHAINER = new AddOn("Chainer", "1.1");

  /** How many numbered places there are. */
  public static final int PLACES = 9;

  private static final Effects VIEW = Effects.of(Touch.VIEW);
  private static final Effects OBJECTS = Effects.of(Touch.OBJECTS);
  private static final Effects SELECTION = Effects.of(Touch.SELECTION);
  private static final Effects DOCUMENT = Effects.of(Touch.OBJECTS, Touch.SELECTION);
  private static final String GRID = "grid";

  /** The shelf of numbered places along the right edge: a context while the pointer is over it. */
  public static final String SHELF = "shelf";

  /** A view of the map that was given a number. */
  private record View(String site, List<String> selected) {}

  private final Map<Integer, View> places = new LinkedHashMap<>();
  private String site = "";
  private String drawingFrom = "";
  private boolean registered;

  /** The number of the place gone to last; 0 for none. */
  private int lastGone;

  public Trackway() {
    this(Edition.of(VERSIONS.getLast(), List.of(CHAINER)));
  }

  public Trackway(Edition edition) {
    super(ID, edition, Fieldmap.first());
    setting(GRID, "10 m", "5 m", "10 m", "50 m");
    setting("names", "shown", "shown", "hidden");
    settingFromRestart("ground", "relief", "relief", "plain");
    mapCommands();
    stopCommands();
    placeCommands();
  }

  private boolean later() {
    return edition().version().equals(VERSIONS.getLast());
  }

  private void mapCommands() {
    command(
        "save", "Map \u203a Save", Effects.of(Touch.FILES), () -> changed("map", "open", "saved"));
    command(
        "fix",
        "Map \u203a Fix stops",
        Effects.of(Touch.UNDO_HISTORY, Touch.SELECTION),
        () -> becomeForGood(document().selecting(List.of())));
    command("undo", "Edit \u203a Undo", DOCUMENT, this::undo);
    command("redo", "Edit \u203a Redo", DOCUMENT, this::redo);
    command(
        "delete",
        "Edit \u203a Delete",
        DOCUMENT.onSelection(),
        () -> onSelected(() -> become(document().withoutSelected())));
    command("select-all", "Select \u203a All", SELECTION, () -> select(Whom.Group.ALL, false));
    command(
        "select-none", "Select \u203a Nothing", SELECTION, () -> select(Whom.Group.NOTHING, false));
    command("next", "Select \u203a Next", SELECTION, () -> select(1, 0, Step.Edge.CLAMP));
    command("previous", "Select \u203a Previous", SELECTION, () -> select(-1, 0, Step.Edge.CLAMP));
    if (later()) {
      command(
          "children",
          "Select \u203a What lies inside",
          SELECTION.onSelection(),
          () -> select(Whom.Group.CHILDREN, false));
      command(
          "parent",
          "Select \u203a The site around",
          SELECTION.onSelection(),
          () -> select(Whom.Group.PARENT, false));
    }
    command(
        "names",
        "View \u203a Names",
        Effects.of().setting("names"),
        () -> change("names", new Value.Text(namesShown() ? "hidden" : "shown")));
    tick("names", this::namesShown);
    for (String grid : List.of("5 m", "10 m", "50 m")) {
      command(
          "grid-" + grid.replace(" ", ""),
          "View \u203a Grid \u203a " + grid,
          Effects.of().setting(GRID),
          () -> change(GRID, new Value.Text(grid)));
      tick("grid-" + grid.replace(" ", ""), () -> settings().get(GRID).shown().equals(grid));
    }
    command(
        "enter-site",
        "Site \u203a Go inside",
        Effects.of(Touch.VIEW, Touch.SELECTION).onSelection(),
        this::enterSite);
    command(
        "leave-site",
        "Site \u203a Go out",
        Effects.of(Touch.VIEW, Touch.SELECTION),
        this::leaveSite);
    command("leave", "", Effects.of(Touch.VIEW, Touch.SELECTION), this::leave);
  }

  private void stopCommands() {
    opening(
        "add-stop",
        "Stop \u203a Add \u2026",
        VIEW,
        () ->
            OpenDialog.of(
                    "Add a stop",
                    Dialog.Field.text("Name", ""),
                    Dialog.Field.number("East m", "400", 0),
                    Dialog.Field.number("South m", "240", 0))
                .closing("Add", DOCUMENT, (p, d) -> ((Trackway) p).add(d))
                .leaving("Cancel"));
    opening(
        "move-stop",
        "Stop \u203a Move \u2026",
        VIEW.onSelection(),
        () ->
            OpenDialog.of(
                    "Move stops",
                    Dialog.Field.number("East m", "0", 0),
                    Dialog.Field.number("South m", "0", 0))
                .button(
                    "Move",
                    OBJECTS.onSelection(),
                    (p, d) -> ((Trackway) p).move(metres(d, "East m"), metres(d, "South m")))
                .leaving("Close"));
    command("move-west", "", OBJECTS.onSelection(), () -> move(-grid(), 0));
    command("move-east", "", OBJECTS.onSelection(), () -> move(grid(), 0));
    command("move-north", "", OBJECTS.onSelection(), () -> move(0, -grid()));
    command("move-south", "", OBJECTS.onSelection(), () -> move(0, grid()));
    command("draw", "Leg \u203a Draw from here", Effects.of(Touch.VIEW).onSelection(), this::draw);
    command(
        "join",
        "Leg \u203a Join selected",
        OBJECTS.onSelection(),
        () -> join(document().selectedStops()));
    command("chain", "Leg \u203a Chain to last", OBJECTS.onSelection().from(CHAINER), this::chain);
  }

  private void placeCommands() {
    command(
        "register-places", "View \u203a Numbered places \u203a Switch on", VIEW, this::register);
    tick("register-places", () -> registered);
    for (int i = 1; i <= PLACES; i++) {
      int number = i;
      command(
          "set-place-" + i,
          "View \u203a Numbered places \u203a Set " + i,
          VIEW,
          () -> setPlace(number));
      command(
          "go-place-" + i,
          "View \u203a Numbered places \u203a Go to " + i,
          Effects.of(Touch.VIEW, Touch.SELECTION),
          () -> goPlace(number));
    }
    command("next-place", "", Effects.of(Touch.VIEW, Touch.SELECTION), this::nextPlace);
  }

  private boolean namesShown() {
    return settings().get("names").shown().equals("shown");
  }

  private int grid() {
    String grid = settings().get(GRID).shown();
    return Integer.parseInt(grid.substring(0, grid.indexOf(' ')));
  }

  private interface Deed {
    Reply now();
  }

  private Reply onSelected(Deed action) {
    return somethingSelected()
        ? action.now()
        : new Reply.Refused("something selected", "nothing selected");
  }

  private static int metres(Dialog dialog, String field) {
    return OpenDialog.number(dialog.field(field).orElseThrow().text()).orElseThrow().intValue();
  }

  private Reply add(Dialog dialog) {
    String name = dialog.field("Name").orElseThrow().text().strip();
    if (name.isEmpty() || name.startsWith("leg ") || document().stop(name).isPresent()) {
      return new Reply.Refused("a name no stop has yet", "\"" + name + "\"");
    }
    Stop stop =
        new Stop(
            name,
            site.isEmpty() ? Stop.Kind.STOP : Stop.Kind.PLOT,
            metres(dialog, "East m"),
            metres(dialog, "South m"),
            site);
    return become(document().with(stop));
  }

  private Reply move(int east, int south) {
    return onSelected(
        () ->
            document().selectedStops().isEmpty()
                ? new Reply.Refused("a selected stop", "only legs selected")
                : become(document().changing(s -> s.moved(east, south))));
  }

  private Reply draw() {
    List<Stop> stops = document().selectedStops();
    if (stops.isEmpty()) {
      return new Reply.Refused("a selected stop", "none");
    }
    String before = keys();
    drawingFrom = stops.getLast().name();
    return changed("keys go to", before, keys());
  }

  private Reply join(List<Stop> stops) {
    if (stops.size() < 2) {
      return new Reply.Refused("two selected stops or more", stops.size() + " selected");
    }
    List<Leg> legs = new ArrayList<>();
    for (int i = 1; i < stops.size(); i++) {
      legs.add(new Leg(stops.get(i - 1).name(), stops.get(i).name()));
    }
    return become(document().with(legs));
  }

  /** Every selected stop gets a leg to the one selected last. */
  private Reply chain() {
    List<Stop> stops = document().selectedStops();
    if (stops.size() < 2) {
      return new Reply.Refused("two selected stops or more", stops.size() + " selected");
    }
    String last = stops.getLast().name();
    return become(
        document()
            .with(
                stops.subList(0, stops.size() - 1).stream()
                    .map(s -> new Leg(s.name(), last))
                    .toList()));
  }

  private Reply enterSite() {
    Optional<Stop> into =
        document().selectedStops().stream().filter(s -> s.kind() == Stop.Kind.SITE).findFirst();
    if (into.isEmpty()) {
      return new Reply.Refused("a selected site", "none");
    }
    return goInto(into.get().name(), List.of());
  }

  private Reply goInto(String next, List<String> selected) {
    String before = keys();
    site = next;
    drawingFrom = "";
    Reply keys = changed("keys go to", before, keys());
    return both(keys, become(document().selecting(selected)));
  }

  private Reply leaveSite() {
    return site.isEmpty()
        ? new Reply.Refused("to be inside a site", "on the map")
        : goInto("", List.of(site));
  }

  private Reply leave() {
    if (dialog().isPresent()) {
      return cancel();
    }
    if (!drawingFrom().isEmpty()) {
      return drop();
    }
    return site.isEmpty() ? become(document().selecting(List.of())) : leaveSite();
  }

  private Reply register() {
    boolean before = registered;
    registered = true;
    return changed("numbered places", before ? "on" : "off", "on");
  }

  private Reply setPlace(int number) {
    if (!registered) {
      return new Reply.Refused("numbered places switched on at this start", "they are off");
    }
    View before = places.get(number);
    View now = new View(site, document().selected());
    places.put(number, now);
    return changed("place " + number, before == null ? "none" : say(before), say(now));
  }

  private Reply goPlace(int number) {
    if (!registered) {
      return new Reply.Refused("numbered places switched on at this start", "they are off");
    }
    View view = places.get(number);
    if (view == null) {
      return new Reply.Refused("a place with the number " + number, "none set");
    }
    lastGone = number;
    List<String> still = view.selected().stream().filter(allNames()::contains).toList();
    return goInto(document().stop(view.site()).isPresent() ? view.site() : "", still);
  }

  /** To the place after the one that was gone to last, round the shelf. */
  private Reply nextPlace() {
    List<Integer> set = places.keySet().stream().sorted().toList();
    if (set.isEmpty()) {
      return new Reply.Refused("a numbered place", "none set");
    }
    int next = set.stream().filter(n -> n > lastGone).findFirst().orElse(set.getFirst());
    return goPlace(next);
  }

  private static String say(View view) {
    return (view.site().isEmpty() ? "map" : view.site()) + ": " + Fieldmap.say(view.selected());
  }

  private String keys() {
    if (!drawingFrom().isEmpty()) {
      return "a leg from " + drawingFrom();
    }
    return site.isEmpty() ? "map" : site;
  }

  /** The site one is inside; empty on the map itself. */
  public String site() {
    return site;
  }

  /** The stop a leg is being drawn from; empty for none. */
  public String drawingFrom() {
    return document().stop(drawingFrom).isPresent() ? drawingFrom : "";
  }

  /** The numbers of the places that are set. */
  public Set<Integer> placesSet() {
    return Set.copyOf(places.keySet());
  }

  /** While a leg is drawn, choosing a stop ends it there, and nothing else can be chosen. */
  @Override
  public Reply selectNamed(String name, boolean adding) {
    if (!drawingFrom().isEmpty() && document().stop(name).isPresent()) {
      Leg leg = new Leg(drawingFrom, name);
      Reply ended = changed("drawing", "from " + drawingFrom, "none");
      drawingFrom = "";
      return both(ended, become(document().with(List.of(leg))));
    }
    if (!drawingFrom().isEmpty() && allNames().contains(name)) {
      return new Reply.Refused("a stop to draw to", name);
    }
    return super.selectNamed(name, adding);
  }

  /** While a leg is drawn, a click takes nothing out of what is selected. */
  @Override
  public Reply click(String name, boolean adding) {
    return drawingFrom().isEmpty() || name.isEmpty()
        ? super.click(name, adding)
        : selectNamed(name, adding);
  }

  private List<String> allNames() {
    List<String> all = new ArrayList<>(document().stops().stream().map(Stop::name).toList());
    document().legs().forEach(l -> all.add(l.name()));
    return all;
  }

  /** On the map all stops and legs but plots; inside a site its plots. */
  @Override
  protected List<String> names() {
    if (!site.isEmpty()) {
      return inside(site);
    }
    return allNames();
  }

  @Override
  protected List<String> inside(String name) {
    return document().stops().stream().filter(s -> s.in().equals(name)).map(Stop::name).toList();
  }

  @Override
  protected Optional<String> around(String name) {
    return document().stop(name).map(Stop::in).filter(in -> !in.isEmpty());
  }

  @Override
  protected Set<Whom.Group> selects() {
    return Set.of(Whom.Group.values());
  }

  @Override
  public List<String> selected() {
    return document().selected();
  }

  @Override
  protected Fieldmap selecting(List<String> names) {
    return document().selecting(names);
  }

  @Override
  public String selectedText() {
    return document().selected().isEmpty() ? "" : document().selected().getLast();
  }

  @Override
  public Map<String, Value> indicators() {
    long metres = document().legs().stream().mapToLong(document()::metres).sum();
    return Map.of("metres in all", Value.Amount.of(metres));
  }

  @Override
  public Reply type(String text) {
    return new Reply.Refused("a field to type into", "none");
  }

  @Override
  protected Reply drop() {
    String before = keys();
    drawingFrom = "";
    return changed("keys go to", before, keys());
  }

  @Override
  protected void restarted() {
    registered = false;
    site = "";
    drawingFrom = "";
  }

  @Override
  public List<String> pending() {
    List<String> pending = new ArrayList<>(super.pending());
    if (!registered) {
      pending.add("numbered places: after View \u203a Numbered places \u203a Switch on");
    }
    return pending;
  }

  @Override
  public Place place() {
    String context;
    if (dialog().isPresent()) {
      context = "dialog";
    } else if (!drawingFrom().isEmpty()) {
      context = "drawing";
    } else if (!site.isEmpty()) {
      context = "site";
    } else if (!somethingSelected()) {
      context = "nothing";
    } else {
      context =
          document()
              .stop(selected().getLast())
              .map(s -> s.kind() == Stop.Kind.PLOT ? "plot" : "stop")
              .orElse("leg");
    }
    return within(context);
  }

  @Override
  protected List<String> panes() {
    return List.of(SHELF);
  }

  @Override
  protected Reply goTo(String context) {
    return switch (context) {
      case "site" -> goInto(first(Stop.Kind.SITE), List.of());
      case "nothing" -> goInto("", List.of());
      case "leg" -> goInto("", document().legs().stream().limit(1).map(Leg::name).toList());
      case "plot" -> goInto("", List.of(first(Stop.Kind.PLOT)));
      case "drawing" -> {
        goInto("", List.of(first(Stop.Kind.STOP)));
        yield draw();
      }
      case "dialog" -> fire("add-stop");
      default -> goInto("", List.of(first(Stop.Kind.SITE)));
    };
  }

  private String first(Stop.Kind kind) {
    return document().stops().stream()
        .filter(s -> s.kind() == kind)
        .map(Stop::name)
        .findFirst()
        .orElse("");
  }

  @Override
  protected List<Change> differences(Fieldmap before, Fieldmap after) {
    return Fieldmap.differences(before, after);
  }

  @Override
  public Trackway copy() {
    Trackway copy = new Trackway(edition());
    copy.takeOver(this);
    copy.places.putAll(places);
    copy.site = site;
    copy.drawingFrom = drawingFrom;
    copy.registered = registered;
    copy.lastGone = lastGone;
    return copy;
  }

  @Override
  public Map<String, String> state() {
    Map<String, String> state = commonState();
    document().stops().forEach(s -> state.put("stop " + s.name(), s.toString()));
    document().legs().forEach(l -> state.put(l.name(), document().metres(l) + " m"));
    places.forEach((number, view) -> state.put("view place " + number, say(view)));
    state.put("view site", site);
    state.put("view drawing", drawingFrom());
    state.put("view numbered places", registered ? "on" : "off");
    return state;
  }
}
