package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.binding.Proof;
import foldtwice.describe.Description;
import foldtwice.library.Acceptance;
import foldtwice.library.Edit;
import foldtwice.library.History;
import foldtwice.library.Library;
import foldtwice.library.Outlay;
import foldtwice.library.ProgramFile;
import foldtwice.library.RefusedException;
import foldtwice.library.Rules;
import foldtwice.place.Finding;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.text.Refusals;
import foldtwice.trigger.Trigger;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;

/** One line of the journal. Replaying all of them leads from the file's library to today's. */
sealed interface JournalEntry {

  Edit NOTHING = new Edit.Together(List.of());

  /**
   * An edit was made.
   *
   * @param back the edit that takes it back
   */
  record Made(History.Done done, Edit back) implements JournalEntry {
    /** An edit made on a library. */
    static Made on(Library library, History.Done done) {
      return new Made(done, done.edit().inverse(library));
    }
  }

  /** The last edit was taken back. */
  record Undone(Instant at, String who) implements JournalEntry {}

  /** The edit taken back last was made again. */
  record Redone(Instant at, String who) implements JournalEntry {}

  /**
   * An edit from before the library was opened was taken back, or made again. It says how by
   * itself, whether or not somebody still knows the edit.
   *
   * @param again true when it was made again
   * @param done the edit that does it
   */
  record Across(boolean again, History.Done done, Edit back) implements JournalEntry {}

  /** A binding was seen to fire. */
  record Proven(String binding, Proof proof) implements JournalEntry {}

  /** A program was given something, or has it still while the library changed. */
  record Gave(ProgramFile file) implements JournalEntry {}

  default History on(History history) {
    return switch (this) {
      case Made(History.Done done, Edit back) -> history.with(done);
      case Undone u -> history.undo();
      case Redone r -> history.redo();
      case Across(boolean again, History.Done done, Edit back) -> {
        Optional<Edit> known = again ? history.againFromBefore() : history.backBefore();
        yield known.equals(Optional.of(done.edit()))
            ? (again ? history.redo() : history.undo())
            : history.moved(done.edit());
      }
      case Proven(String binding, Proof proof) -> history.with(binding, proof);
      case Gave(ProgramFile file) -> history.with(file);
    };
  }

  /**
   * The line.
   *
   * @param before the library it applies to; what is as it is there is named only
   */
  default ObjectNode write(Library before) {
    ObjectNode out = Json.object();
    switch (this) {
      case Made(History.Done done, Edit back) -> write(out, done, back);
      case Undone(Instant at, String who) ->
          out.put("undo", true).put("at", at.toString()).put("who", who);
      case Redone(Instant at, String who) ->
          out.put("redo", true).put("at", at.toString()).put("who", who);
      case Across(boolean again, History.Done done, Edit back) ->
          write(out.put("across", again ? "redo" : "undo"), done, back);
      case Proven(String binding, Proof proof) ->
          out.set("proof", BindingJson.write(binding, proof));
      case Gave(ProgramFile file) ->
          out.set("file", ProgramFileJson.write(file, Optional.of(before)));
    }
    return out;
  }

  private static void write(ObjectNode out, History.Done done, Edit back) {
    out.put("at", done.at().toString()).put("who", done.who());
    if (!done.says().isEmpty()) {
      out.put("says", done.says());
    }
    out.set("edit", write(done.edit()));
    out.set("back", write(back));
  }

