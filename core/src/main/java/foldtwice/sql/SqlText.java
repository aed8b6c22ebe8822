package foldtwice.sql;

import foldtwice.place.Danger;
import foldtwice.routine.Template;
import foldtwice.text.Refusals;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import net.sf.jsqlparser.JSQLParserException;
import net.sf.jsqlparser.parser.CCJSqlParserUtil;
import net.sf.jsqlparser.statement.Statement;
import net.sf.jsqlparser.statement.Statements;
import net.sf.jsqlparser.statement.create.index.CreateIndex;
import net.sf.jsqlparser.statement.create.table.CreateTable;
import net.sf.jsqlparser.statement.create.view.CreateView;
import net.sf.jsqlparser.statement.execute.Execute;
import net.sf.jsqlparser.statement.insert.Insert;
import net.sf.jsqlparser.statement.select.Select;
import net.sf.jsqlparser.util.TablesNamesFinder;

/**
 * What a text of SQL is. Parsed by JSqlParser; an insertion counts as a value. Names without a
 * schema are looked up in the current one, so a text with such names means different things in
 * different schemas.
 */
public sealed interface SqlText {

  /** Longer texts are not looked at. */
  int MOST_LETTERS = 20_000;

  /**
   * One statement.
   *
   * @param changes true when it may change data
   * @param danger what it does to data there is: a change or a removal deletes what was there
   * @param scoped the names without a schema, as written
   */
  record One(boolean changes, Danger danger, Set<String> scoped) implements SqlText {
    public One {
      scoped = Collections.unmodifiableSet(new TreeSet<>(scoped));
    }

    /** True when what it means depends on the current schema. */
    public boolean dependsOnSchema() {
      return !scoped.isEmpty();
    }
  }

  /** Several statements; a stored command is one. */
  record Several(int count) implements SqlText {}

  /** No SQL that can be read, and why. */
  record Unreadable(String why) implements SqlText {}

  /** Looks at a text. */
  static SqlText of(Template template) {
    String sql = plain(template);
    if (sql.isBlank()) {
      return new Unreadable(Refusals.says("sql.no-statement"));
    }
    if (sql.length() > MOST_LETTERS) {
      return new Unreadable(Refusals.says("sql.too-long", MOST_LETTERS, sql.length()));
    }
    try {
      Statements all = parse(sql);
      if (all.size() != 1) {
        return new Several(all.size());
      }
      Statement statement = all.getFirst();
      Set<String> scoped = new TreeSet<>();
      names(statement).stream().filter(n -> !n.contains(".")).forEach(scoped::add);
      return new One(!(statement instanceof Select), danger(statement), scoped);
    } catch (JSQLParserException e) {
      return new Unreadable(firstLine(e));
    }
  }

  /** The same text with every name that has no schema in this one; as it is when it has none. */
  static Template qualified(Template template, String schema) {
    if (!(of(template) instanceof One one) || !one.dependsOnSchema()) {
      return template;
    }
    Template next = new Template(outsideQuotes(template.source(), one.scoped(), schema));
    boolean done =
        of(next) instanceof One(var changes, var danger, Set<String> left) && left.isEmpty();
    return done ? next : template;
  }

  /** Puts the schema before the names, but not inside texts in quotes. */
  private static String outsideQuotes(String source, Set<String> names, String schema) {
    String any = names.stream().map(Pattern::quote).collect(Collectors.joining("|"));
    Matcher m =
        Pattern.compile("'[^']*'|\"[^\"]*\"|(?<![\\w.])(" + any + ")(?![\\w.])").matcher(source);
    return m.replaceAll(
        found ->
            Matcher.quoteReplacement(
                found.group(1) == null ? found.group() : schema + "." + found.group(1)));
  }

  private static Statements parse(String sql) throws JSQLParserException {
    return CCJSqlParserUtil.parseStatements(
        sql, parser -> parser.withTimeOut(TimeUnit.SECONDS.toMillis(2)));
  }

  private static Danger danger(Statement statement) {
    return switch (statement) {
      case Select s -> Danger.NONE;
      case Insert i -> Danger.SAVES;
      case CreateTable c -> Danger.SAVES;
      case CreateView c -> Danger.SAVES;
      case CreateIndex c -> Danger.SAVES;
      case Execute e -> Danger.SAVES; // whatever the procedure does
      default -> Danger.DELETES;
    };
  }

  private static List<String> names(Statement statement) {
    if (statement instanceof Execute call) {
      return List.of(call.getName());
    }
    return List.copyOf(new TablesNamesFinder<Void>().getTables(statement));
  }

  /** With a question mark for each insertion. */
  private static String plain(Template template) {
    return template.with(name -> "?");
  }

  private static String firstLine(JSQLParserException e) {
    Throwable why = e.getCause() == null ? e : e.getCause();
    String text = why.getMessage() == null ? why.getClass().getSimpleName() : why.getMessage();
    return text.lines().filter(l -> !l.isBlank()).findFirst().orElse("it cannot be read");
  }
}
