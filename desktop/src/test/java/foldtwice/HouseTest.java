package foldtwice;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.ArchConfiguration;
import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.Dependency;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import foldtwice.desktop.App;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The arrows of the house run one way. Runs before everything else. */
class HouseTest {

  private static final JavaClasses HOUSE = house();

  /** What others have made is asked for its name and package only, and not read. */
  private static JavaClasses house() {
    ArchConfiguration.get().setResolveMissingDependenciesFromClassPath(false);
    return new ClassFileImporter()
        .withImportOption(new ImportOption.DoNotIncludeTests())
        .importPackages("foldtwice");
  }

  /**
   * The floors of the house, lowest first. What lies on one floor may know of lower floors and of
   * nothing else; rooms of one floor know nothing of each other.
   */
  private static final List<List<String>> FLOORS =
      List.of(
          // core
          List.of("text"),
          List.of("extras"),
          List.of("trigger"),
          List.of("place"),
          List.of("surface"),
          List.of("routine"),
          List.of("sql"),
          List.of("known"),
          List.of("describe"),
          List.of("outline"),
          List.of("source"),
          List.of("reading"),
          List.of("writing"),
          List.of("binding"),
          List.of("library"),
          List.of("fold", "table"),
          List.of("collecting"),
          List.of("resolve"),
          List.of("effort"),
          List.of("ready"),
          List.of("conflict"),
          List.of("suggest"),
          List.of("family", "plan"),
          List.of("remedy"),
          List.of("atlas"),
          List.of("run"),
          List.of("check"),
          List.of("fit"),
          List.of("cage"),
          List.of("script"),
          List.of("recording"),
          List.of("merge"),
          List.of("words"),
          List.of("sheet"),
          List.of("handover"),
          // programs: stand-ins, and real ones
          List.of("standin", "live"),
          // the command line, and the desktop floor by floor
          List.of("cli"),
          List.of("desktop.session"),
          List.of("desktop.parts"),
          List.of("desktop.view", "desktop.standin"),
          List.of(
              "desktop.places",
              "desktop.collect",
              "desktop.bind",
              "desktop.atlas",
              "desktop.conflicts",
              "desktop.trying",
              "desktop.live",
              "desktop.plan",
              "desktop.payback",
              "desktop.handover",
              "desktop.begin"),
          List.of("desktop.frame"),
          List.of("desktop.pictures"),
          List.of("desktop"));

  private record At(int floor, String room) {}

  /** The room a class is in: the longest name of a room that its package begins with. */
  private static At at(JavaClass c) {
    String name = c.getPackageName().substring("foldtwice.".length()) + ".";
    At found = new At(-1, "");
    for (int floor = 0; floor < FLOORS.size(); floor++) {
      for (String room : FLOORS.get(floor)) {
        boolean deeper = room.length() > found.room.length();
        if (name.startsWith(room + ".")
            && deeper
            && !(room.equals("desktop") && name.length() > 8)) {
          found = new At(floor, room);
        }
      }
    }
    return found;
  }

  @Test
  void everyRoomIsKnownAndKnowsOnlyOfLowerOnes() {
    TreeSet<String> unknown = new TreeSet<>();
    TreeSet<String> wrong = new TreeSet<>();
    for (JavaClass c : HOUSE) {
      At from = at(c);
      if (from.floor < 0) {
        unknown.add(c.getPackageName());
        continue;
      }
      for (Dependency d : c.getDirectDependenciesFromSelf()) {
        JavaClass other = d.getTargetClass().getBaseComponentType();
        if (!other.getPackageName().startsWith("foldtwice.")) {
          continue;
        }
        At to = at(other);
        boolean inside = to.room.equals(from.room);
        if (!inside && to.floor >= from.floor) {
          wrong.add(c.getName() + " knows of " + other.getName());
        }
      }
    }
    assertThat(unknown).as("rooms that have no floor").isEmpty();
    assertThat(wrong).as("arrows upwards or across a floor").isEmpty();
  }

  @Test
  void packagesAreFreeOfCircles() {
    slices().matching("foldtwice.(**)").should().beFreeOfCycles().check(HOUSE);
  }

  @Test
  void belowTheDesktopNothingKnowsOfAnInterface() {
    noClasses()
        .that()
        .resideOutsideOfPackage("foldtwice.desktop..")
        .should()
        .dependOnClassesThat(resideInAnyPackage("javafx..", "java.awt..", "javax.swing.."))
        .check(HOUSE);
  }

  /**
   * What goes wrong is shown, logged or thrown; nothing is printed while somebody looks for a
   * fault.
   */
  @Test
  void nothingPrintsAStackOfItself() {
    noClasses()
        .should()
        .callMethodWhere(
            DescribedPredicate.describe(
                "prints a stack",
                call ->
                    call.getName().equals("printStackTrace")
                        && call.getTarget().getRawParameterTypes().isEmpty()))
        .check(HOUSE);
  }

  /** Who looks at the window sits before a keyboard: keys are called by what is printed there. */
  @Test
  void theDesktopHasNoWordsWithoutAKeyboard() {
    noClasses()
        .that()
        .resideInAPackage("foldtwice.desktop..")
        .should()
        .callConstructor(foldtwice.words.Words.class, foldtwice.library.Library.class)
        .check(HOUSE);
  }

  @Test
  void theImportFoundTheHouse() {
    assertThat(HOUSE).hasSizeGreaterThan(150);
    assertThat(HOUSE.contain(App.class)).isTrue();
  }

  /** Programs of the demo are known to their stand-ins alone; the pictures are of the demo. */
  @Test
  void noProgramOfTheDemoIsNamedElsewhere() throws java.io.IOException {
    Pattern named =
        Pattern.compile(
            "\"[^\"\n]*\\b(vasculum|tagpress|muniment|copystand|trackway|box-selected)\\b[^\"\n]*\"");
    List<String> found = new ArrayList<>();
    Path root = Path.of(System.getProperty("project.root"));
    for (String module : List.of("core", "standins", "live", "cli", "desktop")) {
      try (Stream<Path> files = Files.walk(root.resolve(module).resolve("src/main/java"))) {
        for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
          String path = root.relativize(file).toString().replace('\\', '/');
          boolean own =
              path.matches("standins/.*/standin/[a-z]+/.*") || path.contains("/pictures/");
          named
              .matcher(Files.readString(file))
              .results()
              .filter(m -> !own)
              .forEach(m -> found.add(path + ": " + m.group()));
        }
      }
    }
    assertThat(found).isEmpty();
  }
}
