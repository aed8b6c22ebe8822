package foldtwice.writing;

import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.outline.ConditionText;
import foldtwice.outline.StepParts;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Whom;
import foldtwice.source.Interface;
import foldtwice.source.Interface.Takes;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * How the source of a script may go on where somebody types: the names of the interface, and in the
 * texts of its calls the program's own. The text need not be whole. One pass over what stands
 * before.
 */
public final class SourceOffers {

  /**
   * One way to go on.
   *
   * @param text what then stands from one place to the other
   */
  public record Offer(String shown, String text, int from, int to) {}

  /** More are not offered. */
  public static final int MOST = 60;

  private static final Pattern CALLED = Pattern.compile("([\\w$]+(?:\\.[\\w$]+)?)\\s*$");
  private static final Pattern BEGUN = Pattern.compile("[\\w$.]*$");

  /** A bracket that is open, what is called with it, and the texts given in it so far. */
  private static final class Open {
    private final String called;
    private final List<String> texts = new ArrayList<>();
    private String text = "";

    Open(String called) {
      this.called = called;
    }

    void comma() {
      texts.add(text);
      text = "";
    }
  }

  private final String source;
  private final int caret;
  private final Routine.Script script;
  private final Known known;
  private final Optional<Facts> facts;
  private final Deque<Open> open = new ArrayDeque<>();

  private SourceOffers(String source, int caret, Routine.Script script, Known known) {
    this.source = source;
    this.caret = caret;
    this.script = script;
    this.known = known;
    this.facts = known.program(script.application());
  }

  /**
   * What may stand at a place.
   *
   * @param source as it is typed
   * @param caret in characters from its beginning
   */
  public static List<Offer> at(String source, int caret, Routine.Script script, Known known) {
    SourceOffers offers = new SourceOffers(source, caret, script, known);
    int text = offers.walk();
    List<Offer> all =
        switch (text) {
          case IN_COMMENT -> List.of();
          case IN_CODE -> offers.names();
          default -> offers.inText(text);
        };
    return all.subList(0, Math.min(MOST, all.size()));
  }

  private static final int IN_CODE = -1;
  private static final int IN_COMMENT = -2;

  /**
   * Walks up to the caret; gives where the text begins that it stands in, or one of those above.
   */
  private int walk() {
    int i = 0;
    while (i < caret) {
      char c = source.charAt(i);
      if (c == '\'' || c == '"' || c == '`') {
        int end = end(i);
        if (end >= caret) {
          return i + 1;
        }
        if (!open.isEmpty()) {
          open.peek().text = source.substring(i + 1, end);
        }
        i = end + 1;
      } else if (source.startsWith("//", i)) {
        int end = source.indexOf('\n', i);
        if (end < 0 || end >= caret) {
          return IN_COMMENT;
        }
        i = end;
      } else {
        bracket(c, i);
        i++;
      }
    }
    return IN_CODE;
  }

  /** Where a text in quotes ends; the end of its line where nothing ends it. */
  private int end(int from) {
    char quote = source.charAt(from);
    int i = from + 1;
    while (i < source.length()
        && source.charAt(i) != quote
        && (quote == '`' || source.charAt(i) != '\n')) {
      i += source.charAt(i) == '\\' ? 2 : 1;
    }
    return Math.min(i, source.length());
  }

  private void bracket(char c, int at) {
    switch (c) {
      case '(' -> {
        Matcher called = CALLED.matcher(source.substring(Math.max(0, at - 100), at));
        open.push(new Open(called.find() ? called.group(1) : ""));
      }
      case '[', '{' -> open.push(new Open(""));
      case ')', ']', '}' -> {
        if (!open.isEmpty()) {
          open.pop();
        }
      }
      case ',' -> {
        if (!open.isEmpty()) {
          open.peek().comma();
        }
      }
      default -> {}
    }
  }

  /** Names of the interface and of parameters. */
  private List<Offer> names() {
    Matcher m = BEGUN.matcher(source.substring(Math.max(0, caret - 100), caret));
    String begun = m.find() ? m.group() : "";
    int from = caret - begun.length();
    Stream<String> calls =
        Interface.ALL.stream().map(c -> c.name() + (c.takes().isEmpty() ? "()" : "("));
    Stream<String> parameters = script.parameters().stream().map(SourceOffers::parameter);
    return Stream.concat(calls, parameters)
        .filter(n -> n.startsWith(begun) || n.contains("." + begun))
        .map(n -> new Offer(n, n, from, caret))
        .toList();
  }