  static ObjectNode write(Edit edit) {
    ObjectNode out = Json.object();
    switch (edit) {
      case Edit.PutBinding(var binding, int at) ->
          out.put("at", at).set("put", BindingJson.write(binding));
      case Edit.RemoveBinding(String id) -> out.put("remove", id);
      case Edit.PutRoutine(var routine, int at) ->
          out.put("at", at).set("putRoutine", RoutineJson.write(routine));
      case Edit.RemoveRoutine(String id) -> out.put("removeRoutine", id);
      case Edit.PutSurface(var surface, int at) ->
          out.put("at", at)
              .put("list", SurfaceJson.list(surface))
              .set("putSurface", SurfaceJson.write(surface));
      case Edit.RemoveSurface(String id) -> out.put("removeSurface", id);
      case Edit.PutApplication(var application, int at) ->
          out.put("at", at).set("putApplication", PlaceJson.write(application));
      case Edit.RemoveApplication(String id) -> out.put("removeApplication", id);
      case Edit.PutStation(var station, int at) ->
          out.put("at", at).set("putStation", PlaceJson.write(station));
      case Edit.RemoveStation(String id) -> out.put("removeStation", id);
      case Edit.Find(String application, String command, Optional<Finding> finding) -> {
        out.put("application", application).put("find", command);
        finding.ifPresent(f -> out.set("finding", PlaceJson.write(f)));
      }
      case Edit.Remap(String application, String command, List<Trigger> triggers) ->
          out.put("application", application)
              .put("remap", command)
              .set("triggers", TriggerJson.writeAll(triggers));
      case Edit.Use(String application, String command, double timesAWeek) ->
          out.put("application", application).put("use", command).put("usesPerWeek", timesAWeek);
      case Edit.PutFamily(var family, int at) ->
          out.put("at", at).set("putFamily", FamilyJson.write(family));
      case Edit.RemoveFamily(String id) -> out.put("removeFamily", id);
      case Edit.Accept(String conflict, Optional<Acceptance> how) -> {
        out.put("accept", conflict);
        how.ifPresent(a -> out.set("accepted", AcceptanceJson.write(a)));
      }
      case Edit.PutCheck(var check, int at) ->
          out.put("at", at).set("putCheck", CheckJson.write(check));
      case Edit.RemoveCheck(String id) -> out.put("removeCheck", id);
      case Edit.PutProcedure(var procedure, int at) ->
          out.put("at", at).set("putProcedure", PaybackJson.write(procedure));
      case Edit.RemoveProcedure(String id) -> out.put("removeProcedure", id);
      case Edit.Spend(String id, var how) -> {
        out.put("spend", id);
        how.ifPresent(o -> out.set("outlay", PaybackJson.write(o)));
      }
      case Edit.AllowLive(boolean allowed) -> out.put("allowLive", allowed);
      case Edit.Describe(String application, var how) -> {
        out.put("describe", application);
        how.ifPresent(d -> out.set("as", DescriptionJson.write(d)));
      }
      case Edit.Together(List<Edit> edits) -> {
        ArrayNode list = out.putArray("together");
        edits.forEach(e -> list.add(write(e)));
      }
    }
    return out;
  }

  /**
   * A line that may be written, and the state it leads to.
   *
   * @param line laid out when it is asked for, on any thread
   */
  record Proved(Supplier<ObjectNode> line, History after) {}

  /**
   * What comes of this, once the line that is to be written has been read back and found to lead to
   * the same, and to a library that may be. Steps that the library has already are not written and
   * read again for that: each is written by itself.
   *
   * @throws RefusedException when it could not be read, or leads elsewhere
   */
  default Proved proved(History before) {
    Library library = before.library();
    History after = on(before);
    try {
      if (!isReadBack(fresh(library), library) && !leadsTo(after.library(), before)) {
        throw new RefusedException(Refusals.says("library.holds-something-cannot-written"));
      }
    } catch (FormatException e) {
      throw new RefusedException(e.getMessage(), e);
    }
    if (after.library().applications() != library.applications()
        || after.library().descriptions() != library.descriptions()) {
      Rules.dangling(after.library())
          .ifPresent(
              why -> {
                throw new RefusedException(why);
              });
    }
    return new Proved(() -> write(library), after);
  }

  /** Of an edit that was made, the one that takes it back follows; it need not be read. */
  private static boolean isReadBack(JournalEntry entry, Library library) throws FormatException {
    return entry instanceof Made made
        ? readBack(new Made(made.done(), NOTHING), library) instanceof Made read
            && read.done().equals(made.done())
        : readBack(entry, library).equals(entry);
  }

  private boolean leadsTo(Library after, History before) throws FormatException {
    return readBack(this, before.library()).on(before).library().equals(after);
  }

  private static JournalEntry readBack(JournalEntry entry, Library library) throws FormatException {
    return read(In.root(Json.parse(Json.bytes(entry.write(library)))), library);
  }

  /** The same with only what the library does not have yet, as far as that can be told at once. */
  private JournalEntry fresh(Library library) {
    return this instanceof Made(History.Done done, Edit back)
            && done.edit() instanceof Edit.PutRoutine(Routine.Macro macro, int at)
            && library.routines().get(macro.id()) instanceof Routine.Macro known
        ? new Made(
            new History.Done(
                new Edit.PutRoutine(macro.withSteps(fresh(macro, known)), at),
                done.at(),
                done.who(),
                done.says()),
            back)
        : this;
  }

  private static List<Line> fresh(Routine.Macro macro, Routine.Macro known) {
    Set<Line> there = Collections.newSetFromMap(new IdentityHashMap<>());
    there.addAll(known.steps());
    return macro.steps().stream().filter(line -> !there.contains(line)).toList();
  }

  /** Reads a line; arguments are read by the routines of the library it applies to. */
  static JournalEntry read(In in, Library library) throws FormatException {
    if (in.has("undo")) {
      return new Undone(in.has("at") ? at(in) : Instant.EPOCH, in.text("who", ""));
    }
    if (in.has("redo")) {
      return new Redone(in.has("at") ? at(in) : Instant.EPOCH, in.text("who", ""));
    }
    if (in.has("proof")) {
      BindingJson.ProofOf p = BindingJson.proof(in.at("proof"));
      return new Proven(p.binding(), p.proof());
    }
    if (in.has("file")) {
      return new Gave(ProgramFileJson.read(in.at("file"), library.routines(), library.bindings()));
    }
    Edit edit = edit(in.at("edit"), library);
    History.Done done = done(in, edit);
    return in.has("across")
        ? new Across(in.text("across").equals("redo"), done, edit.inverse(library))
        : Made.on(library, done);
  }

