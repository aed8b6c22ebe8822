package foldtwice.live.survey;

import java.util.ArrayList;
import java.util.List;

/**
 * What a running program showed of itself at one moment.
 *
 * @param name the program's, as it tells it to the desktop
 * @param items of its menus, in their order; of several with one path only the first
 * @param twins paths that several items have
 * @param tools buttons of its toolbars
 * @param forms dialogs that were open
 * @param dials numbers of its windows that go up and down
 * @param takesText true when there is a text to write in
 * @param whole false when there was more than is looked at
 */
public record Survey(
    String name,
    List<Item> items,
    List<List<String>> twins,
    List<String> tools,
    List<Form> forms,
    List<Dial> dials,
    boolean takesText,
    boolean whole) {

  public Survey {
    items = List.copyOf(items);
    twins = List.copyOf(twins);
    tools = List.copyOf(tools);
    forms = List.copyOf(forms);
    dials = List.copyOf(dials);
  }

  /** What choosing an item does to its mark. */
  public enum Ticking {
    NONE,
    /** On and off. */
    TURNS,
    /** On, and those beside it off. */
    ONE_OF
  }

  /**
   * Something to be chosen in a menu.
   *
   * @param keys as the program writes them
   * @param on true when it is ticked
   */
  public record Item(List<String> path, Ticking ticking, String keys, boolean on) {
    public Item {
      path = List.copyOf(path);
    }
  }

  /**
   * A dialog; its first button is the one Enter presses, as far as the program tells.
   *
   * @param opener the menu path that opened it; empty when that is not known
   */
  public record Form(String title, List<Field> fields, List<String> buttons, List<String> opener) {
    public Form {
      title = title.strip();
      opener = List.copyOf(opener);
      fields = List.copyOf(fields);
      buttons = List.copyOf(buttons);
    }

    /** The same, opened by a command. */
    public Form by(List<String> path) {
      return new Form(title, fields, buttons, path);
    }
  }

  /** What a field takes. */
  public enum Takes {
    TEXT,
    NUMBER,
    CHOICE,
    YES_NO
  }

  /**
   * A field of a dialog.
   *
   * @param start what stood in it
   * @param options of a choice
   * @param least of a number
   */
  public record Field(
      String label,
      Takes takes,
      String start,
      List<String> options,
      double least,
      double most,
      double step) {
    public Field {
      options = List.copyOf(options);
    }

    static Field text(String label, String start) {
      return new Field(label, Takes.TEXT, start, List.of(), 0, 0, 0);
    }
  }

  /** A number that goes up and down. */
  public record Dial(String name, double now, double least, double most, double step) {}

  /** The same with another's dialogs besides, for those that are opened one after the other. */
  public Survey with(List<Form> others) {
    List<Form> all =
        new ArrayList<>(
            forms.stream()
                .filter(f -> others.stream().noneMatch(o -> o.title().equals(f.title())))
                .toList());
    all.addAll(others);
    return new Survey(name, items, twins, tools, all, dials, takesText, whole);
  }
}