  private static String parameter(Parameter p) {
    return p.name().matches("[\\p{L}_$][\\p{L}\\p{Nd}_$]*")
        ? "parameters." + p.name()
        : "parameters['" + p.name().replace("'", "\\'") + "']";
  }

  /** What a text of a call may be. */
  private List<Offer> inText(int from) {
    Open call = open.isEmpty() ? new Open("") : open.peek();
    Optional<Takes> takes =
        Interface.of(call.called).flatMap(member -> member.takes(call.texts.size()));
    if (takes.isEmpty()) {
      return List.of();
    }
    String typed = source.substring(from, caret).toLowerCase(Locale.ROOT);
    int end = end(from - 1);
    boolean closed = end < source.length() && source.charAt(end) == source.charAt(from - 1);
    String quote = closed ? "" : source.substring(from - 1, from);
    int to = closed ? end : caret;
    return texts(takes.get(), call.texts)
        .distinct()
        .filter(t -> t.toLowerCase(Locale.ROOT).contains(typed))
        .map(t -> new Offer(t, escaped(t, source.substring(from - 1, from)) + quote, from, to))
        .toList();
  }

  private static String escaped(String text, String quote) {
    return text.replace("\\", "\\\\").replace(quote, "\\" + quote);
  }

  private Stream<String> texts(Takes takes, List<String> before) {
    return switch (takes) {
      case MENU -> menu(before);
      case FIELD -> dialogs().flatMap(d -> d.fields().stream()).map(Facts.Field::label);
      case BUTTON -> dialogs().flatMap(d -> d.buttons().stream()).map(Facts.Button::label);
      case DIALOG -> dialogs().map(Facts.Dialog::title);
      case SETTING -> facts.stream().flatMap(f -> f.settings().keySet().stream());
      case VALUE -> facts.stream().flatMap(f -> f.values().keySet().stream());
      case INDICATOR -> facts.stream().flatMap(f -> f.indicators().stream().sorted());
      case SELECTED ->
          facts.stream()
              .flatMap(f -> Arrays.stream(Whom.Group.values()).filter(f.selects()::contains))
              .map(StepParts::written);
      case EDGE -> Arrays.stream(Step.Edge.values()).map(StepParts::written);
      case AREA -> Arrays.stream(Step.Area.values()).map(StepParts::written);
      case PROGRAM -> known.windows().stream();
      case ROUTINE -> known.routines().stream();
      case SCRIPT ->
          known.routines().stream()
              .filter(r -> known.routine(r).orElse(null) instanceof Routine.Script)
              .filter(r -> !r.equals(script.id()));
      case CONDITION -> ConditionText.beginnings().stream();
      case AMOUNT -> before.isEmpty() ? Stream.empty() : options(before.getFirst());
      case KEYS, EXPRESSION, TEXT, NAMES, QUESTIONS, DOES -> Stream.empty();
    };
  }

  private Stream<Facts.Dialog> dialogs() {
    return facts.stream().flatMap(f -> f.dialogs().stream());
  }

  /** Whole paths in the first place; after labels, those that come next. */
  private Stream<String> menu(List<String> before) {
    Stream<List<String>> paths =
        facts.stream()
            .flatMap(f -> f.commands().stream())
            .map(Facts.Command::menu)
            .filter(m -> m.size() > before.size())
            .filter(m -> m.subList(0, before.size()).equals(before));
    return before.isEmpty()
        ? paths.map(m -> String.join(StepParts.UNDER, m)).sorted()
        : paths.map(m -> m.get(before.size()));
  }

  /** What the setting or field named before may be. */
  private Stream<String> options(String name) {
    Stream<String> settings =
        facts.stream()
            .map(f -> f.settings().get(name))
            .filter(Kind.Choice.class::isInstance)
            .flatMap(k -> ((Kind.Choice) k).options().stream());
    Stream<String> fields =
        dialogs().flatMap(d -> d.field(name).stream()).flatMap(f -> f.options().stream());
    return Stream.concat(settings, fields);
  }
}