  /** Who made an edit, when, and what was said of it. */
  static History.Done done(In in, Edit edit) throws FormatException {
    return new History.Done(edit, at(in), in.text("who", ""), in.text("says", ""));
  }

  private static Instant at(In in) throws FormatException {
    String at = in.text("at");
    try {
      return Instant.parse(at);
    } catch (DateTimeParseException e) {
      FormatException placed =
          in.at("at").fault(Refusals.says("library.expected-iso-instant-found", at));
      placed.initCause(e);
      throw placed;
    }
  }

  /** Reads an edit that applies to a library. */
  static Edit edit(In in, Library library) throws FormatException {
    if (in.has("put")) {
      return new Edit.PutBinding(
          BindingJson.read(in.at("put"), library.routines(), PlaceJson.byId(library.places())),
          in.whole("at"));
    }
    if (in.has("putRoutine")) {
      return new Edit.PutRoutine(RoutineJson.read(in.at("putRoutine")), in.whole("at"));
    }
    if (in.has("removeRoutine")) {
      return new Edit.RemoveRoutine(in.text("removeRoutine"));
    }
    if (in.has("putSurface")) {
      return new Edit.PutSurface(
          SurfaceJson.read(in.at("putSurface"), in.text("list"), PlaceJson.byId(library.places())),
          in.whole("at"));
    }
    if (in.has("putApplication")) {
      return new Edit.PutApplication(
          PlaceJson.application(in.at("putApplication")), in.whole("at"));
    }
    if (in.has("removeApplication")) {
      return new Edit.RemoveApplication(in.text("removeApplication"));
    }
    if (in.has("putStation")) {
      return new Edit.PutStation(PlaceJson.station(in.at("putStation")), in.whole("at"));
    }
    if (in.has("removeStation")) {
      return new Edit.RemoveStation(in.text("removeStation"));
    }
    if (in.has("removeSurface")) {
      return new Edit.RemoveSurface(in.text("removeSurface"));
    }
    if (in.has("find")) {
      return new Edit.Find(in.text("application"), in.text("find"), PlaceJson.finding(in));
    }
    if (in.has("remap")) {
      return new Edit.Remap(
          in.text("application"), in.text("remap"), in.list("triggers", TriggerJson::read));
    }
    if (in.has("use")) {
      return new Edit.Use(in.text("application"), in.text("use"), in.number("usesPerWeek", 0));
    }
    if (in.has("putFamily")) {
      return new Edit.PutFamily(FamilyJson.read(in.at("putFamily")), in.whole("at"));
    }
    if (in.has("removeFamily")) {
      return new Edit.RemoveFamily(in.text("removeFamily"));
    }
    if (in.has("accept")) {
      Optional<Acceptance> how =
          in.has("accepted")
              ? Optional.of(AcceptanceJson.read(in.at("accepted")))
              : Optional.empty();
      String conflict = in.text("accept");
      return in.placing(() -> new Edit.Accept(conflict, how));
    }
    if (in.has("putCheck")) {
      return new Edit.PutCheck(CheckJson.read(in.at("putCheck")), in.whole("at"));
    }
    if (in.has("removeCheck")) {
      return new Edit.RemoveCheck(in.text("removeCheck"));
    }
    if (in.has("putProcedure")) {
      return new Edit.PutProcedure(PaybackJson.procedure(in.at("putProcedure")), in.whole("at"));
    }
    if (in.has("removeProcedure")) {
      return new Edit.RemoveProcedure(in.text("removeProcedure"));
    }
    if (in.has("spend")) {
      Optional<Outlay> how =
          in.has("outlay") ? Optional.of(PaybackJson.outlay(in.at("outlay"))) : Optional.empty();
      String id = in.text("spend");
      return in.placing(() -> new Edit.Spend(id, how));
    }
    if (in.has("allowLive")) {
      return new Edit.AllowLive(in.flag("allowLive"));
    }
    if (in.has("describe")) {
      Optional<Description> how =
          in.has("as") ? Optional.of(DescriptionJson.read(in.at("as"))) : Optional.empty();
      String application = in.text("describe");
      return in.placing(() -> new Edit.Describe(application, how));
    }
    if (in.has("together")) {
      Library[] then = {library}; // each is read by the routines the ones before it leave
      return new Edit.Together(
          in.list(
              "together",
              e -> {
                Edit one = edit(e, then[0]);
                then[0] = one.on(then[0]);
                return one;
              }));
    }
    return new Edit.RemoveBinding(in.text("remove"));
  }
}
