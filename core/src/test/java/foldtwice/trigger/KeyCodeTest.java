package foldtwice.trigger;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class KeyCodeTest {

  /** Source: Debian linux-libc-dev, input-event-codes.h; the table names its version. */
  @Test
  void eventCodesAreThoseOfLinux() throws IOException {
    List<String> rows;
    try (var in = KeyCodeTest.class.getResourceAsStream("input-event-codes.tsv")) {
      rows =
          new String(in.readAllBytes(), StandardCharsets.UTF_8)
              .lines()
              .filter(l -> !l.startsWith("#"))
              .toList();
    }
    assertThat(rows).hasSize(KeyCode.values().length);
    for (String row : rows) {
      String[] f = row.split("\t", -1);
      assertThat(KeyCode.of(f[0]).orElseThrow().evdev()).as(f[0]).isEqualTo(Integer.parseInt(f[2]));
    }
  }

  /** Source: USB HID Usage Tables, page 0x07, from memory. */
  @ParameterizedTest
  @CsvSource({
    "KeyA,4",
    "KeyZ,29",
    "Digit1,30",
    "Digit0,39",
    "Enter,40",
    "F1,58",
    "F12,69",
    "F13,104",
    "F24,115",
    "ControlLeft,224",
    "MetaRight,231"
  })
  void usagesAreThoseOfTheHidTables(String code, int usage) {
    assertThat(KeyCode.of(code).orElseThrow().usage()).isEqualTo(usage);
  }

  @Test
  void everyUsageAndEventCodeIsUsedOnce() {
    assertThat(List.of(KeyCode.values())).extracting(KeyCode::usage).doesNotHaveDuplicates();
    assertThat(List.of(KeyCode.values())).extracting(KeyCode::evdev).doesNotHaveDuplicates();
  }

  /** Source: XKB, the keycode is the event code plus eight; AD01 of xkb-data is 24. */
  @Test
  void xkbKeycodesAreEightMore() {
    assertThat(KeyCode.KEY_Q.xkb()).isEqualTo(24);
  }
}
