package foldtwice.standin.sketch;

import foldtwice.describe.Description;
import foldtwice.describe.Does;
import foldtwice.describe.While;
import foldtwice.known.Effects;
import foldtwice.known.Facts;
import foldtwice.known.Touch;
import foldtwice.place.AddOn;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.routine.Value;
import foldtwice.run.Change;
import foldtwice.run.Dialog;
import foldtwice.run.Reply;
import foldtwice.standin.base.Edition;
import foldtwice.standin.base.OpenDialog;
import foldtwice.standin.base.StandIn;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * A simulated program made of nothing but what a library says of it: its menus, its contexts, what
 * can be selected in it, its dialogs, settings and adjustable values. What of it is described does
 * what is said; of the rest it tells that it was done, by name, and how often.
 */
public final class Sketch extends StandIn<Page> {

  private final Application of;
  private final Description described;
  private final List<Description.Adjustable> values;

  /** The context that has the focus; empty for a program without contexts of the focus. */
  private String focus;

  private final Standing standing;

  private final Standing.Now here =
      new Standing.Now() {
        @Override
        public boolean isSelected(String kind) {
          return document().chosen().stream().anyMatch(t -> t.is(kind));
        }

        @Override
        public boolean nothingSelected() {
          return document().selected().isEmpty();
        }

        @Override
        public String dialog() {
          return Sketch.this
              .dialog()
              .map(Dialog::title)
              .map(edition().labels().back()::of)
              .orElse("");
        }
      };

  /** What deeds may know of this. */
  private final Deed.On on =
      new Deed.On() {
        @Override
        public List<Description.Adjustable> values() {
          return values;
        }

        @Override
        public Optional<Description.Setting> setting(String name) {
          return settings().containsKey(name)
              ? described.settings().stream()
                  .filter(s -> s.name().equals(name) && s.span().has(edition().version()))
                  .findFirst()
              : Optional.empty();
        }

        @Override
        public Optional<Description.Thing> thing(String kind) {
          return described.things().stream().filter(t -> t.kind().equals(kind)).findFirst();
        }

        @Override
        public boolean isContext(String id) {
          return isState(id)
              && standing.of(id).filter(w -> w instanceof While.DialogOpen).isEmpty();
        }

        @Override
        public Optional<While> holds(String context) {
          return standing.of(context);
        }
      };

  /** A fresh one of this application, as it is described. */
  public Sketch(Application of, Description described, Edition edition) {
    this(of, described, edition, Told.values(described, edition.version()));
  }

  private Sketch(
      Application of, Description described, Edition edition, List<Description.Adjustable> values) {
    super(of.id(), edition, Page.first(described, values));
    this.of = of;
    this.described = described;
    this.values = values;
    this.standing = new Standing(of, described);
    this.focus = standing.first();
    Set<String> names = new HashSet<>();
    described.settings().stream()
        .filter(s -> s.span().has(edition.version()) && names.add(s.name()))
        .forEach(this::add);
    values.forEach(v -> adjustable(v.name(), v.range()));
    Map<String, Description.Command> known = new HashMap<>();
    described.commands().forEach(c -> known.putIfAbsent(c.id(), c));
    Map<String, Description.Dialog> dialogs = new HashMap<>();
    described.dialogs().stream()
        .filter(d -> d.span().has(edition.version()))
        .forEach(d -> dialogs.putIfAbsent(d.title(), d));
    for (NativeCommand c : of.commands()) {
      Description.Command says = known.getOrDefault(c.id(), Description.Command.unknown(c.id()));
      if (says.span().has(edition.version())) {
        add(c, says, dialogs.get(says.opens()));
      }
    }
    described.actions().forEach(this::add);
  }

  private void add(Description.Setting s) {
    String[] options = s.options().toArray(String[]::new);
    if (s.fromRestart()) {
      settingFromRestart(s.name(), s.start(), options);
    } else {
      setting(s.name(), s.start(), options);
    }
  }

  private void add(NativeCommand c, Description.Command says, Description.Dialog opens) {
    String name = "command " + c.name();
    List<Does> all = known(says.does(), Set.of());
    Effects effects = opens != null && all.isEmpty() ? Effects.NONE : effects(all);
    if (says.onSelection()) {
      effects = effects.onSelection();
    }
    if (!says.addOn().isEmpty()) {
      effects = effects.from(new AddOn(says.addOn(), ""));
    }
    Supplier<Reply> does = () -> does(all, name, says.onSelection(), label -> "");
    if (opens == null) {
      command(c.id(), c.menuPath(), effects, does);
    } else {
      opening(
          c.id(),
          c.menuPath(),
          effects,
          () -> dialog(opens),
          all.isEmpty() ? () -> Reply.QUIET : does);
    }
    tick(c, says);
  }

