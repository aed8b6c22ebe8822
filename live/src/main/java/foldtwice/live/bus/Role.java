package foldtwice.live.bus;

import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What something of an interface is, of the roles of AT-SPI2 those that mean something here. */
public enum Role {
  APPLICATION(75),
  FRAME(23),
  WINDOW(69),
  DIALOG(16),
  ALERT(2),
  FILE_CHOOSER(19),
  MENU_BAR(34),
  MENU(33),
  POPUP_MENU(41),
  MENU_ITEM(35),
  CHECK_MENU_ITEM(8),
  RADIO_MENU_ITEM(45),
  TEAROFF_MENU_ITEM(59),
  SEPARATOR(50),
  TOOL_BAR(63),
  PUSH_BUTTON(43),
  TOGGLE_BUTTON(62),
  CHECK_BOX(7),
  RADIO_BUTTON(44),
  COMBO_BOX(11),
  LABEL(29),
  STATIC(116),
  TEXT(61),
  ENTRY(79),
  PASSWORD_TEXT(40),
  TERMINAL(60),
  DOCUMENT_TEXT(94),
  SPIN_BUTTON(52),
  SLIDER(51),
  DIAL(15),
  LIST(31),
  LIST_ITEM(32),
  TABLE(55),
  TABLE_CELL(56),
  TREE(65),
  TREE_TABLE(66),
  PAGE_TAB(37),
  STATUS_BAR(54),
  OTHER(-1);

  private static final Map<Integer, Role> BY_NUMBER =
      Stream.of(values()).collect(Collectors.toMap(r -> r.number, Function.identity()));

  private final int number;

  Role(int number) {
    this.number = number;
  }

  static Role of(int number) {
    return BY_NUMBER.getOrDefault(number, OTHER);
  }

  /** A window of its own. */
  public boolean isWindow() {
    return this == FRAME || this == WINDOW || isDialog();
  }

  /** A window that is asked something in, and closed. */
  public boolean isDialog() {
    return this == DIALOG || this == ALERT || this == FILE_CHOOSER;
  }

  /** Something that is chosen in a menu. */
  public boolean isItem() {
    return this == MENU_ITEM || this == CHECK_MENU_ITEM || this == RADIO_MENU_ITEM;
  }

  /** What is written into. */
  public boolean isText() {
    return this == TEXT || this == ENTRY || this == PASSWORD_TEXT || this == DOCUMENT_TEXT;
  }

  /** A number that goes up and down. */
  public boolean isValue() {
    return this == SPIN_BUTTON || this == SLIDER || this == DIAL;
  }
}
