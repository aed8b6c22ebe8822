package foldtwice.live.survey;

import foldtwice.describe.Description;
import foldtwice.describe.Does;
import foldtwice.describe.Span;
import foldtwice.describe.While;
import foldtwice.extras.Extras;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.live.bus.Label;
import foldtwice.live.say.Say;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Danger;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.routine.Kind;
import foldtwice.routine.Scale;
import foldtwice.routine.Value;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Makes a description of what was read off a program, over what a library says of it already.
 *
 * <p>Laws: what a person said that cannot be read (uses, findings, what a command does, places)
 * stays; describing what was described again proposes nothing; ids that are there keep their
 * meaning. Ticked items become settings. A number from 0 to 100 is an amount in percent as it is,
 * any other is told in percent of its way.
 */
public final class Describing {

  private final Application before;
  private final Description said;
  private final Survey read;
  private final List<Proposal.Difference> differences = new ArrayList<>();

  /** Settings of ticked items, by name. */
  private final Map<String, Description.Setting> found = new LinkedHashMap<>();

  private Describing(Application before, Description said, Survey read) {
    this.before = before;
    this.said = said;
    this.read = apart(read);
  }

  /** Without items whose paths nothing but the way of writing tells apart from one before. */
  private static Survey apart(Survey read) {
    Set<List<String>> paths = new HashSet<>();
    return new Survey(
        read.name(),
        read.items().stream().filter(i -> paths.add(plain(i.path()))).toList(),
        read.twins(),
        read.tools(),
        read.forms(),
        read.dials(),
        read.takesText(),
        read.whole());
  }

  /** Of a program a library knows nothing of, under an id. */
  public static Proposal anew(String id, Survey read) {
    Application fresh =
        new Application(
            id, read.name(), "", List.of(), List.of(), List.of(), List.of(), Extras.NONE);
    return of(fresh, Description.none(id), read);
  }

  /** Of a program a library knows. */
  public static Proposal of(Application application, Description description, Survey read) {
    return new Describing(application, description, read).propose();
  }

  /**
   * Of a program as a library has it, or anew where it has not.
   *
   * @param known which application it is
   * @param id for one that is none yet, if it is free
   */
  public static Proposal over(
      Library library, Optional<Application> known, String id, Survey read) {
    return known.isPresent()
        ? of(known.get(), library.description(known.get().id()), read)
        : anew(Ids.free(id, library.applications()::containsKey), read);
  }

  private Proposal propose() {
    Map<List<String>, List<Does>> does = ticked();
    List<NativeCommand> commands = commands();
    List<Description.Command> about = about(commands, does);
    Application next = before.withCommands(commands);
    List<Description.State> states = new ArrayList<>(said.states());
    if (before.contexts().isEmpty()) {
      next = next.withContexts(contexts(states));
    }
    Description description =
        said.withCommands(about)
            .withSettings(settings())
            .withDialogs(dialogs())
            .withValues(values())
            .withStates(states);
    return new Proposal(next, description, differences);
  }

  private List<NativeCommand> commands() {
    Map<List<String>, NativeCommand> byPath = new HashMap<>();
    before.commands().forEach(c -> byPath.putIfAbsent(plain(c.menuPath()), c));
    Set<String> taken =
        before.commands().stream().map(NativeCommand::id).collect(Collectors.toSet());
    Set<String> seen = new HashSet<>();
    Map<String, NativeCommand> changed = new HashMap<>();
    List<NativeCommand> fresh = new ArrayList<>();
    for (Survey.Item item : read.items()) {
      List<Trigger> keys = Accelerator.of(item.keys()).stream().toList();
      NativeCommand known = byPath.get(plain(item.path()));
      if (known == null) {
        String id = Ids.free(Ids.of(String.join(" ", item.path()), "command"), taken::contains);
        taken.add(id);
        NativeCommand c = command(id, item.path().getLast(), item.path().getFirst(), item.path());
        c = with(c, keys);
        fresh.add(c);
        differ(Proposal.Fate.NEW, Proposal.What.COMMAND, id, path(item.path()), "", words(keys));
      } else {
        seen.add(known.id());
        if (!known.byDefault().equals(keys) && !(keys.isEmpty() && onlyOthers(known))) {
          changed.put(known.id(), with(known, keys));
          differ(
              Proposal.Fate.CHANGED,
              Proposal.What.COMMAND,
              known.id(),
              path(known.menuPath()),
              words(known.byDefault()),
              words(keys));
        }
      }
    }
    Set<String> names = new HashSet<>();
    before.commands().forEach(c -> names.add(Label.of(c.name())));
    fresh.forEach(c -> names.add(Label.of(c.name())));
    for (String tool : read.tools()) {
      if (names.add(Label.of(tool))) {
        String id = Ids.free(Ids.of(tool, "tool"), taken::contains);
        taken.add(id);
        fresh.add(command(id, tool, Say.text("toolbar"), List.of()));
        differ(Proposal.Fate.NEW, Proposal.What.COMMAND, id, tool, "", "");
      }
    }
    for (NativeCommand c : before.commands()) {
      if (!c.menuPath().isEmpty() && !seen.contains(c.id()) && read.whole()) {
        differ(
            Proposal.Fate.GONE,
            Proposal.What.COMMAND,
            c.id(),
            path(c.menuPath()),
            words(c.byDefault()),
            "");
      }
    }
    List<NativeCommand> all = new ArrayList<>();
    before.commands().forEach(c -> all.add(changed.getOrDefault(c.id(), c)));
    all.addAll(fresh);
    return all;
  }