  /** A command that turns a setting, or sets one, is ticked while the setting is so. */
  private void tick(NativeCommand c, Description.Command says) {
    if (says.does().size() != 1) {
      return;
    }
    switch (says.does().getFirst()) {
      case Does.Turns(String setting) -> {
        if (!c.menuPath().isEmpty()) {
          tick(c.id(), () -> ON.contains(now(setting)));
        }
      }
      case Does.Sets(String setting, Does.Given.Is(String to)) ->
          tick(c.id(), () -> to.equals(now(setting)));
      default -> {} // nothing that holds on
    }
  }

  /** What is done, with whatever names what is not there as a change of which no more is known. */
  private List<Does> known(List<Does> all, Set<String> fields) {
    return all.stream()
        .map(d -> Deed.isKnown(d, on, fields) ? d : new Does.Changes(Touch.OBJECTS))
        .toList();
  }

  /** What it may change; to go to where something is selected may select it. */
  private Effects effects(List<Does> all) {
    Effects effects = Does.effects(all);
    boolean selects =
        all.stream()
            .anyMatch(
                d -> d instanceof Does.Leads(String context) && standing.of(context).isPresent());
    return selects ? effects.touching(Touch.SELECTION) : effects;
  }

  private static final Set<String> ON = Set.of("on", "yes");

  private String now(String setting) {
    Value now = settings().get(setting);
    return now == null ? "" : now.shown();
  }

  private void add(Description.Action a) {
    Set<String> names = new HashSet<>();
    a.parameters().forEach(p -> names.add(p.name()));
    List<Does> all = known(a.does(), names);
    action(
        new Facts.Action(a.addOn(), a.id(), a.name(), a.parameters(), a.contexts(), effects(all)),
        arguments -> does(all, "action " + a.name(), false, label -> arguments.get(label).shown()));
  }

  /** A dialog as it opens. */
  private OpenDialog dialog(Description.Dialog d) {
    Set<String> labels = new HashSet<>();
    Dialog.Field[] fields =
        d.fields().stream()
            .filter(f -> labels.add(f.label()))
            .map(f -> Fields.of(f, settings()))
            .toArray(Dialog.Field[]::new);
    OpenDialog dialog = OpenDialog.of(d.title(), fields);
    for (Description.Button b : d.buttons()) {
      List<Does> all = known(b.does(), labels);
      Effects effects = all.isEmpty() ? Effects.NONE : effects(all);
      OpenDialog.Action action =
          (program, open) ->
              all.isEmpty()
                  ? Reply.QUIET
                  : ((Sketch) program)
                      .does(
                          all,
                          "button " + b.label(),
                          false,
                          label -> open.field(label).orElseThrow().text());
      dialog =
          b.stays()
              ? dialog.button(b.label(), effects, action)
              : dialog.closing(b.label(), effects, action);
    }
    return d.buttons().isEmpty() ? dialog.leaving(CLOSE) : dialog;
  }

  /** What a dialog has of which nobody said what buttons it has. */
  private static final String CLOSE = "Close";

  private static final Does FOR_GOOD = new Does.Changes(Touch.UNDO_HISTORY);

  /** Does all of it, as one step that can be undone, or nothing. */
  private Reply does(
      List<Does> all, String name, boolean onSelection, Function<String, String> fields) {
    Map<String, String> now = new LinkedHashMap<>();
    settings().forEach((setting, value) -> now.put(setting, value.shown()));
    Deed begun = Deed.on(document(), now, focus);
    Deed deed =
        (onSelection ? begun.onSelection() : Optional.<Deed>empty())
            .orElseGet(() -> begun.after(all, name, on, fields));
    if (deed.refused().isPresent()) {
      return deed.refused().get();
    }
    Reply reply = all.contains(FOR_GOOD) ? becomeForGood(deed.page()) : become(deed.page());
    for (var setting : deed.settings().entrySet()) {
      if (!setting.getValue().equals(now.get(setting.getKey()))) {
        reply = both(reply, change(setting.getKey(), new Value.Text(setting.getValue())));
      }
    }
    if (!deed.focus().equals(focus)) {
      reply = both(reply, focusOn(deed.focus()));
    }
    for (Does step : deed.steps()) {
      Reply next = step instanceof Does.Undoes ? undo() : redo();
      reply =
          next instanceof Reply.Refused && !reply.equals(Reply.QUIET) ? reply : both(reply, next);
    }
    return reply;
  }

  /** What the library says of it. */
  public Application described() {
    return of;
  }

  /** The same, beyond its contexts and commands. */
  public Description description() {
    return described;
  }

  /** The context that it is in, if there are such contexts. */
  public Optional<Context> focus() {
    return of.context(standing.at(focus, here));
  }

