package foldtwice.standin.sketch;

import foldtwice.describe.Description;
import foldtwice.known.Facts;
import foldtwice.place.Application;
import foldtwice.standin.base.Edition;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** How much of a program its description tells. */
final class Told {

  private Told() {}

  /** Of what is described in any version, with any add-on, the rest is not there. */
  static Set<Facts.Aspect> of(Application of, Description described, Edition edition) {
    Set<Facts.Aspect> told = EnumSet.noneOf(Facts.Aspect.class);
    tell(
        told, Facts.Aspect.COMMANDS, of.commands().stream().anyMatch(c -> !c.menuPath().isEmpty()));
    tell(told, Facts.Aspect.DIALOGS, !described.dialogs().isEmpty());
    tell(told, Facts.Aspect.SETTINGS, !described.settings().isEmpty());
    tell(told, Facts.Aspect.VALUES, !described.values().isEmpty());
    tell(told, Facts.Aspect.ADD_ONS, !described.addOns().isEmpty() || !edition.addOns().isEmpty());
    return told;
  }

  private static void tell(Set<Facts.Aspect> told, Facts.Aspect aspect, boolean described) {
    if (described) {
      told.add(aspect);
    }
  }

  /** The adjustable values of a version, one of each name. */
  static List<Description.Adjustable> values(Description described, String version) {
    Set<String> names = new HashSet<>();
    return described.values().stream()
        .filter(v -> v.span().has(version) && names.add(v.name()))
        .toList();
  }
}
