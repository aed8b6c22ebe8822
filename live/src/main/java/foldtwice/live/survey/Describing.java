package foldtwice.live.survey;

import foldtwice.describe.Description;
import foldtwice.describe.Does;
import foldtwice.describe.While;
import foldtwice.extras.Extras;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.live.say.Say;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.NativeCommand;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

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
  private final Differences differences;

  private Describing(Application before, Description said, Survey read) {
    this.before = before;
    this.said = said;
    this.read = apart(read);
    this.differences = new Differences(read.whole());
  }

  /** Without items whose paths nothing but the way of writing tells apart from one before. */
  private static Survey apart(Survey read) {
    Set<List<String>> paths = new HashSet<>();
    return new Survey(
        read.name(),
        read.items().stream().filter(i -> paths.add(Differences.plain(i.path()))).toList(),
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
    List<NativeCommand> commands = new Commands(before, read, differences).now();
    Ticked ticked = new Ticked(read.items());
    Application next = before.withCommands(commands);
    List<Description.State> states = new ArrayList<>(said.states());
    if (before.contexts().isEmpty()) {
      next = next.withContexts(contexts(states));
    }
    Description description =
        said.withCommands(about(commands, ticked))
            .withSettings(ticked.over(said.settings(), differences))
            .withDialogs(Forms.dialogs(said.dialogs(), read.forms(), differences))
            .withValues(Values.over(said.values(), read.dials(), differences))
            .withStates(states);
    return new Proposal(next, description, differences.found());
  }

  private List<Description.Command> about(List<NativeCommand> commands, Ticked ticked) {
    Map<String, Description.Command> known = new LinkedHashMap<>();
    said.commands().forEach(c -> known.putIfAbsent(c.id(), c));
    Map<List<String>, String> openers = new HashMap<>();
    read.forms().stream()
        .filter(f -> !f.opener().isEmpty() && !f.title().isEmpty())
        .forEach(f -> openers.put(Differences.plain(f.opener()), f.title()));
    for (NativeCommand c : commands) {
      List<Does> read = ticked.does(c.menuPath());
      Description.Command says = known.getOrDefault(c.id(), Description.Command.unknown(c.id()));
      String opens = openers.getOrDefault(Differences.plain(c.menuPath()), "");
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
        c ->
            differences.differ(Proposal.Fate.NEW, Proposal.What.CONTEXT, c.id(), c.name(), "", ""));
    return contexts;
  }

  private static Context context(String id, String name, boolean text) {
    return new Context(id, name, List.of(), false, text, false, Extras.NONE);
  }
}
