package foldtwice.standin.sketch;

import foldtwice.known.Effects;
import foldtwice.known.Facts;
import foldtwice.known.Touch;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.run.Change;
import foldtwice.run.Reply;
import foldtwice.standin.base.Edition;
import foldtwice.standin.base.StandIn;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A simulated program made of nothing but what a library says of it: its menus, its contexts, a few
 * things to select, a text where text is taken. Nobody knows what its commands do, so that they are
 * done by name: it tells that they were, and how often. What nobody described is taken as it comes.
 */
public final class Sketch extends StandIn<Page> {

  /** What a command of which nothing more is known may change. */
  private static final Effects UNKNOWN = Effects.of(Touch.OBJECTS);

  private final Application of;

  /** The context that has the focus; empty for a program without contexts of the focus. */
  private String focus;

  /** A fresh one of this application. */
  public Sketch(Application of, Edition edition) {
    super(of.id(), edition, Page.first());
    this.of = of;
    this.focus = firstFocus();
    for (NativeCommand c : of.commands()) {
      command(c.id(), c.menuPath(), UNKNOWN, () -> become(document().doing("command " + c.name())));
    }
  }

  private String firstFocus() {
    return switch (of.states().getFirst()) {
      case Place.Within(var id, String context) when !of.isByPointer(context) -> context;
      case Place.Over(var id, String context, var pointer) -> context;
      default -> "";
    };
  }

  /** What the library says of it. */
  public Application described() {
    return of;
  }

  /** The context that has the focus, if there are such contexts. */
  public Optional<Context> focus() {
    return of.context(focus);
  }

  @Override
  protected boolean isWhole() {
    return false;
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
      return within(focus);
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
    if (!of.states().contains(new Place.Within(application(), context))) {
      return new Reply.Refused("a context of " + of.name(), context);
    }
    String before = focus;
    focus = context;
    return changed("keys go to", before, context);
  }

  @Override
  protected void restarted() {
    focus = firstFocus();
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
    return document().things();
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
  public String selectedText() {
    return document().selected().isEmpty() ? "" : document().selected().getLast();
  }

  @Override
  public Sketch copy() {
    Sketch copy = new Sketch(of, edition());
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
