package foldtwice.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.routine.Head;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.trigger.Notation;
import java.lang.foreign.Arena;
import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.SymbolLookup;
import java.lang.foreign.ValueLayout;
import java.lang.invoke.MethodHandle;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.Test;

/**
 * Against the grammar of the X.Org manual page Compose(5), and against libxkbcommon where that is
 * installed.
 */
@SuppressWarnings("restricted") // a library of the system is asked
class ComposeFileTest {

  /** Compose(5): {@code EVENT [EVENT...] : "STRING"}, an event in angle brackets. */
  private static final Pattern LINE =
      Pattern.compile("(?:<(\\w+)> )+: \"((?:[^\"\\\\\\p{Cntrl}]|\\\\[\"\\\\]|\\\\[0-7]{3})*)\"");

  private static Library with(Library library, String id, String keys, String place, String text) {
    Routine typed =
        new Routine.Macro(
            Head.of(
                id,
                "Type " + id,
                "vasculum",
                List.of(new Parameter("text", new Kind.Words(), new Value.Text(""), Extras.NONE))),
            List.of(new Line(new Step.TypeText(new Template("\u2039text\u203a")))));
    Binding b =
        new Binding(
            id,
            id,
            library.places().stream()
                .filter(p -> p.id().equals(place))
                .findFirst()
                .orElse(new Place.Everywhere()),
            List.of(Notation.read(keys)),
            Map.of("text", new Value.Text(text)),
            1,
            Extras.NONE);
    return new Edit.Together(List.of(new Edit.PutRoutine(typed), new Edit.PutBinding(b)))
        .on(library);
  }

  private static ComposeFile made() throws Exception {
    Library library = Sheets.demo();
    library = with(library, "s1", "F9 then D", "vasculum/grid", "\u00b0");
    library = with(library, "s2", "O then Shift+C", "vasculum/grid", "\u00a9 \"quoted\" \\ \n");
    library = with(library, "s3", "Ctrl+F9 then D", "vasculum/grid", "\u00b1");
    library = with(library, "s4", "F9 then D then E", "vasculum/header", "\u2640");
    library = with(library, "s5", "F9 then U", "vasculum/grid", "\u03b1".repeat(300));
    return Sheets.of(
            library, Wanted.of(new About.Program("vasculum"), SheetKind.LIST).onlyWorking(false))
        .compose();
  }

  @Test
  void textsTypedByPlainKeysAreInIt() throws Exception {
    ComposeFile file = made();
    List<String> lines = file.text().lines().toList();
    assertThat(lines.get(0)).startsWith("# Vasculum");
    assertThat(lines.get(1)).isEqualTo("include \"%L\"");
    List<String> sequences = lines.subList(2, lines.size());
    assertThat(sequences)
        .contains(
            "<F9> <d> : \"\u00b0\"", "<Multi_key> <o> <C> : \"\u00a9 \\\"quoted\\\" \\\\ \\012\"")
        .allMatch(l -> LINE.matcher(l).matches());
    assertThat(file.lines()).isEqualTo(sequences.size());
    assertThat(file.leftOut())
        .extracting(Contents.Aside::does, Contents.Aside::why)
        .anySatisfy(t -> assertThat(t.toString()).contains("Type s3", "Ctrl"))
        .anySatisfy(t -> assertThat(t.toString()).contains("Type s4", "begins it"))
        .anySatisfy(t -> assertThat(t.toString()).contains("Type s5", "too long"));
  }

  /** Reference: libxkbcommon's own reader and state machine. */
  @Test
  void libxkbcommonReadsIt() throws Throwable {
    Optional<SymbolLookup> found = library();
    Assumptions.assumeTrue(found.isPresent(), "libxkbcommon is not installed");
    SymbolLookup xkb = found.get();
    Linker linker = Linker.nativeLinker();
    var address = ValueLayout.ADDRESS;
    var number = ValueLayout.JAVA_INT;
    MethodHandle context =
        handle(linker, xkb, "xkb_context_new", FunctionDescriptor.of(address, number));
    MethodHandle table =
        handle(
            linker,
            xkb,
            "xkb_compose_table_new_from_buffer",
            FunctionDescriptor.of(
                address, address, address, ValueLayout.JAVA_LONG, address, number, number));
    MethodHandle state =
        handle(
            linker, xkb, "xkb_compose_state_new", FunctionDescriptor.of(address, address, number));
    MethodHandle feed =
        handle(
            linker, xkb, "xkb_compose_state_feed", FunctionDescriptor.of(number, address, number));
    MethodHandle keysym =
        handle(linker, xkb, "xkb_keysym_from_name", FunctionDescriptor.of(number, address, number));
    MethodHandle text =
        handle(
            linker,
            xkb,
            "xkb_compose_state_get_utf8",
            FunctionDescriptor.of(number, address, address, ValueLayout.JAVA_LONG));
    MethodHandle reset =
        handle(linker, xkb, "xkb_compose_state_reset", FunctionDescriptor.ofVoid(address));
    // What the locale has of its own is not ours to test, and not everywhere there.
    String file = made().text().replace("include \"%L\"\n", "");
    try (Arena arena = Arena.ofConfined()) {
      byte[] bytes = file.getBytes(StandardCharsets.UTF_8);
      MemorySegment buffer = arena.allocateFrom(ValueLayout.JAVA_BYTE, bytes);
      MemorySegment compiled =
          (MemorySegment)
              table.invoke(
                  (MemorySegment) context.invoke(0),
                  buffer,
                  (long) bytes.length,
                  arena.allocateFrom("C"),
                  1,
                  0);
      assertThat(compiled.address()).as("the file is accepted").isNotZero();
      MemorySegment at = (MemorySegment) state.invoke(compiled, 0);
      for (String line : file.lines().filter(l -> !l.startsWith("#")).toList()) {
        reset.invoke(at);
        Matcher keys = Pattern.compile("<(\\w+)>").matcher(line.substring(0, line.indexOf(':')));
        while (keys.find()) {
          int symbol = (int) keysym.invoke(arena.allocateFrom(keys.group(1)), 0);
          assertThat(symbol).as("a keysym " + keys.group(1)).isNotZero();
          int unused = (int) feed.invoke(at, symbol);
        }
        MemorySegment out = arena.allocate(512);
        int unused = (int) text.invoke(at, out, 512L);
        String wanted = line.substring(line.indexOf('"') + 1, line.lastIndexOf('"'));
        assertThat(out.getString(0))
            .isEqualTo(wanted.replace("\\012", "\n").replace("\\\"", "\"").replace("\\\\", "\\"));
      }
    }
  }

  private static MethodHandle handle(
      Linker linker, SymbolLookup library, String name, FunctionDescriptor of) {
    return linker.downcallHandle(library.find(name).orElseThrow(), of);
  }

  private static Optional<SymbolLookup> library() {
    try {
      return Optional.of(SymbolLookup.libraryLookup("libxkbcommon.so.0", Arena.global()));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /** Nothing is typed by keys there: no file. */
  @Test
  void nothingToPutIntoIt() throws Exception {
    Sheet sheet =
        Sheets.of(Sheets.demo(), Wanted.of(new About.Program("trackway"), SheetKind.LIST));
    assertThat(sheet.compose().lines()).isZero();
  }
}
