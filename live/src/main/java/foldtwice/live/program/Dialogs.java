package foldtwice.live.program;

import foldtwice.live.bus.Bus;
import foldtwice.live.bus.BusException;
import foldtwice.live.bus.Label;
import foldtwice.live.bus.Late;
import foldtwice.live.bus.Mark;
import foldtwice.live.bus.Ref;
import foldtwice.live.bus.Role;
import foldtwice.live.bus.Seen;
import foldtwice.live.say.Say;
import foldtwice.live.survey.Fields;
import foldtwice.run.Change;
import foldtwice.run.Dialog;
import foldtwice.run.Reply;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** The dialog a program has open: its fields by label, and its buttons. */
final class Dialogs {

  private static final Set<String> YES = Set.of("yes", "on", "true", "1");
  private static final Set<String> NO = Set.of("no", "off", "false", "0");
  private static final int DECIMALS = 6;

  private final Bus bus;
  private final Windows windows;

  Dialogs(Bus bus, Windows windows) {
    this.bus = bus;
    this.windows = windows;
  }

  /** A field and what it is called. */
  private record Named(String label, Fields.Found found) {}

  private record Open(Seen window, List<Named> fields, List<Seen> buttons) {

    List<Named> named(String label) {
      return fields.stream().filter(n -> Label.same(n.label, label)).toList();
    }

    boolean isReady(String label) {
      return named(label).stream().anyMatch(n -> n.found.seen().isReady());
    }
  }

  private Optional<Open> open() throws BusException {
    Optional<Seen> window = windows.dialog();
    if (window.isEmpty()) {
      return Optional.empty();
    }
    Seen.Tree tree = bus.tree(window.get().ref(), s -> s.role() != Role.SPIN_BUTTON, 2_000);
    List<Named> fields = new ArrayList<>();
    List<Seen> buttons = new ArrayList<>();
    Optional<Seen> before = Optional.empty();
    for (Fields.Found f : Fields.of(bus, tree)) {
      if (f.seen().role() == Role.PUSH_BUTTON) {
        buttons.add(f.seen());
      } else if (f.isField()) {
        fields.add(new Named(Fields.label(bus, f, before), f));
        before = Optional.empty();
      } else {
        before = Optional.of(f.seen());
      }
    }
    return Optional.of(new Open(window.get(), fields, buttons));
  }

  /** It, as a run sees it. */
  Optional<Dialog> dialog() throws BusException {
    Optional<Open> open = open();
    if (open.isEmpty()) {
      return Optional.empty();
    }
    List<Dialog.Field> fields = new ArrayList<>();
    for (Named n : open.get().fields) {
      if (!n.label.isEmpty()) {
        fields.add(field(n));
      }
    }
    return Optional.of(
        new Dialog(
            open.get().window.name(),
            fields,
            open.get().buttons.stream().map(Seen::name).toList().reversed()));
  }

  private Dialog.Field field(Named n) throws BusException {
    String text = text(n.found);
    return switch (n.found.seen().role()) {
      case SPIN_BUTTON, SLIDER, DIAL -> Dialog.Field.number(n.label, text, DECIMALS);
      case COMBO_BOX ->
          Dialog.Field.choice(
              n.label, text, n.found.options().stream().map(Seen::name).toArray(String[]::new));
      default -> Dialog.Field.text(n.label, text);
    };
  }

  private String text(Fields.Found f) throws BusException {
    Seen s = f.seen();
    return switch (s.role()) {
      case CHECK_BOX, TOGGLE_BUTTON -> s.is(Mark.CHECKED) ? "yes" : "no";
      case COMBO_BOX -> bus.chosen(s.ref()).map(Seen::name).orElse(s.name());
      case SPIN_BUTTON, SLIDER, DIAL -> shown(bus.range(s.ref()).now());
      case PASSWORD_TEXT -> "";
      default -> s.offers("Text") ? bus.text(s.ref()) : s.name();
    };
  }

  private static String shown(double n) {
    return new BigDecimal(String.format(Locale.ROOT, "%." + DECIMALS + "f", n))
        .stripTrailingZeros()
        .toPlainString();
  }

  /** Writes into a field. What stands there after is what the program made of it. */
  Reply fill(String label, String text) throws BusException {
    Optional<Open> open =
        Late.waitedFor(this::open, o -> o.filter(d -> d.isReady(label)).isPresent());
    if (open.isEmpty()) {
      return new Reply.Refused(Say.text("opendialog"), Say.text("none"));
    }
    List<Named> named = open.get().named(label);
    if (named.size() != 1) {
      return new Reply.Refused(
          Say.text("field", label),
          named.isEmpty()
              ? String.join(", ", open.get().fields.stream().map(Named::label).toList())
              : Say.text("twins", named.size(), label));
    }
    Fields.Found field = named.getFirst().found;
    if (!field.seen().isReady()) {
      return new Reply.Refused(Say.text("field", label), Say.text("greyed"));
    }
    String before = text(field);
    Optional<Reply> refused = write(label, field, text);
    if (refused.isPresent()) {
      return refused.get();
    }
    Fields.Found now = new Fields.Found(bus.look(field.seen().ref()), field.options());
    String after = text(now);
    return before.equals(after)
        ? Reply.QUIET
        : new Reply.Done(List.of(new Change("field " + label, before, after)));
  }

  private Optional<Reply> write(String label, Fields.Found field, String text) throws BusException {
    Ref ref = field.seen().ref();
    switch (field.seen().role()) {
      case CHECK_BOX, TOGGLE_BUTTON -> {
        String plain = text.strip().toLowerCase(Locale.ROOT);
        if (!YES.contains(plain) && !NO.contains(plain)) {
          return Optional.of(new Reply.Refused(Say.text("yesorno", label), text));
        }
        if (YES.contains(plain) != field.seen().is(Mark.CHECKED)) {
          bus.act(ref);
        }
      }
      case COMBO_BOX -> {
        List<String> options = field.options().stream().map(Seen::name).toList();
        int which = -1;
        for (int i = 0; i < options.size() && which < 0; i++) {
          which = Label.same(options.get(i), text) ? i : -1;
        }
        if (which < 0) {
          return Optional.of(
              new Reply.Refused(Say.text("oneof", label, String.join(", ", options)), text));
        }
        bus.choose(ref, which);
      }
      case SPIN_BUTTON, SLIDER, DIAL -> {
        double to;
        try {
          to = Double.parseDouble(text.strip());
        } catch (NumberFormatException e) {
          return Optional.of(new Reply.Refused(Say.text("number", label), text));
        }
        Bus.Range range = bus.range(ref);
        if (to < range.least() || to > range.most()) {
          return Optional.of(
              new Reply.Refused(
                  Say.text("within", label, shown(range.least()), shown(range.most())), text));
        }
        bus.set(ref, to);
      }
      default -> bus.write(ref, text);
    }
    return Optional.empty();
  }

  /** The button of a label; empty when there is none, or no one. */
  Optional<Seen> button(String label) throws BusException {
    List<Seen> fitting =
        open().map(Open::buttons).orElse(List.of()).stream()
            .filter(b -> Label.same(b.name(), label))
            .toList();
    return fitting.size() == 1 ? Optional.of(fitting.getFirst()) : Optional.empty();
  }

  List<String> buttons() throws BusException {
    return open().map(Open::buttons).orElse(List.of()).stream().map(Seen::name).toList();
  }
}