  /** True when it has triggers no menu would tell of. */
  private static boolean onlyOthers(NativeCommand c) {
    return c.byDefault().stream()
        .noneMatch(t -> t instanceof Trigger.Keys(var strokes) && strokes.size() == 1);
  }

  private NativeCommand command(String id, String name, String group, List<String> path) {
    return new NativeCommand(
        id,
        name,
        group,
        path,
        List.of(),
        new Place.Whole(before.id()),
        0,
        Danger.NONE,
        Optional.empty(),
        Extras.NONE);
  }

  /** With what the program brings; what a person changed stays. */
  private static NativeCommand with(NativeCommand c, List<Trigger> keys) {
    return new NativeCommand(
        c.id(),
        c.name(),
        c.group(),
        c.menuPath(),
        c.isChanged() ? c.triggers() : keys,
        Optional.of(keys),
        c.place(),
        c.usesPerWeek(),
        c.danger(),
        c.finding(),
        c.extras());
  }

  /** Ticked items as settings, and what choosing each item does to them. */
  private Map<List<String>, List<Does>> ticked() {
    Map<List<String>, List<Does>> does = new HashMap<>();
    List<Survey.Item> items = read.items();
    Set<String> names = new HashSet<>();
    for (int i = 0; i < items.size(); i++) {
      Survey.Item item = items.get(i);
      if (item.ticking() == Survey.Ticking.TURNS) {
        String name = free(item.path(), names);
        found.put(name, setting(name, List.of("off", "on"), item.on() ? "on" : "off"));
        does.put(plain(item.path()), List.of(new Does.Turns(name)));
      } else if (item.ticking() == Survey.Ticking.ONE_OF) {
        int end = i;
        while (end < items.size() && isBeside(item, items.get(end))) {
          end++;
        }
        List<Survey.Item> group = items.subList(i, end);
        List<String> parent = item.path().subList(0, item.path().size() - 1);
        String name = free(parent.isEmpty() ? item.path() : parent, names);
        List<String> options = group.stream().map(g -> g.path().getLast()).distinct().toList();
        String now =
            group.stream()
                .filter(Survey.Item::on)
                .map(g -> g.path().getLast())
                .findFirst()
                .orElse(options.getFirst());
        found.put(name, setting(name, options, now));
        for (Survey.Item g : group) {
          does.put(
              plain(g.path()), List.of(new Does.Sets(name, new Does.Given.Is(g.path().getLast()))));
        }
        i = end - 1;
      }
    }
    return does;
  }

  private static boolean isBeside(Survey.Item one, Survey.Item other) {
    return other.ticking() == Survey.Ticking.ONE_OF
        && other
            .path()
            .subList(0, other.path().size() - 1)
            .equals(one.path().subList(0, one.path().size() - 1));
  }

  private static Description.Setting setting(String name, List<String> options, String start) {
    return new Description.Setting(name, options, start, false, Span.ALWAYS);
  }

  private static String free(List<String> path, Set<String> names) {
    String name = path.getLast();
    if (!names.add(name)) {
      name = Ids.freeName(String.join(" ", path), names::contains);
      names.add(name);
    }
    return name;
  }

  private List<Description.Setting> settings() {
    return merge(
        said.settings(),
        List.copyOf(found.values()),
        Description.Setting::name,
        (old, now) ->
            Set.copyOf(old.options()).equals(Set.copyOf(now.options()))
                ? old
                : new Description.Setting(
                    old.name(), now.options(), now.start(), old.fromRestart(), old.span()),
        s -> String.join(", ", s.options()),
        Proposal.What.SETTING,
        false);
  }

