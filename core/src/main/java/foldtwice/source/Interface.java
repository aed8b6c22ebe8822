package foldtwice.source;

import static foldtwice.source.Interface.Takes.AMOUNT;
import static foldtwice.source.Interface.Takes.AREA;
import static foldtwice.source.Interface.Takes.BUTTON;
import static foldtwice.source.Interface.Takes.CONDITION;
import static foldtwice.source.Interface.Takes.DIALOG;
import static foldtwice.source.Interface.Takes.DOES;
import static foldtwice.source.Interface.Takes.EDGE;
import static foldtwice.source.Interface.Takes.EXPRESSION;
import static foldtwice.source.Interface.Takes.FIELD;
import static foldtwice.source.Interface.Takes.INDICATOR;
import static foldtwice.source.Interface.Takes.KEYS;
import static foldtwice.source.Interface.Takes.MENU;
import static foldtwice.source.Interface.Takes.NAMES;
import static foldtwice.source.Interface.Takes.PROGRAM;
import static foldtwice.source.Interface.Takes.QUESTIONS;
import static foldtwice.source.Interface.Takes.ROUTINE;
import static foldtwice.source.Interface.Takes.SCRIPT;
import static foldtwice.source.Interface.Takes.SELECTED;
import static foldtwice.source.Interface.Takes.SETTING;
import static foldtwice.source.Interface.Takes.TEXT;
import static foldtwice.source.Interface.Takes.VALUE;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What a script can call, described once: completion, checks and conversions follow from here. */
public final class Interface {

  /** What is given in a place of a call. */
  public enum Takes {
    MENU,
    FIELD,
    BUTTON,
    DIALOG,
    SETTING,
    /** An adjustable value. */
    VALUE,
    INDICATOR,
    SELECTED,
    EDGE,
    AREA,
    PROGRAM,
    ROUTINE,
    /** A script whose exports are used. */
    SCRIPT,
    KEYS,
    CONDITION,
    EXPRESSION,
    TEXT,
    /** Any value. */
    AMOUNT,
    /** Values by name. */
    NAMES,
    QUESTIONS,
    /** A function. */
    DOES
  }

  /**
   * A call.
   *
   * @param name as a script writes it
   * @param host the word for it on the other side; empty for what is done with other calls
   * @param takes what is given, in order
   * @param more true when the last may be given again and again
   */
  public record Member(String name, String host, List<Takes> takes, boolean more) {

    /** What is given in a place, counted from 0. */
    public Optional<Takes> takes(int place) {
      if (place < takes.size()) {
        return Optional.of(takes.get(place));
      }
      return more ? Optional.of(takes.getLast()) : Optional.empty();
    }
  }

  /** The names a script finds, besides those of its language. */
  public static final List<String> GLOBALS =
      List.of(
          "program",
          "computer",
          "parameters",
          "amount",
          "askFor",
          "ask",
          "pause",
          "holds",
          "waitUntil",
          "computed",
          "lines",
          "runRoutine",
          "use",
          "exports",
          "log",
          "stop",
          "Refusal");

  /** Every call there is. */
  public static final List<Member> ALL =
      List.of(
          more("program.choose", "choose", MENU),
          more("program.ticked", "ticked", MENU),
          one("program.fill", "fill", FIELD, AMOUNT),
          one("program.press", "press", BUTTON),
          one("program.field", "field", FIELD),
          one("program.dialogOpen", "dialog", DIALOG),
          one("program.setting", "setting", SETTING),
          one("program.change", "change", SETTING, AMOUNT),
          one("program.changeForGood", "keep", SETTING, AMOUNT),
          more("program.cycle", "cycle", SETTING, AMOUNT),
          more("program.cycleForGood", "cycleKeep", SETTING, AMOUNT),
          one("program.value", "value", VALUE),
          one("program.adjustTo", "to", VALUE, AMOUNT, EDGE),
          one("program.adjustBy", "by", VALUE, AMOUNT, EDGE),
          one("program.shown", "shown", INDICATOR),
          one("program.select", "select", SELECTED, EDGE),
          one("program.selectToo", "selectToo", SELECTED, EDGE),
          one("program.selected", "selected"),
          one("program.eachSelected", "", DOES),
          one("program.move", "move", AMOUNT, AMOUNT, EDGE),
          one("program.somethingSelected", "some"),
          one("program.selectedCount", "count"),
          one("program.selectedText", "text"),
          one("program.type", "type", TEXT),
          one("program.keys", "keys", KEYS),
          one("program.finish", "finish"),
          one("program.giveUp", "giveUp"),
          one("program.again", "again"),
          one("program.releaseHeld", "release"),
          one("program.ignoreHeld", "ignore"),
          one("program.versionAtLeast", "version", TEXT),
          one("computer.clipboard", "clipboard"),
          one("computer.capture", "capture", AREA, TEXT),
          one("computer.lines", "file", TEXT),
          more("computer.start", "start", PROGRAM, TEXT),
          one("computer.bringToFront", "front", PROGRAM),
          one("computer.inFront", "inFront", PROGRAM),
          one("computer.waitForWindow", "await", PROGRAM, AMOUNT),
          one("amount", "amount", TEXT),
          one("askFor", "ask", TEXT, AMOUNT),
          one("ask", "asks", TEXT, QUESTIONS),
          one("pause", "pause", TEXT, QUESTIONS),
          one("holds", "holds", CONDITION, NAMES),
          one("waitUntil", "until", CONDITION, AMOUNT, NAMES),
          one("computed", "computed", EXPRESSION, NAMES),
          one("lines", "", TEXT),
          one("runRoutine", "run", ROUTINE, NAMES),
          one("use", "use", SCRIPT),
          one("log", "log", TEXT),
          one("stop", "stop", TEXT));

  private static final Map<String, Member> BY_NAME = new LinkedHashMap<>();

  static {
    ALL.forEach(m -> BY_NAME.put(m.name(), m));
  }

  private Interface() {}

  private static Member one(String name, String host, Takes... takes) {
    return new Member(name, host, List.of(takes), false);
  }

  private static Member more(String name, String host, Takes... takes) {
    return new Member(name, host, List.of(takes), true);
  }

  /** The call a script writes so. */
  public static Optional<Member> of(String name) {
    return Optional.ofNullable(BY_NAME.get(name));
  }
}
