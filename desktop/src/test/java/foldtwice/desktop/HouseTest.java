package foldtwice.desktop;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The arrows of the house run one way. */
class HouseTest {

  private static final JavaClasses HOUSE =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("foldtwice");

  private static final String[] CORE = {
    "foldtwice.trigger..",
    "foldtwice.place..",
    "foldtwice.routine..",
    "foldtwice.shape..",
    "foldtwice.binding..",
    "foldtwice.library..",
    "foldtwice.surface..",
    "foldtwice.resolve..",
    "foldtwice.ready..",
    "foldtwice.conflict..",
    "foldtwice.suggest..",
    "foldtwice.family..",
    "foldtwice.remedy..",
    "foldtwice.atlas..",
    "foldtwice.fit..",
    "foldtwice.run..",
    "foldtwice.check..",
    "foldtwice.recording..",
    "foldtwice.sql..",
    "foldtwice.fold..",
    "foldtwice.collecting..",
    "foldtwice.script..",
    "foldtwice.extras..",
    "foldtwice.words.."
  };

  @Test
  void arrowsRunFromDesktopAndCommandLineToStandInsToCore() {
    layeredArchitecture()
        .consideringOnlyDependenciesInLayers()
        .layer("core")
        .definedBy(CORE)
        .layer("standins")
        .definedBy("foldtwice.standin..")
        .layer("cli")
        .definedBy("foldtwice.cli..")
        .layer("desktop")
        .definedBy("foldtwice.desktop..")
        .whereLayer("desktop")
        .mayNotBeAccessedByAnyLayer()
        .whereLayer("cli")
        .mayNotBeAccessedByAnyLayer()
        .whereLayer("standins")
        .mayOnlyBeAccessedByLayers("cli", "desktop")
        .check(HOUSE);
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

  /** The rooms of core, lowest first: none knows of one above it. */
  @Test
  void theRoomsOfCoreLieOnOneAnother() {
    String[] rooms = {
      "extras",
      "trigger",
      "place",
      "surface",
      "routine",
      "sql",
      "shape",
      "binding",
      "library",
      "fold",
      "collecting",
      "resolve",
      "ready",
      "conflict",
      "suggest",
      "family",
      "remedy",
      "atlas",
      "run",
      "check",
      "fit",
      "script",
      "recording",
      "words"
    };
    for (int low = 0; low < rooms.length; low++) {
      for (int high = low + 1; high < rooms.length; high++) {
        noClasses()
            .that()
            .resideInAPackage("foldtwice." + rooms[low] + "..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("foldtwice." + rooms[high] + "..")
            .check(HOUSE);
      }
    }
  }

  @Test
  void theImportFoundTheHouse() {
    assertThat(HOUSE).hasSizeGreaterThan(150);
    assertThat(HOUSE.contain(App.class)).isTrue();
  }
}
