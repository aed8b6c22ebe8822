package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import org.fxmisc.richtext.CodeArea;
import org.fxmisc.richtext.LineNumberFactory;
import org.fxmisc.richtext.model.StyleSpans;
import org.fxmisc.richtext.model.StyleSpansBuilder;

/** A text with numbered lines, its words told apart, completion, and a mark at a line. */
final class SourceEditor extends VBox {

  /** What is written in it. */
  enum Language {
    SCRIPT,
    PLAIN
  }

  /** A change is handed on when nothing was typed for so long, in milliseconds. */
  private static final double REST = 350;

  private static final int MOST_OFFERED = 8;

  private static final Pattern WORDS =
      Pattern.compile(
          "(?<comment>//[^\n]*|/\\*(?s:.*?)\\*/)"
              + "|(?<text>'(?:[^'\\\\\n]|\\\\.)*'|\"(?:[^\"\\\\\n]|\\\\.)*\"|`[^`]*`)"
              + "|(?<word>\\b(?:const|let|var|if|else|for|while|do|of|in|function|return|new|try|catch"
              + "|throw|break|continue|true|false|null|undefined|typeof|instanceof|switch|case|default)\\b)"
              + "|(?<own>\\b(?:program|computer|parameters|amount|askFor|pause|runRoutine|log|stop|Refusal)\\b)"
              + "|(?<number>\\b\\d+(?:\\.\\d+)?\\b)"
              + "|(?<insertion>\u2039[^\u203a\n]*\u203a)");

  /** The interface, as it is completed. */
  private static final List<String> INTERFACE =
      List.of(
          "program.choose(",
          "program.ticked(",
          "program.fill(",
          "program.press(",
          "program.field(",
          "program.dialogOpen(",
          "program.setting(",
          "program.change(",
          "program.changeForGood(",
          "program.value(",
          "program.adjustTo(",
          "program.adjustBy(",
          "program.shown(",
          "program.select(",
          "program.selectToo(",
          "program.move(",
          "program.somethingSelected()",
          "program.selectedCount()",
          "program.selectedText()",
          "program.type(",
          "program.keys(",
          "program.finish()",
          "program.giveUp()",
          "program.again()",
          "program.versionAtLeast(",
          "computer.clipboard()",
          "computer.start(",
          "computer.bringToFront(",
          "computer.waitForWindow(",
          "parameters.",
          "amount(",
          "askFor(",
          "pause(",
          "runRoutine(",
          "log(",
          "stop(");

  private final CodeArea area = new CodeArea();
  private final ListView<String> offers = new ListView<>();
  private final Timeline rest;
  private Language language = Language.SCRIPT;
  private int marked;
  private boolean showing;

  /**
   * @param onChanged gets the text when it has been left alone for a moment
   */
  SourceEditor(Consumer<String> onChanged) {
    setId("source");
    setSpacing(2);
    area.setId("source-text");
    area.getStyleClass().add("source-text");
    area.setParagraphGraphicFactory(this::number);
    area.setAccessibleText(Ui.text("source.name"));
    area.setPrefHeight(340);
    area.setWrapText(true);
    rest = new Timeline(new KeyFrame(Duration.millis(REST), e -> onChanged.accept(area.getText())));
    area.textProperty()
        .addListener(
            (o, a, text) -> {
              area.setStyleSpans(0, spans(text));
              if (!showing) {
                rest.playFromStart();
              }
            });
    area.focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was && rest.getStatus() == javafx.animation.Animation.Status.RUNNING) {
                rest.stop();
                onChanged.accept(area.getText());
              }
            });
    area.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    area.caretPositionProperty().addListener((o, a, b) -> hideOffers());
    offers.setId("source-offers");
    offers.getStyleClass().add("look-list");
    offers.setFixedCellSize(32);
    offers.setFocusTraversable(false);
    offers.setOnMouseClicked(e -> take());
    hideOffers();
    getChildren().addAll(area, offers);
  }

  /**
   * Shows a text.
   *
   * @param fresh true when it is another routine's; else what is being typed is left alone
   */
  void show(String text, Language now, boolean fresh) {
    boolean typing = Parts.hasKeys(area) && !fresh;
    language = now;
    if (!text.equals(area.getText()) && !typing) {
      showing = true;
      rest.stop();
      area.replaceText(text);
      area.moveTo(0);
      area.getUndoManager().forgetHistory();
      showing = false;
    }
  }

  /** Marks a line, counted from 1; 0 marks none. */
  void mark(int line) {
    if (line != marked) {
      marked = line;
      area.setParagraphGraphicFactory(this::number);
    }
  }

  void focusText() {
    area.requestFocus();
  }

  private Node number(int line) {
    Node number = LineNumberFactory.get(area).apply(line);
    if (line + 1 == marked && number instanceof Label label) {
      label.getStyleClass().add("marked-line");
    }
    return number;
  }

  private void key(KeyEvent e) {
    if (e.getCode() == KeyCode.SPACE && e.isControlDown()) {
      offer();
      e.consume();
    } else if (offers.isVisible()) {
      int at = offers.getSelectionModel().getSelectedIndex();
      switch (e.getCode()) {
        case DOWN ->
            offers.getSelectionModel().select(Math.min(at + 1, offers.getItems().size() - 1));
        case UP -> offers.getSelectionModel().select(Math.max(at - 1, 0));
        case ENTER, TAB -> take();
        case ESCAPE -> hideOffers();
        default -> {
          return;
        }
      }
      e.consume();
    }
  }

  /** No name of the interface is longer, in characters. */
  private static final int LONGEST_NAME = 100;

  /** What has been typed of a name of the interface. */
  private String begun() {
    int caret = area.getCaretPosition();
    String before = area.getText(Math.max(0, caret - LONGEST_NAME), caret);
    Matcher m = Pattern.compile("[\\w.]*$").matcher(before);
    return m.find() ? m.group() : "";
  }

  private void offer() {
    String begun = begun();
    List<String> found =
        INTERFACE.stream().filter(i -> i.startsWith(begun) || i.contains("." + begun)).toList();
    offers.getItems().setAll(found.subList(0, Math.min(MOST_OFFERED, found.size())));
    offers.getSelectionModel().selectFirst();
    offers.setPrefHeight(Math.min(MOST_OFFERED, found.size()) * 32 + 4);
    offers.setMinHeight(offers.getPrefHeight());
    offers.setVisible(!found.isEmpty() && language == Language.SCRIPT);
    offers.setManaged(offers.isVisible());
  }

  private void hideOffers() {
    offers.setVisible(false);
    offers.setManaged(false);
  }

  private void take() {
    String chosen = offers.getSelectionModel().getSelectedItem();
    if (chosen != null) {
      int caret = area.getCaretPosition();
      area.replaceText(caret - begun().length(), caret, chosen);
      hideOffers();
      area.requestFocus();
    }
  }

  private static StyleSpans<Collection<String>> spans(String text) {
    StyleSpansBuilder<Collection<String>> spans = new StyleSpansBuilder<>();
    Matcher m = WORDS.matcher(text);
    int from = 0;
    while (m.find()) {
      spans.add(Collections.emptyList(), m.start() - from);
      spans.add(List.of(kind(m)), m.end() - m.start());
      from = m.end();
    }
    spans.add(Collections.emptyList(), text.length() - from);
    return spans.create();
  }

  private static String kind(Matcher m) {
    for (String kind : List.of("comment", "text", "word", "own", "number", "insertion")) {
      if (m.group(kind) != null) {
        return "source-" + (kind.equals("text") ? "quoted" : kind);
      }
    }
    throw new IllegalStateException("a word of no kind: " + m.group());
  }
}
