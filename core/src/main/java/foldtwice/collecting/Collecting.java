package foldtwice.collecting;

import foldtwice.binding.Binding;
import foldtwice.extras.Extras;
import foldtwice.fold.Siblings;
import foldtwice.library.Edit;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.library.Rules;
import foldtwice.library.file.CollectedJson;
import foldtwice.library.file.FormatException;
import foldtwice.place.AddOn;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.routine.Head;
import foldtwice.routine.Kind;
import foldtwice.routine.Manner;
import foldtwice.routine.Origin;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.sql.SqlText;
import foldtwice.text.Blanks;
import foldtwice.text.DiskWords;
import foldtwice.text.Encoding;
import foldtwice.text.Refusals;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Trigger;
import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Looks through files and texts for routines. Looking changes nothing; {@link #take} makes an edit
 * of what is wanted. What is taken up does not run before a person has looked through it.
 */
public final class Collecting {

  /** Larger files are not read, in bytes. */
  public static final long LARGEST = 2_000_000;

  /** More files of one folder are not looked at. */
  public static final int MOST_FILES = 500;

  private static final int DEEPEST = 6;

  private static final Pattern NEEDED = Pattern.compile("(.+) (\\d[\\d.]*)");

  private final Library library;
  private final BooleanSupplier cancelled;

  public Collecting(Library library) {
    this(library, () -> false);
  }

  /**
   * One that can be given up.
   *
   * @param cancelled asked now and then; once it is true, what comes of it is not all there is
   */
  public Collecting(Library library, BooleanSupplier cancelled) {
    this.library = library;
    this.cancelled = cancelled;
  }

  /** Looks through a file, or a folder and the folders in it; links are not followed. */
  public List<Found> look(Path path) {
    if (!Files.isDirectory(path)) {
      return List.of(file(path));
    }
    try (Stream<Path> files = Files.walk(path, DEEPEST)) {
      return files
          .takeWhile(f -> !cancelled.getAsBoolean())
          .filter(Files::isRegularFile)
          .sorted()
          .limit(MOST_FILES)
          .takeWhile(f -> !cancelled.getAsBoolean())
          .map(this::file)
          .toList();
    } catch (IOException | java.io.UncheckedIOException e) {
      return List.of(
          new Found.Refused(
              path.toString(), Refusals.says("collecting.cannot-looked-through", e.getMessage())));
    }
  }

  private Found file(Path path) {
    String name = path.getFileName().toString();
    try {
      long size = Files.size(path);
      if (size > LARGEST) {
        return new Found.Refused(name, Refusals.says("collecting.too-large-unread", LARGEST, size));
      }
      return text(name, Files.readAllBytes(path));
    } catch (IOException e) {
      return new Found.Refused(name, Refusals.says("collecting.cannot-read", DiskWords.reason(e)));
    }
  }

  /** Looks through a text, as pasted. */
  public Found text(String name, String text) {
    return text(name, text.getBytes(StandardCharsets.UTF_8));
  }

  private Found text(String name, byte[] bytes) {
    if (bytes.length > LARGEST) {
      return new Found.Refused(name, Refusals.says("collecting.too-large", LARGEST, bytes.length));
    }
    String text;
    try {
      text = Encoding.decoded(bytes);
    } catch (CharacterCodingException e) {
      return new Found.Refused(name, Refusals.says("collecting.expected-text-utf-or"));
    }
    if (text.isBlank()) {
      return new Found.Refused(name, Refusals.says("collecting.expected-routine-found-nothing"));
    }
    String lower = name.toLowerCase(Locale.ROOT);
    if (text.stripLeading().startsWith("{")) {
      return json(name, text);
    }
    if (lower.endsWith(".sql")) {
      return sql(name, text);
    }
    if (lower.endsWith(".js") || lower.endsWith(".mjs") || text.contains("program.")) {
      return script(name, text);
    }
    return SqlText.of(new Template(text)) instanceof SqlText.One
        ? sql(name, text)
        : new Found.Refused(name, Refusals.says("collecting.expected-script-for-interface"));
  }

  private Found json(String name, String text) {
    try {
      CollectedJson.Collected read =
          CollectedJson.read(text.getBytes(StandardCharsets.UTF_8), name);
      List<Found.Item> items =
          read.routines().entrySet().stream()
              .takeWhile(e -> !cancelled.getAsBoolean())
              .map(e -> item(e.getKey(), e.getValue()))
              .toList();
      Found.Kind kind =
          read.format().equals(CollectedJson.ADD_ON) ? Found.Kind.ADD_ON : Found.Kind.MACROS;
      return items.isEmpty()
          ? new Found.Refused(name, Refusals.says("collecting.expected-routines-found-none"))
          : new Found.Routines(name, kind, items);
    } catch (FormatException e) {
      return new Found.Refused(name, e.getMessage());
    }
  }

  private Found script(String name, String text) {
    Header header = Header.of(text);
    Optional<String> application = application(header, any -> true);
    if (application.isEmpty()) {
      return new Found.Refused(name, NO_APPLICATION);
    }
    Head head = head(name, header, application.get(), List.of());
    try {
      return new Found.Routines(
          name, Found.Kind.SCRIPT, List.of(item(new Routine.Script(head, text), keys(header))));
    } catch (NotationException e) {
      return new Found.Refused(name, Refusals.says("collecting.keys", e.getMessage()));
    }
  }

  private Found sql(String name, String text) {
    Template template = new Template(text.strip());
    Header header = Header.of(text);
    return switch (SqlText.of(template)) {
      case SqlText.Unreadable(String why) ->
          new Found.Refused(name, Refusals.says("collecting.not-sql", why));
      case SqlText.Several(int count) ->
          new Found.Refused(name, Refusals.says("collecting.expected-one-statement-found", count));
      case SqlText.One one -> {
        Optional<String> application = application(header, Routine.Stored.class::isInstance);
        if (application.isEmpty()) {
          yield new Found.Refused(name, NO_APPLICATION);
        }
        List<Parameter> parameters =
            template.names().stream()
                .distinct()
                .map(n -> new Parameter(n, new Kind.Words(), new Value.Text(""), Extras.NONE))
                .toList();
        Routine stored =
            new Routine.Stored(
                head(name, header, application.get(), parameters),
                Routine.Stored.Language.SQL,
                template);
        yield new Found.Routines(name, Found.Kind.SQL, List.of(item(stored, List.of())));
      }
    };
  }

  private static final String NO_APPLICATION =
      "expected the application it is for, in a line such as \"application: register\" in the"
          + " comments at its beginning; found none, and none in the library either";

  /**
   * What a source is for: what it says itself; else the application most routines like it are for,
   * else the first one there is.
   */
  private Optional<String> application(Header header, Predicate<Routine> like) {
    String said = header.text("application");
    if (Rules.isApplicationId(said)) {
      return Optional.of(
          library.applications().values().stream()
              .filter(a -> a.id().equals(said) || a.name().equalsIgnoreCase(said))
              .map(Application::id)
              .findFirst()
              .orElse(said));
    }
    return library.routines().values().stream()
        .filter(like)
        .map(Routine::application)
        .filter(library.applications()::containsKey)
        .collect(Collectors.groupingBy(a -> a, LinkedHashMap::new, Collectors.counting()))
        .entrySet()
        .stream()
        .max(Map.Entry.comparingByValue())
        .map(Map.Entry::getKey)
        .or(() -> library.applications().keySet().stream().findFirst());
  }

  private static Head head(
      String from, Header header, String application, List<Parameter> parameters) {
    String plain = from.replaceFirst("\\.[A-Za-z]{1,4}$", "");
    String name = header.text("name").isEmpty() ? plain : header.text("name");
    List<AddOn> needs =
        Arrays.stream(header.text("needs").split(","))
            .map(String::strip)
            .filter(n -> !n.isEmpty())
            .map(Collecting::needed)
            .toList();
    return Head.of(Ids.of(name, "collected"), name, application, parameters)
        .with(Manner.PLAIN.withAddOns(needs))
        .with(
            new Origin(
                from, header.text("author"), header.licence(), header.text("version"), false));
  }

  /** An add-on as a header names it: its name, and the least version if it likes. */
  private static AddOn needed(String written) {
    Matcher parts = NEEDED.matcher(Blanks.single(written));
    return parts.matches() ? new AddOn(parts.group(1), parts.group(2)) : new AddOn(written, "");
  }

  private static List<Trigger> keys(Header header) throws NotationException {
    return header.text("keys").isEmpty() ? List.of() : List.of(Notation.read(header.text("keys")));
  }

  private Found.Item item(Routine routine, List<Trigger> triggers) {
    Optional<Routine> equal =
        library.routines().values().stream().filter(r -> Siblings.equal(r, routine)).findFirst();
    Optional<Routine> similar =
        equal.isPresent()
            ? Optional.empty()
            : library.routines().values().stream()
                .filter(
                    r -> Siblings.alike(r, routine) || r.name().equalsIgnoreCase(routine.name()))
                .findFirst();
    return new Found.Item(routine, triggers, equal, similar);
  }

  /**
   * The edit that takes routines up, under ids that are free, each with a binding for the triggers
   * it came with. An application that the library does not have comes with them, of which nothing
   * but its id is known yet.
   */
  public Edit take(List<Found.Item> items) {
    List<Edit> edits = new ArrayList<>();
    Library then = library;
    for (Found.Item item : items) {
      String id = Ids.free(item.routine().id(), then.routines()::containsKey);
      Routine routine = item.routine().with(item.routine().head().named(id, item.routine().name()));
      List<Edit> own = new ArrayList<>();
      if (!then.applications().containsKey(routine.application())) {
        own.add(new Edit.PutApplication(Application.unknown(routine.application())));
      }
      own.add(new Edit.PutRoutine(routine));
      if (!item.triggers().isEmpty()) {
        own.add(new Edit.PutBinding(binding(item, id, then)));
      }
      Edit all = new Edit.Together(own);
      then = all.on(then);
      edits.add(all);
    }
    return new Edit.Together(edits);
  }

  /** How it would be bound to the triggers it came with, were it taken up first. */
  public Binding binding(Found.Item item) {
    return binding(item, Ids.free(item.routine().id(), library.routines()::containsKey), library);
  }

  private static Binding binding(Found.Item item, String routine, Library among) {
    return new Binding(
        Ids.free("c-" + routine, among.bindings()::containsKey),
        routine,
        new Place.Whole(item.routine().application()),
        item.triggers(),
        Map.of(),
        0,
        Extras.NONE);
  }
}
