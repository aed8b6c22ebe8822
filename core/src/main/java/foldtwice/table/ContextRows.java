package foldtwice.table;

import foldtwice.describe.Description;
import foldtwice.describe.Does;
import foldtwice.describe.While;
import foldtwice.extras.Extras;
import foldtwice.library.FreeIds;
import foldtwice.library.Ids;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.NativeCommand;
import foldtwice.table.Part.Column;
import foldtwice.table.Tables.Reading;
import foldtwice.text.Refusals;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Contexts as rows, each with the one it lies in, while the program is in it, and the commands that
 * lead there.
 */
final class ContextRows {

  private static final String TEXT = "text";
  private static final String GROUP = "group";
  private static final String POINTER = "pointer";

  private ContextRows() {}

  static List<Row> rows(Application application, Description d) {
    List<Row> rows = new ArrayList<>();
    rows(application, d, application.contexts(), "", rows);
    return rows;
  }

  private static void rows(
      Application application,
      Description d,
      List<Context> contexts,
      String within,
      List<Row> rows) {
    for (Context c : contexts) {
      rows.add(
          new Row(
              c.id(),
              Map.of(
                  Column.NAME, c.name(),
                  Column.WITHIN, within,
                  Column.KIND, kinds(c),
                  Column.WHILE, d.holds(c.id()).map(While::write).orElse(""),
                  Column.FROM,
                      Cells.list(
                          into(application, d, c.id()).stream()
                              .map(NativeCommand::name)
                              .toList()))));
      rows(application, d, c.inner(), c.name(), rows);
    }
  }

  private static String kinds(Context c) {
    List<String> kinds = new ArrayList<>();
    if (c.takesText()) {
      kinds.add(TEXT);
    }
    if (c.groupOnly()) {
      kinds.add(GROUP);
    }
    if (c.byPointer()) {
      kinds.add(POINTER);
    }
    return Cells.list(kinds);
  }

  /** The commands that lead into a context, of those that are there. */
  private static List<NativeCommand> into(Application application, Description d, String context) {
    Set<String> ids =
        d.commands().stream()
            .filter(c -> c.does().contains(new Does.Leads(context)))
            .map(Description.Command::id)
            .collect(Collectors.toSet());
    return application.commands().stream().filter(c -> ids.contains(c.id())).toList();
  }

  private static List<String> ids(Application application, Description d, String context) {
    return into(application, d, context).stream().map(NativeCommand::id).toList();
  }

  /** One context as its row says; with the id of the one it lies in, empty for none. */
  private record Said(Context context, String within, List<String> from, Optional<While> holds) {}

  static Read.Made read(List<Row> rows, Application application, Description d, Reading reading) {
    Rows all = new Rows(rows, application, d, reading);
    List<Said> said = reading.each(rows, all::said);
    all.circles(said);
    if (reading.hasFaults()) {
      return new Read.Made(application, d);
    }
    Map<String, List<Said>> inner = new LinkedHashMap<>();
    said.forEach(s -> inner.computeIfAbsent(s.within(), w -> new ArrayList<>()).add(s));
    List<Description.State> states = new ArrayList<>();
    said.forEach(
        s -> s.holds().ifPresent(h -> states.add(new Description.State(s.context().id(), h))));
    boolean same = Set.copyOf(states).equals(Set.copyOf(d.states()));
    return new Read.Made(
        application.withContexts(tree(inner, "")),
        leading(application, same ? d : d.withStates(states), said));
  }

  private static List<Context> tree(Map<String, List<Said>> inner, String within) {
    return inner.getOrDefault(within, List.of()).stream()
        .map(s -> s.context().with(tree(inner, s.context().id())))
        .toList();
  }

  /** The rows with their ids, those of new ones made of their names. */
  private static final class Rows {
    private final Application application;
    private final Description d;
    private final Reading reading;
    private final List<Row> rows;
    private final IdentityHashMap<Row, String> ids = new IdentityHashMap<>();
    private final Map<String, String> byName = new HashMap<>();

    Rows(List<Row> rows, Application application, Description d, Reading reading) {
      this.rows = rows;
      this.d = d;
      this.application = application;
      this.reading = reading;
      FreeIds free = new FreeIds();
      rows.stream().map(Row::id).filter(id -> !id.isEmpty()).forEach(free::take);
      for (Row r : rows) {
        if (!r.isEmpty()) {
          String name = r.cell(Column.NAME).strip();
          String id = r.id().isEmpty() ? free.take(Ids.of(name, "context")) : r.id();
          ids.put(r, id);
          byName.putIfAbsent(name, id);
        }
      }
    }

