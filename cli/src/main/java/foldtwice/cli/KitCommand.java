package foldtwice.cli;

import foldtwice.conflict.Audit;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Weight;
import foldtwice.handover.Kit;
import foldtwice.handover.KitShelf;
import foldtwice.handover.Landing;
import foldtwice.handover.Taking;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.library.RefusedException;
import foldtwice.library.file.Disk;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryStore;
import foldtwice.merge.Contradiction;
import foldtwice.merge.Differing;
import foldtwice.place.Station;
import foldtwice.ready.Wait;
import foldtwice.routine.Routine;
import foldtwice.sheet.About;
import foldtwice.text.DiskWords;
import foldtwice.words.MergeWords;
import foldtwice.words.Words;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "kit",
    description =
        "Kits: a choice of bindings and routines with all they need, as one file for another library.",
    subcommands = {KitCommand.Make.class, KitCommand.Show.class, KitCommand.Take.class})
final class KitCommand implements Runnable {

  @Spec private CommandSpec spec;

  @Override
  public void run() {
    throw new ParameterException(spec.commandLine(), "which one? make, show or take");
  }

  private static Kit read(Path file) throws Unusable {
    try {
      if (Files.size(Input.there(file)) > Kit.MOST_BYTES) {
        throw new Unusable(file + ": a kit has at most " + (Kit.MOST_BYTES >> 20) + " MB");
      }
      return Kit.read(Files.readAllBytes(file));
    } catch (FormatException e) {
      throw new Unusable(file + ", " + e.getMessage(), e);
    } catch (IOException e) {
      throw new Unusable(file + " cannot be read: " + DiskWords.reason(e), e);
    }
  }

  @Command(
      mixinStandardHelpOptions = true,
      name = "make",
      description = {
        "Makes a kit of what is bound in a program, on a device, by a family, a procedure or a routine.",
        "Exit 0: it is there; 1: it is there, and a licence sets conditions on sharing; 2: input not"
            + " usable, nothing written."
      })
  static final class Make implements Callable<Integer> {

    @Mixin private Input input;

    @Option(
        names = "--of",
        paramLabel = "WHAT",
        required = true,
        description =
            "a program, device, family, procedure or routine by its name or id; may be given again")
    private List<String> of;

    @Option(
        names = "--out",
        paramLabel = "FILE",
        required = true,
        description = "such as labels.json")
    private Path out;

    @Option(names = "--name", description = "the kit's name; what it is of unless given")
    private String name;

    @Option(
        names = "--id",
        description = "what makes two kits versions of the same; from the name unless given")
    private String id;

    @Option(names = "--release", defaultValue = "", description = "which version of it this is")
    private String release;

    @Option(names = "--from", description = "whoever made it; the system's user unless given")
    private String from;

    @Option(
        names = "--licence",
        defaultValue = "",
        description = "an SPDX identifier or expression")
    private String licence;

    @Option(names = "--notes", defaultValue = "", description = "for whoever takes it")
    private String notes;

    @Spec private CommandSpec spec;

    @Override
    public Integer call() throws Unusable {
      Library library = input.library();
      List<About> chosen = new ArrayList<>();
      for (String one : of) {
        chosen.add(SheetCommand.about(library, one));
      }
      String called = name == null ? String.join(", ", of) : name;
      Lines err = new Lines(spec.commandLine().getErr());
      try {
        Kit.Choice choice = Kit.choose(library, chosen);
        if (choice.library().routines().isEmpty() && choice.library().surfaces().isEmpty()) {
          throw new Unusable("there would be nothing in it: nothing is bound there");
        }
        Kit kit =
            new Kit(
                new Kit.Card(
                    called,
                    release,
                    from == null ? System.getProperty("user.name", "") : from,
                    licence,
                    notes),
                id == null ? Ids.of(called, "kit") : id,
                choice.library());
        byte[] document = kit.write().getBytes(StandardCharsets.UTF_8);
        var unused = Kit.read(document); // what is written now opens
        Disk.replace(out, document);
        new Lines(spec.commandLine().getOut())
            .line(
                "%s: %s bindings, %s routines",
                out.toString(),
                String.valueOf(kit.library().bindings().size()),
                String.valueOf(kit.library().routines().size()));
        choice
            .along()
            .forEach(
                a ->
                    err.line(
                        "along: %s %s, for %s %s",
                        a.list(), a.id(), a.becauseList(), a.becauseId()));
        for (Routine r : choice.conditions()) {
          err.line(
              "licence: %s, from %s: %s",
              r.name(),
              r.origin().from(),
              r.origin().licence().isEmpty() ? "none is named" : r.origin().licence());
        }
        return choice.conditions().isEmpty() ? Exit.WELL : Exit.NO;
      } catch (FormatException e) {
        throw new Unusable("this makes no kit: " + e.getMessage(), e);
      } catch (IOException e) {
        throw new Unusable(out + " cannot be written: " + DiskWords.reason(e), e);
      }
    }
  }

