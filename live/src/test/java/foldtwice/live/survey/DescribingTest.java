package foldtwice.live.survey;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.describe.Description;
import foldtwice.describe.Does;
import foldtwice.describe.Span;
import foldtwice.known.Touch;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.live.bus.Label;
import foldtwice.place.Finding;
import foldtwice.place.NativeCommand;
import foldtwice.trigger.Notation;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** What programs tell of themselves is hostile until checked: laws over random readings. */
class DescribingTest {

  private static final List<String> LABELS =
      List.of(
          "Open\u2026",
          "Open...",
          " Open \u2026 ",
          "Save",
          "\u202eevas",
          "\u0000",
          "a/b",
          "\u2039x\u203a",
          "\"quoted\"",
          "Save > as",
          "\ud83c\udf3f",
          "on",
          "off",
          "Toolbar",
          "x".repeat(199));

  private static final List<String> KEYS =
      List.of(
          "",
          ";;",
          "o;<Alt>f:o;<Primary>o",
          "s;<Alt>f:s;<Primary><Shift>s",
          ";;F5",
          ";;<Weird>q",
          ";;nonsense",
          ";;<Primary>",
          "just this",
          ";;<Super>space",
          ";;<Alt>Page_Up",
          ";;\ud83c\udf3f");

  private final class Reading {
    private final Random random;

    Reading(long seed) {
      random = new Random(seed);
    }

    private <T> T one(List<T> of) {
      return of.get(random.nextInt(of.size()));
    }

    private double number() {
      return one(
          List.of(
              0.0,
              100.0,
              1.0,
              -5.5,
              1e300,
              -1e300,
              Double.NaN,
              Double.POSITIVE_INFINITY,
              random.nextDouble()));
    }

    Survey survey() {
      List<Survey.Item> items = new ArrayList<>();
      for (int i = random.nextInt(12); i > 0; i--) {
        List<String> path = new ArrayList<>(List.of(one(LABELS)));
        while (path.size() < 4 && random.nextBoolean()) {
          path.add(one(LABELS));
        }
        Survey.Item item =
            new Survey.Item(
                path, one(List.of(Survey.Ticking.values())), one(KEYS), random.nextBoolean());
        if (items.stream().noneMatch(o -> o.path().equals(item.path()))) {
          items.add(item); // as the reader does
        }
      }
      List<Survey.Form> forms = new ArrayList<>();
      for (int i = random.nextInt(3); i > 0; i--) {
        List<Survey.Field> fields = new ArrayList<>();
        for (int k = random.nextInt(4); k > 0; k--) {
          List<String> options = new ArrayList<>();
          for (int n = random.nextInt(3); n > 0; n--) {
            options.add(one(LABELS));
          }
          Survey.Takes takes = one(List.of(Survey.Takes.values()));
          double least = number();
          double most = number();
          fields.add(
              new Survey.Field(
                  one(LABELS),
                  takes,
                  switch (takes) {
                    case NUMBER -> Double.toString(number());
                    case YES_NO -> "no";
                    default -> one(LABELS);
                  },
                  options,
                  least,
                  most,
                  number()));
        }
        forms.add(
            new Survey.Form(
                random.nextInt(5) == 0 ? "" : one(LABELS),
                fields,
                List.of(one(LABELS), one(LABELS)),
                random.nextBoolean() || items.isEmpty() ? List.of() : one(items).path()));
      }
      List<Survey.Dial> dials = new ArrayList<>();
      for (int i = random.nextInt(3); i > 0; i--) {
        dials.add(new Survey.Dial(one(LABELS), number(), number(), number(), number()));
      }
      return new Survey(
          one(LABELS),
          items,
          List.of(),
          random.nextBoolean() ? List.of(one(LABELS)) : List.of(),
          forms,
          dials,
          random.nextBoolean(),
          true);
    }
  }

  private static Library with(Proposal p) {
    return p.edit(false).on(Library.empty("Read"));
  }

  @Property(tries = 1_500)
  void whateverIsReadCanBeWrittenAndReadAgain(@ForAll long seed) throws Exception {
    Proposal p = Describing.anew("program", new Reading(seed).survey());
    Library library = with(p);
    assertThat(LibraryJson.read(LibraryJson.write(library).getBytes(StandardCharsets.UTF_8)))
        .isEqualTo(library);
    assertThat(p.application().commands().stream().map(NativeCommand::id)).doesNotHaveDuplicates();
    assertThat(p.description().settings().stream().map(Description.Setting::name))
        .doesNotHaveDuplicates();
  }