  private List<Description.Command> about(
      List<NativeCommand> commands, Map<List<String>, List<Does>> does) {
    Map<String, Description.Command> known = new LinkedHashMap<>();
    said.commands().forEach(c -> known.putIfAbsent(c.id(), c));
    Map<List<String>, String> openers = new HashMap<>();
    read.forms().stream()
        .filter(f -> !f.opener().isEmpty() && !f.title().isEmpty())
        .forEach(f -> openers.put(plain(f.opener()), f.title()));
    for (NativeCommand c : commands) {
      List<Does> read = does.getOrDefault(plain(c.menuPath()), List.of());
      Description.Command says = known.getOrDefault(c.id(), Description.Command.unknown(c.id()));
      String opens = openers.getOrDefault(plain(c.menuPath()), "");
      if (says.opens().isEmpty() && !opens.isEmpty()) {
        says =
            new Description.Command(
                c.id(), says.does(), opens, says.onSelection(), says.addOn(), says.span());
        known.put(c.id(), says);
      }
      if (says.does().isEmpty() && !read.isEmpty()) {
        known.put(c.id(), says.doing(read));
      }
    }
    return List.copyOf(known.values());
  }

  private List<Description.Dialog> dialogs() {
    List<Description.Dialog> read = this.read.forms().stream().map(Describing::dialog).toList();
    return merge(
        said.dialogs(),
        read,
        Description.Dialog::title,
        (old, now) -> sameForm(old, now) ? old : again(old, now),
        d -> words(d),
        Proposal.What.DIALOG,
        true);
  }

  private static Description.Dialog dialog(Survey.Form form) {
    Set<String> labels = new HashSet<>();
    return new Description.Dialog(
        form.title(),
        form.fields().stream().filter(f -> labels.add(f.label())).map(Describing::field).toList(),
        form.buttons().stream()
            .distinct()
            .map(b -> new Description.Button(b, List.of(), false))
            .toList(),
        Span.ALWAYS);
  }

  private static Description.Field field(Survey.Field f) {
    return switch (f.takes()) {
      case TEXT -> new Description.Field(f.label(), new Kind.Words(), f.start(), "");
      case YES_NO -> new Description.Field(f.label(), new Kind.YesNo(), f.start(), "");
      case CHOICE ->
          f.options().isEmpty()
              ? new Description.Field(f.label(), new Kind.Words(), f.start(), "")
              : new Description.Field(
                  f.label(),
                  new Kind.Choice(f.options().stream().distinct().toList()),
                  f.options().contains(f.start()) ? f.start() : f.options().getFirst(),
                  "");
      case NUMBER ->
          new Description.Field(
              f.label(),
              new Kind.Decimal(
                  number(f.least()),
                  number(f.most() > f.least() ? f.most() : f.least()),
                  number(step(f.step()))),
              number(Double.parseDouble(f.start())).toPlainString(),
              "");
    };
  }

  /** The same dialog with what buttons are known to do. */
  private static Description.Dialog again(Description.Dialog old, Description.Dialog now) {
    Map<String, Description.Button> known = new HashMap<>();
    old.buttons().forEach(b -> known.putIfAbsent(b.label(), b));
    Map<String, Description.Field> before = new HashMap<>();
    old.fields().forEach(f -> before.putIfAbsent(f.label(), f));
    return new Description.Dialog(
        old.title(),
        now.fields().stream().map(f -> wider(before.getOrDefault(f.label(), f), f)).toList(),
        now.buttons().stream().map(b -> known.getOrDefault(b.label(), b)).toList(),
        old.span());
  }

  /** How far a number goes may depend on the document: it goes as far as it ever was seen to. */
  private static Description.Field wider(Description.Field old, Description.Field now) {
    if (old.kind() instanceof Kind.Decimal(var least, var most, var step)
        && now.kind() instanceof Kind.Decimal other) {
      return new Description.Field(
          now.label(),
          new Kind.Decimal(least.min(other.least()), most.max(other.most()), step),
          old.start(),
          old.unitOf());
    }
    return now;
  }

  private static boolean sameForm(Description.Dialog one, Description.Dialog other) {
    return fields(one).equals(fields(again(one, other)))
        && one.buttons().stream()
            .map(Description.Button::label)
            .collect(Collectors.toSet())
            .equals(
                other.buttons().stream()
                    .map(Description.Button::label)
                    .collect(Collectors.toSet()));
  }

  private static List<String> fields(Description.Dialog d) {
    return d.fields().stream().map(f -> f.label() + f.kind()).toList();
  }

  private static String words(Description.Dialog d) {
    return d.fields().stream().map(Description.Field::label).collect(Collectors.joining(", "))
        + (d.fields().isEmpty() ? "" : "; ")
        + d.buttons().stream().map(Description.Button::label).collect(Collectors.joining(", "));
  }

  private List<Description.Adjustable> values() {
    return merge(
        said.values(),
        read.dials().stream().filter(Describing::isWay).map(Describing::adjustable).toList(),
        Description.Adjustable::name,
        (old, now) -> old.range().equals(now.range()) ? old : now,
        v -> v.range().least().shown() + " \u2013 " + v.range().most().shown(),
        Proposal.What.VALUE,
        true);
  }

