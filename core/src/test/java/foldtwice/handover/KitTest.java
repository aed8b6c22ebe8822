package foldtwice.handover;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import foldtwice.binding.Binding;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Procedure;
import foldtwice.library.RandomLibraries;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Application;
import foldtwice.routine.Routine;
import foldtwice.routine.Yardstick;
import foldtwice.sheet.About;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class KitTest {

  private static final Path ROOT = Path.of(System.getProperty("project.root"));
  private static final Kit.Card CARD =
      new Kit.Card("Label work", "1", "Ada of the label corner", "CC-BY-4.0", "for all of us");

  private static Library demo() throws Exception {
    return LibraryJson.read(Files.readAllBytes(ROOT.resolve("demo/fernhollow.json")));
  }

  private static Set<Parts.Part> bindings(String... ids) {
    return Stream.of(ids).map(b -> new Parts.Part("bindings", b)).collect(Collectors.toSet());
  }

  private static Kit kit(Library of, String... bindings) throws FormatException {
    return new Kit(CARD, "label-work", Kit.choose(of, bindings(bindings)).library());
  }

  private static Kit whole(Library of) throws FormatException {
    Set<Parts.Part> parts = new HashSet<>();
    of.bindings().keySet().forEach(b -> parts.add(new Parts.Part("bindings", b)));
    of.routines().keySet().forEach(r -> parts.add(new Parts.Part("routines", r)));
    of.families().keySet().forEach(f -> parts.add(new Parts.Part("families", f)));
    of.procedures().keySet().forEach(p -> parts.add(new Parts.Part("procedures", p)));
    for (String list : Parts.SURFACES) {
      of.surfaces().keySet().forEach(s -> parts.add(new Parts.Part(list, s)));
    }
    return new Kit(CARD, "whole", Kit.choose(of, parts).library());
  }

  private static Library empty() {
    return Library.empty("Elsewhere");
  }

  /** A device, its pages, a program with its contexts and the routine all come along, with why. */
  @Test
  void whatABindingNeedsComesAlongAndSaysWhy() throws Exception {
    Library demo = demo();
    Binding onPad =
        demo.bindings().values().stream()
            .filter(b -> b.triggers().stream().anyMatch(t -> t instanceof Trigger.PadKey))
            .findFirst()
            .orElseThrow();
    Kit.Choice choice = Kit.choose(demo, bindings(onPad.id()));
    assertThat(choice.library().bindings()).containsOnlyKeys(onPad.id());
    assertThat(choice.library().routines()).containsKey(onPad.routine());
    assertThat(choice.library().surfaces()).containsKey("rowan");
    assertThat(choice.library().stations()).isEmpty();
    assertThat(choice.along())
        .contains(new Kit.Along("devices", "rowan", "bindings", onPad.id()))
        .contains(new Kit.Along("routines", onPad.routine(), "bindings", onPad.id()));
  }

  /** A procedure brings what is set off in it, and goes by what that is called elsewhere. */
  @Test
  void aProcedureComesWithWhatIsSetOffInIt() throws Exception {
    Library demo = demo();
    List<String> three = demo.bindings().keySet().stream().limit(3).toList();
    Procedure labels =
        new Procedure(
            "p",
            "One label after the other",
            three.stream().<Procedure.Part>map(Procedure.Part.Bound::new).toList(),
            20,
            5,
            Yardstick.NONE,
            Extras.NONE);
    Library with = new Edit.PutProcedure(labels, 0).on(demo);
    Kit.Choice choice = Kit.choose(with, List.of(new About.OfProcedure("p")));
    assertThat(choice.library().procedures()).containsOnlyKeys("p");
    assertThat(choice.library().bindings().keySet()).containsExactlyInAnyOrderElementsOf(three);
    assertThat(choice.along())
        .contains(
            new Kit.Along(
                "routines",
                demo.bindings().get(three.getFirst()).routine(),
                "bindings",
                three.getFirst()));

    Binding other = demo.bindings().get(three.getFirst()).used(7);
    Library mine = new Edit.PutBinding(other).on(demo);
    Taking taking =
        Taking.of(mine, new Kit(CARD, "labels", choice.library()), Optional.empty(), Map.of());
    String renamed = taking.renamed().get("bindings/" + three.getFirst());
    assertThat(renamed).isNotNull();
    Library then = taking.edit().on(mine);
    assertThat(then.procedures().get("p").bindings())
        .containsExactly(renamed, three.get(1), three.get(2));
    assertThat(then.bindings()).containsKeys(renamed, three.getFirst());
  }

  @Property(tries = 25)
  void aKitIsReadAsItWasWritten(@ForAll long seed) throws Exception {
    Kit kit = whole(RandomLibraries.of(seed));
    assertThat(Kit.read(kit.write().getBytes(StandardCharsets.UTF_8))).isEqualTo(kit);
  }

  /** Law: taking a kit of a library into that library changes nothing. */
  @Property(tries = 25)
  void whatIsThereAlreadyIsNotTakenAgain(@ForAll long seed) throws Exception {
    Library library = RandomLibraries.of(seed);
    Taking taking = Taking.of(library, whole(library), Optional.empty(), Map.of());
    assertThat(taking.rows()).isEmpty();
    assertThat(taking.renamed()).isEmpty();
    assertThat(taking.edit().on(library)).isEqualTo(library);
  }

  /** Law: of what was there nothing is lost, and all that is bound can be; twice is once. */
  @Property(tries = 25)
  void nothingIsLostAndAllOfItIsThere(@ForAll long seed) throws Exception {
    Library mine = RandomLibraries.of(seed);
    Kit kit = whole(RandomLibraries.of(seed * 31 + 7));
    Taking taking = Taking.of(mine, kit, Optional.empty(), Map.of());
    Library then = taking.edit().on(mine);
    assertThat(LibraryJson.read(LibraryJson.write(then).getBytes(StandardCharsets.UTF_8)))
        .isEqualTo(then);
    mine.bindings().forEach((id, b) -> assertThat(then.bindings().get(id)).isEqualTo(b));
    mine.routines().forEach((id, r) -> assertThat(then.routines().get(id)).isEqualTo(r));
    mine.surfaces().forEach((id, s) -> assertThat(then.surfaces()).containsKey(id));
    mine.stations().forEach((id, s) -> assertThat(then.stations().get(id)).isEqualTo(s));
    for (Binding b : kit.library().bindings().values()) {
      String id = taking.renamed().getOrDefault("bindings/" + b.id(), b.id());
      String routine = taking.renamed().getOrDefault("routines/" + b.routine(), b.routine());
      assertThat(then.bindings()).containsKey(id);
      assertThat(then.bindings().get(id).routine()).isEqualTo(routine);
    }
    for (Routine r : kit.library().routines().values()) {
      String id = taking.renamed().getOrDefault("routines/" + r.id(), r.id());
      boolean own = mine.routines().containsKey(id);
      assertThat(own || !then.routines().get(id).origin().seen())
          .as("nobody here has looked through " + id)
          .isTrue();
    }
    Library before = Taking.asTaken(kit, taking.renamed());
    Taking again = Taking.of(then, kit, Optional.of(before), taking.renamed());
    assertThat(again.rows()).as("a second time").isEmpty();
  }

  /** A kit whose parts have the ids of other things: nobody's binding runs somebody else's. */
  @Test
  void idsThatClashOnPurposeTakeNothingOver() throws Exception {
    Library mine = demo();
    Library odd = new Edit.PutRoutine(other(mine)).on(mine);
    Kit kit = kit(odd, "b01");
    Taking taking = Taking.of(mine, kit, Optional.empty(), Map.of());
    String routine = mine.bindings().get("b01").routine();
    assertThat(taking.renamed()).containsKey("routines/" + routine);
    Library then = taking.edit().on(mine);
    assertThat(then.routines().get(routine)).isEqualTo(mine.routines().get(routine));
    assertThat(then.bindings().get("b01")).isEqualTo(mine.bindings().get("b01"));
    String theirs = taking.renamed().get("bindings/b01");
    assertThat(then.bindings().get(theirs).routine())
        .isEqualTo(taking.renamed().get("routines/" + routine));
  }

  private static Routine other(Library mine) {
    Routine r = mine.routines().get(mine.bindings().get("b01").routine());
    return r.with(r.head().inCategory("not what it was"));
  }

  /** What was changed here and what is new there are both had. */
  @Test
  void aLaterVersionMergesOverWhatWasChangedHere() throws Exception {
    Library source = demo();
    Kit first = kit(source, "b01", "b02");
    Taking taken = Taking.of(empty(), first, Optional.empty(), Map.of());
    Library mine = taken.edit().on(empty());
    mine = rebound(mine, "b01", "Ctrl+Alt+F9");
    Kit second = kit(rebound(source, "b02", "Ctrl+Alt+F10"), "b01", "b02", "b03");
    Taking later =
        Taking.of(
            mine, second, Optional.of(Taking.asTaken(first, taken.renamed())), taken.renamed());
    Library then = later.edit().on(mine);
    assertThat(later.contradictions()).isEmpty();
    assertThat(Notation.write(then.bindings().get("b01").triggers().getFirst()))
        .isEqualTo("Ctrl+Alt+F9");
    assertThat(Notation.write(then.bindings().get("b02").triggers().getFirst()))
        .isEqualTo("Ctrl+Alt+F10");
    assertThat(then.bindings()).containsKey("b03");
  }

  private static Library rebound(Library library, String id, String keys) {
    Binding b = library.bindings().get(id);
    return new Edit.PutBinding(b.withTriggers(List.of(Notation.read(keys)))).on(library);
  }

  @Test
  void aProgramThatIsThereOtherwiseKeepsWhatItHas() throws Exception {
    Library mine = demo();
    Application tagpress = mine.applications().get("tagpress");
    Library fewer = new Edit.PutApplication(tagpress.named("Tagpress at home", "2.0")).on(mine);
    Library then = Taking.of(fewer, kit(mine, "b01"), Optional.empty(), Map.of()).edit().on(fewer);
    assertThat(then.applications().get("tagpress").name()).isEqualTo("Tagpress at home");
    assertThat(then.applications().get("tagpress").allContexts())
        .containsAll(tagpress.allContexts());
  }

  /** JSON Schema 2020-12, by networknt. */
  @Test
  void kitsAreAsTheirSchemaSays() throws Exception {
    SchemaRegistry registry =
        SchemaRegistry.withDefaultDialect(
            SpecificationVersion.DRAFT_2020_12,
            b ->
                b.schemas(
                    Map.of(
                        "https://foldtwice.example/library.schema.json",
                        read("docs/library.schema.json"))));
    Schema schema = registry.getSchema(read("docs/kit.schema.json"), InputFormat.JSON);
    assertThat(schema.validate(whole(demo()).write(), InputFormat.JSON)).isEmpty();
    assertThat(
            schema.validate(
                whole(demo()).write().replace("\"whole\"", "\"../x\""), InputFormat.JSON))
        .isNotEmpty();
  }

  private static String read(String file) {
    try {
      return Files.readString(ROOT.resolve(file));
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  /** Cut short, newer, of another kind, with a path as its id, with stations. */
  @Test
  void whatIsNoKitIsRefusedAndSaysWhere() throws Exception {
    byte[] good = kit(demo(), "b01").write().getBytes(StandardCharsets.UTF_8);
    for (int cut = 0; cut < good.length - 2; cut += 1 + good.length / 300) {
      int at = cut;
      assertThatThrownBy(() -> Kit.read(Arrays.copyOf(good, at)))
          .isInstanceOf(FormatException.class);
    }
    String text = new String(good, StandardCharsets.UTF_8);
    refused(text.replaceFirst("\"version\": 1", "\"version\": 7"), "/version", "newer");
    refused(text.replaceFirst("label-work", "../../etc/passwd"), "/id", "small letters");
    refused(text.replaceFirst("fold-twice-kit", "fold-twice-set"), "/format", "no kit");
    refused(text.replaceFirst("Label work", " "), "/name", "needs a name");
    refused(text.replaceFirst("\"routine\": \"", "\"routine\": 3, \"x\": \""), "/library", "text");
    refused(new String(new byte[Kit.MOST_BYTES + 1], StandardCharsets.US_ASCII), "kit", "16 MB");
    refused("[]", "/format", "no kit");
  }

  private static void refused(String kit, String where, String what) {
    assertThatThrownBy(() -> Kit.read(kit.getBytes(StandardCharsets.UTF_8)))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining(where)
        .hasMessageContaining(what);
  }
}