  @Override
  protected Set<Facts.Aspect> told() {
    return Told.of(of, described, edition());
  }

  @Override
  protected Optional<Reply> undescribed(Facts.Aspect aspect, String what, String to) {
    return facts().tells(aspect)
        ? Optional.empty()
        : Optional.of(become(to.isEmpty() ? document().doing(what) : document().giving(what, to)));
  }

  @Override
  public Place place() {
    if (!focus.isEmpty()) {
      return within(standing.at(focus, here));
    }
    return pane().isEmpty()
        ? new Place.Whole(application())
        : new Place.Within(application(), pane());
  }

  @Override
  protected List<String> panes() {
    return of.allContexts().stream()
        .filter(c -> of.isByPointer(c.id()) && !c.groupOnly())
        .map(Context::id)
        .toList();
  }

  @Override
  protected Reply goTo(String context) {
    if (!isState(context)) {
      return new Reply.Refused("a context of " + of.name(), context);
    }
    String then = standing.at(context, here);
    if (standing.of(context).isEmpty() && !then.equals(context)) {
      return new Reply.Refused(context + " alone", "it is in " + then);
    }
    Optional<Reply> first = making(context);
    if (first.filter(r -> r instanceof Reply.Refused).isPresent()) {
      return first.get();
    }
    if (standing.of(context).filter(w -> w instanceof While.DialogOpen).isPresent()) {
      String there = standing.at(focus, here);
      if (!there.equals(context)) { // another one is said to be so as well, and comes before it
        cancel();
        return new Reply.Refused(context + " alone", "it is in " + there);
      }
      return first.orElse(Reply.QUIET); // when it closes, keys go where they went before
    }
    Reply there = focusOn(context);
    return first.map(r -> both(r, there)).orElse(there);
  }

  private Reply focusOn(String context) {
    String before = focus;
    focus = context;
    return changed("keys go to", before, context);
  }

  /** What has to be done for a context to hold; nothing where it is only a matter of focus. */
  private Optional<Reply> making(String context) {
    return standing
        .of(context)
        .flatMap(
            holds ->
                switch (holds) {
                  case While.DialogOpen open -> opening(context, open);
                  case While.Selected c -> selecting(holds);
                  case While.NothingSelected n -> selecting(holds);
                  case While.Document d -> Optional.<Reply>empty();
                });
  }

  private Optional<Reply> selecting(While holds) {
    Optional<Page> then = document().during(holds);
    if (then.isEmpty()) {
      return Optional.of(new Reply.Refused(While.write(holds), "nothing of that kind"));
    }
    return then.get().equals(document()) ? Optional.empty() : Optional.of(become(then.get()));
  }

  private Optional<Reply> opening(String context, While.DialogOpen open) {
    if (standing.holds(context, here)) {
      return Optional.empty();
    }
    for (Description.Command c : described.commands()) {
      if (open.fits(c.opens()) && commandIds().contains(c.id())) {
        Reply reply = fire(c.id());
        if (standing.holds(context, here)) {
          return Optional.of(reply);
        }
      }
    }
    return Optional.of(new Reply.Refused("a command that opens it", open.title()));
  }

  /** A context the keys can go to. */
  private boolean isState(String context) {
    return of.context(context).filter(c -> !c.groupOnly()).isPresent() && !of.isByPointer(context);
  }

  @Override
  protected void restarted() {
    focus = standing.first();
  }

  @Override
  public Reply type(String text) {
    return focus().filter(Context::takesText).isPresent()
        ? become(document().typing(text))
        : new Reply.Refused("a context that takes text", place().id());
  }

  @Override
  protected List<Change> differences(Page before, Page after) {
    return before.to(after);
  }

  @Override
  protected List<String> names() {
    return document().names();
  }

  @Override
  protected Page selecting(List<String> names) {
    return document().selecting(names);
  }

  @Override
  public List<String> selected() {
    return document().selected();
  }

  @Override
  public Map<String, Value.Quantity> values() {
    List<Page.Thing> chosen = document().chosen();
    return chosen.isEmpty() ? Map.of() : chosen.getLast().values();
  }

  @Override
  protected Reply setValue(String name, Value.Quantity value) {
    Page next = document();
    for (Page.Thing t : document().chosen()) {
      next = t.values().containsKey(name) ? next.with(t.with(name, value)) : next;
    }
    return become(next);
  }

  @Override
  public String selectedText() {
    return document().selected().isEmpty() ? "" : document().selected().getLast();
  }

  @Override
  public Sketch copy() {
    Sketch copy = new Sketch(of, described, edition(), values);
    copy.takeOver(this);
    copy.focus = focus;
    return copy;
  }

  @Override
  public Map<String, String> state() {
    Map<String, String> state = new LinkedHashMap<>(commonState());
    document().describe(state);
    return state;
  }
}