  @Property(tries = 1_500)
  void describedAgainThereIsNothingNew(@ForAll long seed) {
    Survey survey = new Reading(seed).survey();
    Proposal first = Describing.anew("program", survey);
    Proposal second = Describing.of(first.application(), first.description(), survey);
    assertThat(second.differences()).isEmpty();
    assertThat(second.application()).isEqualTo(first.application());
    assertThat(second.description()).isEqualTo(first.description());
  }

  /** What comes from another reading never takes away what is there. */
  @Property(tries = 1_000)
  void anotherReadingKeepsAllCommandsAndTheirIds(@ForAll long seed, @ForAll long other) {
    Proposal first = Describing.anew("program", new Reading(seed).survey());
    Proposal second =
        Describing.of(first.application(), first.description(), new Reading(other).survey());
    for (NativeCommand c : first.application().commands()) {
      NativeCommand now = second.application().command(c.id()).orElseThrow();
      assertThat(now.menuPath()).isEqualTo(c.menuPath());
      assertThat(now.name()).isEqualTo(c.name());
    }
    second.differences().stream()
        .filter(d -> d.fate() == Proposal.Fate.GONE)
        .forEach(d -> assertThat(d.now()).isEmpty());
  }

  @Test
  void whatAPersonSaidStays() {
    Survey survey =
        new Survey(
            "p",
            List.of(
                new Survey.Item(
                    List.of("File", "Save"), Survey.Ticking.NONE, "s;<Alt>f:s;<Primary>s", false)),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            true,
            true);
    Proposal first = Describing.anew("p", survey);
    NativeCommand save = first.application().commands().getFirst();
    NativeCommand own =
        save.found(Optional.of(new Finding(true, "asks where")))
            .withTriggers(List.of(Notation.read("Ctrl+Alt+S")));
    Description said =
        first
            .description()
            .withCommands(
                List.of(
                    new Description.Command(
                        save.id(),
                        List.of(new Does.Changes(Touch.FILES)),
                        "",
                        false,
                        "",
                        Span.ALWAYS)));
    Survey later =
        new Survey(
            "p",
            List.of(
                new Survey.Item(
                    List.of("File", "Save"), Survey.Ticking.NONE, "s;<Alt>f:s;<Primary>k", false)),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            true,
            true);
    Proposal second = Describing.of(first.application().with(own), said, later);
    NativeCommand now = second.application().commands().getFirst();
    assertThat(now.finding()).isEqualTo(own.finding());
    assertThat(now.triggers()).as("a person's own").containsExactly(Notation.read("Ctrl+Alt+S"));
    assertThat(now.byDefault()).as("the program's").containsExactly(Notation.read("Ctrl+K"));
    assertThat(second.description().commands()).isEqualTo(said.commands());
    assertThat(second.differences())
        .singleElement()
        .satisfies(d -> assertThat(d.before() + " " + d.now()).isEqualTo("Ctrl+S Ctrl+K"));
  }

  /** As the toolkit writes them; mnemonics are no triggers. */
  @Test
  void acceleratorsAreReadAndMnemonicsToldApart() {
    assertThat(Accelerator.of("n;<Alt>f:n;<Primary>n")).contains(Notation.read("Ctrl+N"));
    assertThat(Accelerator.of("n;<Alt>f:n;")).isEmpty();
    assertThat(Accelerator.of(";;<Shift><Alt>Page_Up")).contains(Notation.read("Alt+Shift+PageUp"));
    assertThat(Accelerator.of(";;<Hyper>x")).isEmpty();
    assertThat(Accelerator.strokes("n;<Alt>f:n;")).hasSize(2);
    assertThat(Accelerator.strokes("n;<Alt>f:n;<Primary>n")).hasSize(1);
    assertThat(Accelerator.strokes("")).isEmpty();
  }

  @Property(tries = 500)
  void aWayIsTheSameThereAndBack(@ForAll double least, @ForAll double most, @ForAll double part) {
    double from = Math.min(Math.abs(least % 1000), Math.abs(most % 1000));
    double to = from + 1 + Math.abs(most % 1000);
    double at = from + (to - from) * Math.abs(part % 1);
    Way way = new Way(from, to);
    assertThat(way.at(way.percent(at))).isCloseTo(at, org.assertj.core.data.Offset.offset(0.01));
  }

  @Test
  void labelsAreComparedAsTheyAreMeant() {
    assertThat(Label.same("Open...", " Open\u2026 ")).isTrue();
    assertThat(Label.same("Open", "Open\u2026")).isFalse();
  }
}