  @Command(
      mixinStandardHelpOptions = true,
      name = "show",
      description = "Tells what is in a kit. Exit 0; 2: input not usable.")
  static final class Show implements Callable<Integer> {

    @Parameters(index = "0", paramLabel = "KIT", description = "the kit's file")
    private Path file;

    @Spec private CommandSpec spec;

    @Override
    public Integer call() throws Unusable {
      Kit kit = read(file);
      Lines out = new Lines(spec.commandLine().getOut());
      Kit.Card card = kit.card();
      out.line("%s %s", card.name(), card.release());
      out.line(
          "from %s, licence %s",
          card.from(), card.licence().isEmpty() ? "not said" : card.licence());
      if (!card.notes().isEmpty()) {
        out.line("%s", card.notes());
      }
      Words words = new Words(kit.library());
      kit.library()
          .bindings()
          .values()
          .forEach(
              b ->
                  out.line(
                      "%-24s %s, %s",
                      b.triggers().isEmpty() ? "" : words.trigger(b.triggers().getFirst()),
                      words.binding(b),
                      words.place(b.place())));
      kit.library().routines().values().forEach(r -> out.line("%-24s %s", "routine", r.name()));
      return Exit.WELL;
    }
  }

  @Command(
      mixinStandardHelpOptions = true,
      name = "take",
      description = {
        "Takes a kit into a library: tells what is new and what changes, what would conflict on the"
            + " station, and what has to be done there. Nothing of it runs before somebody has looked"
            + " through it.",
        "Exit 0: taken; 1: taken, with something to look at; 2: input not usable, nothing changed."
      })
  static final class Take implements Callable<Integer> {

    @Mixin private Input input;

    @Parameters(index = "1", paramLabel = "KIT", description = "the kit's file")
    private Path file;

    @Option(names = "--look", description = "tells it and changes nothing")
    private boolean look;

    @Spec private CommandSpec spec;

    @Override
    public Integer call() throws Unusable {
      Kit kit = read(file);
      Library mine = input.library();
      Station station = input.station(mine);
      Path place = input.file();
      try {
        Optional<KitShelf.Taken> last = KitShelf.in(mine, place, kit.id());
        Taking taking =
            Taking.of(
                mine,
                kit,
                last.map(KitShelf.Taken::library),
                last.map(KitShelf.Taken::ids).orElse(Map.of()));
        Landing landing =
            Landing.of(
                Audit.of(Input.subject(mine, station)),
                Audit.of(Input.subject(taking.merged(), station)),
                taking);
        tell(mine, taking, landing);
        if (!look && !taking.rows().isEmpty()) {
          write(place, kit, taking);
        }
        boolean all =
            taking.contradictions().isEmpty()
                && landing.waits().isEmpty()
                && landing.fresh().stream().noneMatch(c -> c.weight() == Weight.BLOCKS);
        return all ? Exit.WELL : Exit.NO;
      } catch (FormatException e) {
        throw new Unusable("the kit makes no library with this one: " + e.getMessage(), e);
      } catch (IOException e) {
        throw new Unusable(e.getMessage(), e);
      }
    }

    private static void write(Path place, Kit kit, Taking taking)
        throws Unusable, IOException, FormatException {
      String who = System.getProperty("user.name", "foldtwice kit");
      try (LibraryStore store = LibraryStore.open(place, who, Clock.systemUTC())) {
        if (!store.mayWrite()) {
          throw new Unusable(place + " is open, by " + store.holder() + "; close it there first");
        }
        var unused =
            store
                .make(
                    taking.edit(),
                    ("Kit taken: " + kit.card().name() + " " + kit.card().release()).strip())
                .get();
        KitShelf.keep(store.file(), kit, taking.renamed());
      } catch (RefusedException e) {
        throw new Unusable("the kit is refused: " + e.getMessage(), e);
      } catch (ExecutionException | InterruptedException e) {
        throw new Unusable("the library cannot be written: " + DiskWords.says(e), e);
      }
    }

    private void tell(Library mine, Taking taking, Landing landing) {
      Lines out = new Lines(spec.commandLine().getOut());
      MergeWords words = new MergeWords(new Words(mine), new Words(taking.merged()));
      for (Differing.Row row : taking.rows()) {
        out.line("%-8s %s", MergeWords.how(row.how()), words.of(row));
      }
      out.line("%s the same already", String.valueOf(taking.same()));
      taking.renamed().forEach((was, id) -> out.line("%s is another here: it is %s", was, id));
      Lines err = new Lines(spec.commandLine().getErr());
      for (Contradiction c : taking.contradictions()) {
        err.line("%s", words.of(c));
      }
      Words said = new Words(taking.merged());
      for (Conflict c : landing.fresh()) {
        err.line("%s: %s", Words.weight(c.weight()), said.sentence(c));
      }
      for (Landing.Waiting w : landing.waits()) {
        for (Wait wait : w.what()) {
          err.line("%s: %s", said.binding(w.binding()), said.wait(wait));
        }
      }
    }
  }
}