    Said said(Row r) {
      Context was = application.context(r.id()).orElse(null);
      String name =
          was != null && r.cell(Column.NAME).equals(was.name())
              ? was.name()
              : reading.needed(r, Column.NAME, "a name");
      Set<String> kinds = new HashSet<>(reading.cell(r, Column.KIND, Cells::list, List.of()));
      if (!Set.of(TEXT, GROUP, POINTER).containsAll(kinds)) {
        reading.fault(
            Column.KIND,
            Refusals.says("table.or-nothing", String.join(", ", TEXT, GROUP, POINTER)),
            r.cell(Column.KIND));
      }
      Optional<While> holds = reading.cell(r, Column.WHILE, While::read, Optional.empty());
      Context made =
          new Context(
              ids.get(r),
              name,
              List.of(),
              kinds.contains(GROUP),
              kinds.contains(TEXT),
              kinds.contains(POINTER),
              was == null ? Extras.NONE : was.extras());
      return new Said(made, within(r, was), from(r), holds);
    }

    /** The one it lay in while nothing else is said, else the first of that name. */
    private String within(Row r, Context was) {
      String typed = r.cell(Column.WITHIN);
      if (was != null) {
        List<Context> path = application.path(was.id());
        Optional<Context> outer =
            path.size() > 1 ? Optional.of(path.get(path.size() - 2)) : Optional.empty();
        boolean kept =
            typed.equals(outer.map(Context::name).orElse(""))
                && outer.stream().allMatch(o -> ids.containsValue(o.id()));
        if (kept) {
          return outer.map(Context::id).orElse("");
        }
      }
      String name = typed.strip();
      if (name.isEmpty()) {
        return "";
      }
      if (!byName.containsKey(name)) {
        reading.fault(Column.WITHIN, Refusals.says("table.name-another-context-or"), name);
      }
      return byName.getOrDefault(name, "");
    }

    private List<String> from(Row r) {
      List<String> were = ids(application, d, r.id());
      String shown =
          Cells.list(into(application, d, r.id()).stream().map(NativeCommand::name).toList());
      if (r.cell(Column.FROM).equals(shown)) {
        return were;
      }
      List<String> from = new ArrayList<>();
      for (String command : reading.cell(r, Column.FROM, Cells::list, List.<String>of())) {
        application.commands().stream()
            .filter(c -> c.name().equalsIgnoreCase(command) || c.id().equals(command))
            .findFirst()
            .ifPresentOrElse(
                c -> from.add(c.id()),
                () ->
                    reading.fault(
                        Column.FROM, Refusals.says("table.names-commands-this-program"), command));
      }
      return from;
    }

    /** Contexts that lie in one another, round and round. */
    void circles(List<Said> all) {
      Map<String, String> within = new HashMap<>();
      all.forEach(s -> within.put(s.context().id(), s.within()));
      for (int i = 0; i < rows.size(); i++) {
        String at = ids.getOrDefault(rows.get(i), "");
        Set<String> seen = new HashSet<>();
        while (!at.isEmpty() && seen.add(at)) {
          at = within.getOrDefault(at, "");
        }
        if (!at.isEmpty()) {
          reading.fault(
              i,
              Column.WITHIN,
              Refusals.says("table.context-does-not-lie"),
              rows.get(i).cell(Column.WITHIN).strip());
        }
      }
    }
  }

  /** Commands lead where the rows say so, and no longer where they did. */
  private static Description leading(Application application, Description d, List<Said> all) {
    if (all.stream().allMatch(s -> s.from().equals(ids(application, d, s.context().id())))) {
      return d;
    }
    Map<String, List<String>> wanted = new HashMap<>();
    Set<String> contexts = new HashSet<>();
    for (Said s : all) {
      contexts.add(s.context().id());
      s.from()
          .forEach(c -> wanted.computeIfAbsent(c, x -> new ArrayList<>()).add(s.context().id()));
    }
    List<Description.Command> commands = new ArrayList<>();
    for (Description.Command c : d.commands()) {
      List<String> to = new ArrayList<>(wanted.getOrDefault(c.id(), List.of()));
      List<Does> does = new ArrayList<>();
      for (Does one : c.does()) {
        boolean stays =
            !(one instanceof Does.Leads(String context))
                || !contexts.contains(context)
                || to.remove(context);
        if (stays) {
          does.add(one);
        }
      }
      to.forEach(context -> does.add(new Does.Leads(context)));
      wanted.remove(c.id());
      commands.add(c.doing(does));
    }
    for (NativeCommand c : application.commands()) {
      if (wanted.containsKey(c.id())) {
        List<Does> leads = wanted.get(c.id()).stream().<Does>map(Does.Leads::new).toList();
        commands.add(Description.Command.unknown(c.id()).doing(leads));
      }
    }
    return d.withCommands(commands);
  }
}
