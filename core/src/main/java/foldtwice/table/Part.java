package foldtwice.table;

import java.util.List;

/** What of a program stands in a table of its own, and the columns of that. */
public enum Part {
  COMMANDS(
      Column.NAME,
      Column.MENU,
      Column.KEYS,
      Column.WHERE,
      Column.DOES,
      Column.OPENS,
      Column.USES,
      Column.GROUP,
      Column.DANGER,
      Column.NEEDS,
      Column.VERSIONS),
  CONTEXTS(Column.NAME, Column.WITHIN, Column.KIND, Column.WHILE, Column.FROM),
  DIALOGS(
      Column.DIALOG,
      Column.LABEL,
      Column.KIND,
      Column.START,
      Column.DOES,
      Column.VERSIONS,
      Column.UNIT),
  SETTINGS(Column.NAME, Column.OPTIONS, Column.START, Column.WHEN, Column.VERSIONS),
  VALUES(Column.NAME, Column.RANGE, Column.START, Column.VERSIONS),
  THINGS(Column.NAME, Column.COUNT, Column.VALUES),
  ACTIONS(
      Column.ADD_ON, Column.VERSION, Column.NAME, Column.PARAMETERS, Column.CONTEXTS, Column.DOES),
  LABELS(Column.LANGUAGE, Column.NAME, Column.THERE);

  /** What a column holds. */
  public enum Column {
    NAME,
    MENU,
    KEYS,
    WHERE,
    DOES,
    OPENS,
    USES,
    GROUP,
    DANGER,
    NEEDS,
    VERSIONS,
    DIALOG,
    LABEL,
    KIND,
    START,
    UNIT,
    OPTIONS,
    WHEN,
    RANGE,
    COUNT,
    VALUES,
    ADD_ON,
    VERSION,
    PARAMETERS,
    CONTEXTS,
    WITHIN,
    WHILE,
    FROM,
    LANGUAGE,
    THERE
  }

  private final List<Column> columns;

  Part(Column... columns) {
    this.columns = List.of(columns);
  }

  public List<Column> columns() {
    return columns;
  }
}
