package foldtwice.library.file;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.binding.Proof;
import foldtwice.describe.Description;
import foldtwice.library.Acceptance;
import foldtwice.library.Library;
import foldtwice.library.Outlay;
import foldtwice.library.PressCheck;
import foldtwice.library.Procedure;
import foldtwice.library.ProgramFile;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.routine.Routine;
import foldtwice.text.Refusals;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A whole library as JSON and back.
 *
 * <p>Laws: {@code read(write(l)).equals(l)}; {@code write(read(write(l))).equals(write(l))}; fields
 * of the same format version that this code does not know survive both.
 */
public final class LibraryJson {

  /** What the field {@code format} says. */
  public static final String FORMAT = "fold-twice-library";

  /** The newest version of the format this code reads, and the one it writes. */
  public static final int VERSION = 1;

  private static final Set<String> LIBRARY =
      Set.of(
          "format",
          "version",
          "name",
          "applications",
          "stations",
          "devices",
          "toolbars",
          "menus",
          "offerings",
          "routines",
          "bindings",
          "families",
          "accepted",
          "proofs",
          "files",
          "checks",
          "procedures",
          "outlays",
          "live",
          "descriptions");

  private LibraryJson() {}

  /**
   * Reads a library.
   *
   * @throws FormatException when the document is broken, foreign, or of a newer version; nothing is
   *     half-read
   */
  public static Library read(byte[] document) throws FormatException {
    return read(document, Aside.strict());
  }

  /**
   * The fields of a library that this version does not know.
   *
   * @throws FormatException when it cannot be read at all
   */
  public static List<UnknownField> unknown(byte[] document) throws FormatException {
    Aside aside = Aside.strict();
    var unused = read(document, aside);
    return List.copyOf(aside.unknown());
  }

  /** Reads a library; in a lenient reading without what cannot be read. */
  static Library read(byte[] document, Aside aside) throws FormatException {
    JsonNode tree = Json.parse(document);
    In in = In.root(tree, aside);
    if (!tree.isObject() || !in.has("format") || !in.text("format").equals(FORMAT)) {
      throw in.fault(Refusals.says("library.no-library-file", FORMAT));
    }
    int version = in.whole("version");
    if (version > VERSION || version < 1) {
      throw in.at("version")
          .fault(
              version > VERSION
                  ? Refusals.says("library.newer-version", version, VERSION)
                  : Refusals.says("library.no-such-version", version, VERSION));
    }
    Map<String, Routine> routines = in.byId("routines", RoutineJson::read, Routine::id);
    LinkedHashMap<String, Proof> proofs = new LinkedHashMap<>();
    for (BindingJson.ProofOf p : in.list("proofs", BindingJson::proof)) {
      proofs.put(p.binding(), p.proof());
    }
    LinkedHashMap<String, Application> applications =
        in.byId("applications", PlaceJson::application, Application::id);
    List<Place> all = new ArrayList<>(List.of(new Place.Everywhere()));
    applications.values().forEach(a -> all.addAll(a.places()));
    Map<String, Place> places = PlaceJson.byId(all);
    LinkedHashMap<String, Binding> bindings =
        in.byId("bindings", b -> BindingJson.read(b, routines, places), Binding::id);
    return new Library(
        in.text("name"),
        applications,
        in.byId("stations", PlaceJson::station, Station::id),
        SurfaceJson.all(in, places),
        routines,
        bindings,
        in.byId("families", FamilyJson::read, Family::id),
        in.byId("accepted", AcceptanceJson::read, Acceptance::conflict),
        proofs,
        in.byId("files", f -> ProgramFileJson.read(f, routines, bindings), ProgramFile::id),
        in.byId("checks", CheckJson::read, PressCheck::id),
        in.byId(
            "descriptions",
            d -> DescriptionJson.of(d, applications.keySet()),
            Description::application),
        in.byId("procedures", PaybackJson::procedure, Procedure::id),
        in.byId("outlays", PaybackJson::outlay, Outlay::id),
        !in.has("live") || in.flag("live"),
        in.rest(LIBRARY));
  }

  /** The document, in stable order, ending in a line feed. */
  public static String write(Library library) {
    return Json.print(tree(library, Optional.of(library)));
  }

  /**
   * The document as a tree in which no part is said by another: what programs have in their files
   * is told in full.
   */
  public static ObjectNode tree(Library library) {
    return tree(library, Optional.empty());
  }

  private static ObjectNode tree(Library library, Optional<Library> told) {
    ObjectNode out = Json.object().put("format", FORMAT).put("version", VERSION);
    out.put("name", library.name());
    ArrayNode applications = out.putArray("applications");
    library.applications().values().forEach(a -> applications.add(PlaceJson.write(a)));
    ArrayNode stations = out.putArray("stations");
    library.stations().values().forEach(s -> stations.add(PlaceJson.write(s)));
    SurfaceJson.write(library.surfaces().values(), out);
    ArrayNode routines = out.putArray("routines");
    library.routines().values().forEach(r -> routines.add(RoutineJson.write(r)));
    ArrayNode bindings = out.putArray("bindings");
    library.bindings().values().forEach(b -> bindings.add(BindingJson.write(b)));
    if (!library.families().isEmpty()) {
      ArrayNode families = out.putArray("families");
      library.families().values().forEach(f -> families.add(FamilyJson.write(f)));
    }
    if (!library.accepted().isEmpty()) {
      ArrayNode accepted = out.putArray("accepted");
      library.accepted().values().forEach(a -> accepted.add(AcceptanceJson.write(a)));
    }
    if (!library.proofs().isEmpty()) {
      ArrayNode proofs = out.putArray("proofs");
      library.proofs().forEach((b, p) -> proofs.add(BindingJson.write(b, p)));
    }
    if (!library.files().isEmpty()) {
      ArrayNode files = out.putArray("files");
      library.files().values().forEach(f -> files.add(ProgramFileJson.write(f, told)));
    }
    if (!library.checks().isEmpty()) {
      ArrayNode checks = out.putArray("checks");
      library.checks().values().forEach(c -> checks.add(CheckJson.write(c)));
    }
    if (!library.descriptions().isEmpty()) {
      ArrayNode descriptions = out.putArray("descriptions");
      library.descriptions().values().forEach(d -> descriptions.add(DescriptionJson.write(d)));
    }
    if (!library.procedures().isEmpty()) {
      ArrayNode procedures = out.putArray("procedures");
      library.procedures().values().forEach(p -> procedures.add(PaybackJson.write(p)));
    }
    if (!library.outlays().isEmpty()) {
      ArrayNode outlays = out.putArray("outlays");
      library.outlays().values().forEach(o -> outlays.add(PaybackJson.write(o)));
    }
    if (!library.live()) {
      out.put("live", false);
    }
    return Json.with(library.extras(), out);
  }

  static void putNumber(ObjectNode out, String name, double number) {
    if (number == Math.rint(number) && Math.abs(number) < 1e15) {
      out.put(name, (long) number);
    } else {
      out.put(name, number);
    }
  }
}
