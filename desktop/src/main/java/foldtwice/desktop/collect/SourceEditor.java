package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.source.Interface;
import foldtwice.source.Source;
import foldtwice.writing.SourceOffers.Offer;
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
import javafx.scene.control.ListCell;
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
  private static final double ROW = 32;

  private static final Pattern WORDS =
      Pattern.compile(
          "(?<comment>//[^\n]*|/\\*(?s:.*?)\\*/)"
              + "|(?<text>'(?:[^'\\\\\n]|\\\\.)*'|\"(?:[^\"\\\\\n]|\\\\.)*\"|`[^`]*`)"
              + "|(?<word>\\b(?:const|let|var|if|else|for|while|do|of|in|function|return|new|try|catch"
              + "|throw|break|continue|true|false|null|undefined|typeof|instanceof|switch|case|default)\\b)"
              + "|(?<own>\\b(?:"
              + String.join("|", Interface.GLOBALS)
              + ")\\b)"
              + "|(?<number>\\b\\d+(?:\\.\\d+)?\\b)"
              + "|(?<insertion>\u2039[^\u203a\n]*\u203a)");

  private final CodeArea area = new CodeArea();
  private final ListView<Offer> offers = new ListView<>();
  private final Offering offering;
  private final Timeline rest;
  private Language language = Language.SCRIPT;
  private int marked;
  private boolean showing;

  /** Says how a text may go on at a place. */
  interface Offering {
    List<Offer> at(String text, int caret);
  }

  /**
   * @param onChanged gets the text when it has been left alone for a moment
   */
  SourceEditor(Consumer<String> onChanged, Offering offering) {
    this.offering = offering;
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
    offers.setFixedCellSize(ROW);
    offers.setFocusTraversable(false);
    offers.setAccessibleText(Ui.text("source.offers"));
    offers.setCellFactory(
        l ->
            new ListCell<>() {
              @Override
              protected void updateItem(Offer offer, boolean empty) {
                super.updateItem(offer, empty);
                setText(empty ? "" : offer.shown());
              }
            });
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
        case DOWN -> choose(Math.min(at + 1, offers.getItems().size() - 1));
        case UP -> choose(Math.max(at - 1, 0));
        case ENTER, TAB -> take();
        case ESCAPE -> hideOffers();
        default -> {
          return;
        }
      }
      e.consume();
    }
  }

  private void choose(int at) {
    offers.getSelectionModel().select(at);
    offers.scrollTo(Math.max(0, at - MOST_OFFERED + 1));
  }

  private void offer() {
    List<Offer> found =
        language == Language.SCRIPT
            ? offering.at(area.getText(), area.getCaretPosition())
            : List.of();
    offers.getItems().setAll(found);
    offers.getSelectionModel().selectFirst();
    offers.setPrefHeight(Math.min(MOST_OFFERED, found.size()) * ROW + 4);
    offers.setMinHeight(offers.getPrefHeight());
    Parts.there(offers, !found.isEmpty());
  }

  private void hideOffers() {
    Parts.there(offers, false);
  }

  private void take() {
    Offer chosen = offers.getSelectionModel().getSelectedItem();
    if (chosen != null) {
      area.replaceText(chosen.from(), chosen.to(), chosen.text());
      hideOffers();
      area.requestFocus();
    }
  }

  /** The cursor goes to a spot of the text. */
  void goTo(Source.Spot spot) {
    int line = Math.min(spot.line(), area.getParagraphs().size()) - 1;
    area.moveTo(line, Math.min(spot.column() - 1, area.getParagraphLength(line)));
    area.requestFollowCaret();
    area.requestFocus();
  }

  /** Puts names in the places of others, each the first time it stands behind the one before. */
  void replace(Source.Spot from, List<String> were, List<String> are) {
    goTo(from);
    int at = area.getCaretPosition();
    for (int i = 0; i < were.size(); i++) {
      at = standing(area.getText(), were.get(i), at);
      if (at < 0) {
        return; // it was typed over meanwhile
      }
      area.replaceText(at, at + were.get(i).length(), are.get(i));
      at += are.get(i).length();
    }
  }

  /** Where a name stands by itself and not as a part of a longer one; -1 where it does not. */
  static int standing(String text, String name, int from) {
    for (int at = text.indexOf(name, from); at >= 0; at = text.indexOf(name, at + 1)) {
      int end = at + name.length();
      boolean begins = at == 0 || !isWord(text.charAt(at - 1)) || !isWord(name.charAt(0));
      boolean ends =
          end == text.length() || !isWord(text.charAt(end)) || !isWord(text.charAt(end - 1));
      if (begins && ends) {
        return at;
      }
    }
    return -1;
  }

  private static boolean isWord(char c) {
    return Character.isLetterOrDigit(c) || c == '_';
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
