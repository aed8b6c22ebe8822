package foldtwice.collecting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Application;
import foldtwice.place.Danger;
import foldtwice.place.NativeCommand;
import foldtwice.trigger.Notation;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CommandListTest {

  private static final String LIST =
      """
      Command,Menu path,Keys,Uses a week,Danger
      Save,File > Save,Ctrl+S,120,saves
      "Paste, plain",Edit > Paste > Plain,Ctrl+Shift+V,4,
      Undo,Edit > Undo,Ctrl+Z,300,
      "He said ""stop""\",,,,
      """;

  private static CommandList.Table read(String text) throws Exception {
    return CommandList.read(text.getBytes(StandardCharsets.UTF_8), n -> {}, () -> false);
  }

  private static CommandList.Commands commands(String text) throws Exception {
    CommandList.Table table = read(text);
    return CommandList.commands(table, table.guess(), "mine");
  }

  @Test
  void aTableWithHeadingsGivesCommands() throws Exception {
    CommandList.Commands read = commands(LIST);
    assertThat(read.faults()).isEmpty();
    assertThat(read.commands()).hasSize(4);
    NativeCommand save = read.commands().getFirst();
    assertThat(save.menuPath()).containsExactly("File", "Save");
    assertThat(save.triggers()).containsExactly(Notation.read("Ctrl+S"));
    assertThat(save.usesPerWeek()).isEqualTo(120);
    assertThat(save.danger()).isEqualTo(Danger.SAVES);
    assertThat(read.commands().get(1).name()).isEqualTo("Paste, plain");
    assertThat(read.commands().get(3).name()).isEqualTo("He said \"stop\"");
  }

  /** Other separators, a byte order mark, other line ends: the same commands. */
  @ParameterizedTest
  @ValueSource(strings = {";", "\t", "|"})
  void otherSeparatorsAreFound(String separator) throws Exception {
    String other = "\uFEFF" + "Name,Keys\r\nSave,Ctrl+S\r\nOpen,Ctrl+O\r\n".replace(",", separator);
    assertThat(commands(other).commands().stream().map(NativeCommand::name).toList())
        .containsExactly("Save", "Open");
    byte[] wide = other.getBytes(StandardCharsets.UTF_16LE);
    assertThat(CommandList.read(wide, n -> {}, () -> false).rows()).hasSize(2);
  }

  /** Each line that cannot be taken is told with its number; the others are taken. */
  @Test
  void faultsAreToldByLine() throws Exception {
    CommandList.Commands read =
        commands(
            """
            name,menu,keys,uses,danger
            Good,,,,
            Bad keys,,Ctrl+Ctrl+,,
            ,,,5,
            Bad uses,,,many,
            Bad danger,,,,explodes
            """);
    assertThat(read.commands()).hasSize(1);
    assertThat(read.faulty()).isEqualTo(4);
    assertThat(read.faults())
        .containsExactly(
            new CommandList.Fault(3, "keys such as Ctrl+Shift+M", "Ctrl+Ctrl+"),
            new CommandList.Fault(4, "a name or a menu path", "neither"),
            new CommandList.Fault(5, "uses a week as a number", "many"),
            new CommandList.Fault(6, "saves, deletes or prints", "explodes"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "   \n ", "name,keys\n", "name,keys\n\"never closed,Ctrl+S\n"})
  void whatIsNoTableIsRefused(String text) {
    assertThatThrownBy(() -> read(text))
        .isInstanceOf(CommandList.UnreadableException.class)
        .hasMessageContaining("expected");
  }

  @Test
  void otherBytesAreRefused() {
    byte[] bytes = {'n', 'a', 'm', 'e', '\n', (byte) 0xC3, (byte) 0x28, '\n'};
    assertThatThrownBy(() -> CommandList.read(bytes, n -> {}, () -> false))
        .hasMessageContaining("UTF-8");
  }

  @Test
  void readingCanBeGivenUp() {
    String many = "name\n" + "a\n".repeat(20_000);
    assertThatThrownBy(
            () -> CommandList.read(many.getBytes(StandardCharsets.UTF_8), n -> {}, () -> true))
        .hasMessageContaining("given up after 5000");
  }

  /** Commands with one name keep an identity of their own. */
  @Test
  void namesakesHaveIdsOfTheirOwn() throws Exception {
    List<String> ids =
        commands("name,menu\nClear,Edit > Clear\nClear,Flags > Clear\n").commands().stream()
            .map(NativeCommand::id)
            .toList();
    assertThat(ids).containsExactly("clear", "clear-2");
  }

  /** Law: whatever names stand in a table of RFC 4180, they come back, each once. */
  @Property(tries = 200)
  void namesComeBackWhateverStandsInThem(@ForAll @Size(min = 1, max = 8) List<String> names)
      throws Exception {
    List<String> plain = new ArrayList<>();
    for (String n : names) {
      String clean = n.replaceAll("[\\p{Cntrl}\uD800-\uDFFF\uFEFF\u0000]", "").strip();
      if (!clean.isEmpty()) {
        plain.add(clean);
      }
    }
    if (plain.isEmpty()) {
      return;
    }
    String csv =
        "name,keys\n"
            + plain.stream()
                .map(n -> "\"" + n.replace("\"", "\"\"") + "\",\n")
                .collect(Collectors.joining());
    assertThat(commands(csv).commands().stream().map(NativeCommand::name).toList())
        .isEqualTo(plain);
  }

  /** The application is put in by one edit, survives the file, and is taken back by one undo. */
  @Test
  void anApplicationOfOnesOwnIsOneUndo() throws Exception {
    Application mine = CommandList.application("mine", "Mine", commands(LIST).commands());
    Library before = foldtwice.Fixture.library();
    Edit edit = new Edit.PutApplication(mine);
    Library after = edit.on(before);
    byte[] file = LibraryJson.write(after).getBytes(StandardCharsets.UTF_8);
    assertThat(LibraryJson.read(file)).isEqualTo(after);
    assertThat(edit.inverse(before).on(after)).isEqualTo(before);
  }

  @Test
  void aListAsJsonIsReadLikeATable() throws Exception {
    for (String json :
        java.util.List.of(
            """
            [{"name": "Save", "menu": ["File", "Save"], "keys": "Ctrl+S", "uses": 12},
             {"name": "Stamp", "danger": "prints", "menu": "Insert > Stamp"},
             {"keys": "Ctrl+Q"}]
            """,
            """
            {"application": {"name": "Inkwell", "commands": 3},
             "commands": [{"name": "Save", "menu": ["File", "Save"], "keys": "Ctrl+S", "uses": 12},
             {"name": "Stamp", "danger": "prints", "menu": "Insert > Stamp"},
             {"keys": "Ctrl+Q"}]}
            """)) {
      CommandList.Table table =
          CommandList.read(
              json.getBytes(java.nio.charset.StandardCharsets.UTF_8), n -> {}, () -> false);
      CommandList.Commands read = CommandList.commands(table, table.guess(), "inkwell");
      assertThat(read.commands()).extracting(c -> c.name()).containsExactly("Save", "Stamp");
      assertThat(read.commands().getFirst().menuPath()).containsExactly("File", "Save");
      assertThat(read.commands().getFirst().usesPerWeek()).isEqualTo(12);
      assertThat(read.commands().getLast().danger()).isEqualTo(foldtwice.place.Danger.PRINTS);
      assertThat(read.faults())
          .singleElement()
          .satisfies(f -> assertThat(f.expected()).contains("a name or a menu path"));
    }
  }

  @org.junit.jupiter.params.ParameterizedTest
  @org.junit.jupiter.params.provider.ValueSource(
      strings = {"{}", "[]", "[1]", "{\"commands\": 3}", "[{\"name\": \"a\"", "[{\"name\" 3}]"})
  void jsonThatIsNoListOfCommandsIsRefusedInWords(String json) {
    org.assertj.core.api.Assertions.assertThatThrownBy(
            () ->
                CommandList.read(
                    json.getBytes(java.nio.charset.StandardCharsets.UTF_8), n -> {}, () -> false))
        .isInstanceOf(CommandList.UnreadableException.class)
        .hasMessageMatching("(?s).*(expected|no JSON).*");
  }
}