  private static boolean isWay(Survey.Dial d) {
    return !d.name().isBlank()
        && Double.isFinite(d.least())
        && Double.isFinite(d.most())
        && d.most() > d.least();
  }

  private static Description.Adjustable adjustable(Survey.Dial d) {
    Way way = new Way(d.least(), d.most());
    double now = Double.isFinite(d.now()) ? Math.clamp(d.now(), d.least(), d.most()) : d.least();
    BigDecimal step =
        way.isPercent() && d.step() > 0 && d.step() <= 100 ? number(d.step()) : BigDecimal.ONE;
    return new Description.Adjustable(
        d.name(),
        new Kind.Measure(percent(0), percent(100), new Value.Quantity(step, Scale.PERCENT)),
        new Value.Quantity(way.percent(now), Scale.PERCENT),
        Span.ALWAYS);
  }

  private static Value.Quantity percent(int n) {
    return new Value.Quantity(BigDecimal.valueOf(n), Scale.PERCENT);
  }

  private static double step(double told) {
    return told >= 1e-6 && Double.isFinite(told) ? told : 1;
  }

  private static BigDecimal number(double n) {
    double finite = Double.isFinite(n) ? Math.clamp(n, -1e9, 1e9) : 0;
    return BigDecimal.valueOf(finite)
        .setScale(6, RoundingMode.HALF_UP)
        .stripTrailingZeros()
        .add(BigDecimal.ZERO);
  }

  private List<Context> contexts(List<Description.State> states) {
    List<Context> contexts = new ArrayList<>();
    if (read.takesText()) {
      contexts.add(context("text", Say.text("context.text"), true));
      contexts.add(context("window", Say.text("context.window"), false));
    } else if (!read.forms().isEmpty()) {
      contexts.add(context("window", Say.text("context.window"), false));
    }
    Set<String> ids = new HashSet<>(Set.of("text", "window"));
    for (Survey.Form form : read.forms()) {
      String id = Ids.free(Ids.of(form.title(), "dialog"), ids::contains);
      if (!form.title().isEmpty() && ids.add(id)) {
        boolean text = form.fields().stream().anyMatch(f -> f.takes() == Survey.Takes.TEXT);
        contexts.add(context(id, Say.text("context.dialog", form.title()), text));
        states.add(new Description.State(id, new While.DialogOpen(form.title())));
      }
    }
    contexts.forEach(
        c -> differ(Proposal.Fate.NEW, Proposal.What.CONTEXT, c.id(), c.name(), "", ""));
    return contexts;
  }

  private static Context context(String id, String name, boolean text) {
    return new Context(id, name, List.of(), false, text, false, Extras.NONE);
  }

  private interface Again<T> {
    T of(T old, T now);
  }

  /**
   * What is said and what was read, by name.
   *
   * @param onlySeen true for what need not have been open to be there, so that it is never gone
   */
  private <T> List<T> merge(
      List<T> old,
      List<T> now,
      Function<T, String> name,
      Again<T> again,
      Function<T, String> words,
      Proposal.What what,
      boolean onlySeen) {
    Map<String, T> read = new LinkedHashMap<>();
    now.forEach(t -> read.putIfAbsent(name.apply(t), t));
    List<T> all = new ArrayList<>();
    Set<String> known = new HashSet<>();
    for (T t : old) {
      known.add(name.apply(t));
      T seen = read.get(name.apply(t));
      if (seen == null) {
        all.add(t);
        if (!onlySeen && this.read.whole()) {
          differ(Proposal.Fate.GONE, what, name.apply(t), name.apply(t), words.apply(t), "");
        }
        continue;
      }
      T next = again.of(t, seen);
      all.add(next);
      if (!next.equals(t)) {
        differ(
            Proposal.Fate.CHANGED,
            what,
            name.apply(t),
            name.apply(t),
            words.apply(t),
            words.apply(next));
      }
    }
    read.forEach(
        (n, t) -> {
          if (!known.contains(n)) {
            all.add(t);
            differ(Proposal.Fate.NEW, what, n, n, "", words.apply(t));
          }
        });
    return all;
  }

  private void differ(
      Proposal.Fate fate, Proposal.What what, String id, String name, String before, String now) {
    differences.add(new Proposal.Difference(fate, what, id, name, before, now));
  }

  private static List<String> plain(List<String> path) {
    return path.stream().map(Label::of).toList();
  }

  private static String path(List<String> path) {
    return String.join(" \u203a ", path);
  }

  private static String words(List<Trigger> keys) {
    return keys.stream().map(Notation::write).collect(Collectors.joining(", "));
  }
}
