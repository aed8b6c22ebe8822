package foldtwice.library.file;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.Fixture;
import foldtwice.conflict.Auditor;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * What is odd and yet comes into a file: refused with its place, or kept, and told where it keeps
 * something from working. The policy is in docs/file-format.md, "What is odd".
 */
class OddInputTest {

  private static final ObjectMapper JSON = new ObjectMapper();

  private static final String BARE =
      """
      {"format": "fold-twice-library", "version": 1, "name": "odd",
       "applications": [{"id": "app", "name": "App", "version": "1",
         "contexts": [{"id": "sheet", "name": "Sheet"}], "commands": []}],
       "stations": [{"id": "s", "name": "S", "layout": "us"}],
       "routines": [{"id": "r", "kind": "macro", "name": "R", "application": "app", "steps": []}],
       "families": [], "proofs": [], "accepted": [], "files": [], "checks": [],
       "bindings": [{"id": "b", "routine": "r", "place": "app", "triggers": [{"keys": ["CTRL+F5"]}]}]}
      """;

  @ParameterizedTest(name = "{0}: {1}")
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        // where | what | refused where, and with what words in it
        "/bindings/0/triggers/0 | {'keys': ['F5'], 'padKey': 'k', 'device': 'p'} | /bindings/0/triggers/0: | one kind, found keys and padKey",
        "/bindings/0/triggers/0 | {'atStart': true, 'toolbar': 'b', 'slot': 1} | /bindings/0/triggers/0: | one kind, found toolbar and atStart",
        "/bindings/0/triggers/0 | {'keys': []} | /bindings/0/triggers/0/keys: | one to 6 strokes",
        "/bindings/0/triggers/0 | {'press': 'x'} | /bindings/0/triggers/0: | one of keys, held, padKey",
        "/bindings/0/triggers/0 | {'keys': ['[NoSuchKey]']} | /bindings/0/triggers/0/keys/0: | a W3C code value",
        "/bindings/0/triggers/0 | {'keys': ['nosuchkey']} | /bindings/0/triggers/0/keys/0: | an XKB keysym name",
        "/bindings/0/triggers/0 | {'toolbar': 'bar', 'slot': 0} | /bindings/0/triggers/0/slot: | counted from 1",
        "/bindings/0/usesPerWeek | -1 | /bindings/0/usesPerWeek: | 0 or more",
        "/bindings/0/repeats | 100 | /bindings/0: | 0 to 30",
        "/bindings/0/place | 'nowhere' | /bindings/0/place: | as listed in this file",
        "/applications/0/id | 'a/b' | /applications/0/id: | without a slash",
        "/applications/0/contexts/0/id | 'a+b' | /applications/0/contexts/0/id: | without a plus",
        "/applications/0/contexts/0/inner | [{'id': 'sheet', 'name': 'In'}] | /applications/0/contexts: | the same id",
        "/routines/0/parameters | [{'name': 'n', 'kind': 'count', 'least': 5, 'most': 1, 'default': '3'}] | /routines/0/parameters/0/least: | 1 or less, found 5",
        "/routines/0/parameters | [{'name': 'n', 'kind': 'choice', 'options': [], 'default': ''}] | /routines/0/parameters/0/options: | an option",
        "/routines/0/parameters | [{'name': 'n', 'kind': 'text', 'default': ''}, {'name': 'n', 'kind': 'text', 'default': ''}] | /routines/0/parameters/1: | stands twice",
        "/stations/0/layout | 'xx' | /stations/0/layout: | one of the layouts",
        "/stations/0/shape | 'xx' | /stations/0/shape: | one of iso",
        "/devices | [{'id': 'd', 'name': 'D', 'keys': [{'id': 'k', 'x': 0, 'y': 0}, {'id': 'k', 'x': 1, 'y': 0}]}] | /devices/0/keys/1: | stands twice",
      })
  void refused(String path, String value, String where, String words) throws Exception {
    assertThat(read(path, value)).startsWith(where).contains(words);
  }

  /** What is kept, and the kinds of conflicts it is told as; none where it harms nobody. */
  @ParameterizedTest(name = "{0}: {1}")
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "/bindings/0/triggers/0 | {'keys': ['XF86Launch5']} | untypeable",
        "/bindings/0/triggers/0 | {'keys': ['[MediaPlayPause]']} | none",
        "/bindings/0/triggers/0 | {'keys': ['[F24]']} | untypeable",
        "/bindings/0/triggers | [{'keys': ['F5']}, {'keys': ['F5']}] | none",
        "/bindings/0/triggers/0 | {'atStart': true} | none",
        "/bindings/0/parked | [{'keys': ['CTRL+F5']}] | none",
        "/bindings/0/way | 'none' | missing",
        "/bindings/0/arguments | {'x': '1'} | missing",
        "/bindings/0/routine | 'gone' | missing",
        "/bindings/0/id | 'a/b+c' | none",
        "/bindings/0/triggers/0 | {'padKey': 'k', 'device': 'gone'} | missing",
        "/applications/0/contexts/0/id | 'a/b' | none",
        "/applications/0/contexts/0/inner | [{'id': 'in', 'name': 'In', 'byPointer': true}] | none",
        "/applications/0/rules | [{'rule': 'most-strokes', 'count': 0}] | not-accepted",
        "/applications/0/rules | [{'rule': 'never-keys', 'keysyms': ['nosuch']}] | none",
        "/applications/0/rules | [{'rule': 'always-holds', 'modifiers': []}] | not-accepted",
        "/applications/0/rules | [{'rule': 'most-strokes', 'count': 0, 'contexts': ['gone']}] | none",
        "/routines/0/application | 'gone' | missing",
        "/routines/0/parameters | [{'name': 'n', 'kind': 'choice', 'options': ['a', 'a'], 'default': 'a'}] | none",
        "/families | [{'id': 'f', 'name': 'F', 'members': ['b', 'gone', 'b'], 'pattern': {'neighbours': 'F5'}}] | none",
        "/stations/0/devices | ['gone'] | none",
        "/stations/0/installed | [{'application': 'gone', 'version': '1'}] | none",
        "/proofs | [{'binding': 'gone', 'at': '2026-01-01T00:00:00Z', 'fingerprint': '00'}] | none",
        "/accepted | [{'conflict': 'gone', 'reason': 'x', 'at': '2026-01-01T00:00:00Z'}] | none",
        "/files | [{'station': 'gone', 'application': 'app', 'entries': []}] | none",
        "/checks | [{'id': 'c', 'station': 'gone', 'place': 'app', 'presses': [{'keys': ['F5']}], 'expect': {'fires': 'b'}}] | none",
      })
  void kept(String path, String value, String told) throws Exception {
    assertThat(read(path, value)).isEqualTo("kept");
    Library library = LibraryJson.read(changed(path, value));
    List<Conflict> found = Auditor.audit(Subject.of(library, Fixture.keymap(library)));
    assertThat(found.isEmpty() ? "none" : found.getFirst().kind().id()).isEqualTo(told);
    Library again = LibraryJson.read(LibraryJson.write(library).getBytes(StandardCharsets.UTF_8));
    assertThat(again).isEqualTo(library);
  }

  private static String read(String path, String value) throws Exception {
    try {
      LibraryJson.read(changed(path, value));
      return "kept";
    } catch (FormatException e) {
      return e.getMessage();
    }
  }

  private static byte[] changed(String path, String value) throws Exception {
    ObjectNode all = (ObjectNode) JSON.readTree(BARE);
    int cut = path.lastIndexOf('/');
    JsonNode in = all.at(path.substring(0, cut));
    JsonNode is = JSON.readTree(value.replace('\'', '"'));
    if (in instanceof ArrayNode list) {
      list.set(Integer.parseInt(path.substring(cut + 1)), is);
    } else {
      ((ObjectNode) in).set(path.substring(cut + 1), is);
    }
    return all.toString().getBytes(StandardCharsets.UTF_8);
  }
}
