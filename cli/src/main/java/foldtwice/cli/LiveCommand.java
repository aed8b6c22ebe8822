package foldtwice.cli;

import foldtwice.binding.Binding;
import foldtwice.known.Facts;
import foldtwice.library.Edit;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.library.RefusedException;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryStore;
import foldtwice.live.Firing;
import foldtwice.live.Live;
import foldtwice.live.bus.BusException;
import foldtwice.live.program.LiveComputer;
import foldtwice.live.program.LiveProgram;
import foldtwice.live.program.LiveRun;
import foldtwice.live.program.Needed;
import foldtwice.live.survey.Describing;
import foldtwice.live.survey.Proposal;
import foldtwice.live.survey.Survey;
import foldtwice.place.Application;
import foldtwice.place.Danger;
import foldtwice.place.Station;
import foldtwice.reading.Risk;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Routine;
import foldtwice.run.Beside;
import foldtwice.run.Status;
import foldtwice.run.Trace;
import foldtwice.script.Ecmascript;
import foldtwice.standin.StandIns;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.words.StepWords;
import java.io.IOException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Function;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "live",
    description =
        "The real programs of this computer: which are running, what they offer, routines run in them,"
            + " keys caught. On Linux with X11.",
    subcommands = {
      LiveCommand.Programs.class,
      LiveCommand.Read.class,
      LiveCommand.RunIt.class,
      LiveCommand.Listen.class
    })
final class LiveCommand implements Runnable {

  @Spec private CommandSpec spec;

  @Override
  public void run() {
    throw new ParameterException(spec.commandLine(), "which one? programs, read, run or listen");
  }

  private static Live open() throws Unusable {
    try {
      return Live.open(Live.Where.HERE);
    } catch (Live.Unavailable e) {
      throw new Unusable(e.getMessage(), e);
    }
  }

  private static Unusable silent(BusException e) {
    return new Unusable("a program does not answer: " + e.getMessage(), e);
  }

  /** What is known of the programs of a library on a station. */
  private static Function<Application, Facts> facts(Library library, Station station) {
    var programs = StandIns.on(station, library);
    return a -> programs.get(a.id()).facts();
  }

  private static LiveComputer computer(
      Live live, Library library, Station station, Input input, List<String> allowed)
      throws Unusable, BusException {
    if (!library.live()) {
      throw new Unusable(
          "nothing of this library may run in real programs: it says \"live\": false");
    }
    Beside beside = input.beside();
    return live.computer(
        library,
        facts(library, station),
        new LiveComputer.Outside(
            beside::file,
            () -> "",
            Optional.of(input.file().getParent()),
            command -> allowed.contains(String.join(" ", command))));
  }

  @Command(
      mixinStandardHelpOptions = true,
      name = "programs",
      description =
          "Lists the running programs that tell of themselves. Exit 0; 2: live is not there.")
  static final class Programs implements Callable<Integer> {

    @Spec private CommandSpec spec;

    @Override
    public Integer call() throws Unusable {
      try (Live live = open()) {
        Lines out = new Lines(spec.commandLine().getOut());
        for (Live.Running r : live.running()) {
          out.line("%-30s %s", r.name(), Long.toString(r.process()));
        }
        return Exit.WELL;
      } catch (BusException e) {
        throw silent(e);
      }
    }
  }

  private static Live.Running running(Live live, String named) throws BusException, Unusable {
    List<Live.Running> all = live.running();
    return all.stream()
        .filter(r -> r.name().equalsIgnoreCase(named) || r.id().equalsIgnoreCase(named))
        .findFirst()
        .orElseThrow(
            () ->
                new Unusable(
                    "no running program \""
                        + named
                        + "\"; there are "
                        + String.join(", ", all.stream().map(Live.Running::name).toList())));
  }

  @Command(
      mixinStandardHelpOptions = true,
      name = "read",
      description = {
        "Reads a running program and tells what is different from what the library says of it.",
        "Exit 0: nothing is different, or it was taken in; 1: something is different; 2: input not"
            + " usable."
      })
  static final class Read implements Callable<Integer> {

    @Mixin private Input input;

    @Parameters(
        index = "1",
        paramLabel = "PROGRAM",
        description = "its name, as 'live programs' tells")
    private String program;

    @Option(names = "--as", paramLabel = "ID", description = "the application of the library it is")
    private String as;

    @Option(names = "--take", description = "takes what is new and changed into the library")
    private boolean take;

    @Option(
        names = "--opening",
        paramLabel = "PATH",
        description =
            "a menu path such as 'File > Print' that opens a dialog to be read too; may be given again")
    private List<String> opening = new ArrayList<>();

    @Spec private CommandSpec spec;

    @Override
    public Integer call() throws Unusable {
      Library library = input.library();
      Lines out = new Lines(spec.commandLine().getOut());
      try (Live live = open()) {
        Live.Running running = running(live, program);
        Survey survey = live.survey(running);
        for (String path : opening) {
          survey = survey.with(live.dialog(running, List.of(path.split("\\s*[>\u203a]\\s*"))));
        }
        Optional<Application> known =
            library.applications().values().stream()
                .filter(a -> as == null ? running.is(a) : a.id().equalsIgnoreCase(as))
                .findFirst();
        if (as != null && known.isEmpty()) {
          throw new Unusable(
              "no application \""
                  + as
                  + "\"; there are "
                  + String.join(", ", library.applications().keySet()));
        }
        Proposal proposal =
            known.isPresent()
                ? Describing.of(known.get(), library.description(known.get().id()), survey)
                : Describing.anew(
                    Ids.free(running.id(), library.applications()::containsKey), survey);
        for (Proposal.Difference d : proposal.differences()) {
          out.line(
              "%-8s %-8s %-40s %s",
              d.fate().name().toLowerCase(Locale.ROOT),
              d.what().name().toLowerCase(Locale.ROOT),
              d.name(),
              d.before().isEmpty() ? d.now() : d.before() + " \u2192 " + d.now());
        }
        if (!survey.twins().isEmpty()) {
          out.line(
              "%s menu items have the path of another; live cannot tell them apart",
              Integer.toString(survey.twins().size()));
        }
        if (take) {
          keep(proposal);
        }
        return take || proposal.differences().isEmpty() ? Exit.WELL : Exit.NO;
      } catch (BusException e) {
        throw silent(e);
      }
    }

    private void keep(Proposal proposal) throws Unusable {
      String id = proposal.application().id();
      try (LibraryStore store =
          LibraryStore.open(input.file(), System.getProperty("user.name", ""), Clock.systemUTC())) {
        store
            .make(
                new Edit.Together(
                    List.of(
                        new Edit.PutApplication(
                            proposal.application(), store.library().applications().size()),
                        new Edit.Describe(id, Optional.of(proposal.description())))),
                "Read " + proposal.application().name() + " as it runs")
            .get();
      } catch (FormatException e) {
        throw new Unusable(e.getMessage(), e);
      } catch (RefusedException e) {
        throw new Unusable("what was read is refused: " + e.getMessage(), e);
      } catch (IOException | ExecutionException | InterruptedException e) {
        throw new Unusable("the library cannot be written: " + e.getMessage(), e);
      }
    }
  }

  @Command(
      mixinStandardHelpOptions = true,
      name = "run",
      description = {
        "Runs a routine in its real program and prints the trace.",
        "Exit 0: it ran through; 1: it failed, or something it needs is not there; 2: input not usable."
      })
  static final class RunIt implements Callable<Integer> {

    @Mixin private Input input;

    @Parameters(index = "1", paramLabel = "ROUTINE", description = "id or name of the routine")
    private String routine;

    @Option(
        names = "--arg",
        paramLabel = "NAME=VALUE",
        description = "an argument, such as dx=0.5mm")
    private Map<String, String> arguments = new LinkedHashMap<>();

    @Option(
        names = "--allow",
        paramLabel = "COMMAND",
        description = "a command line the routine may start; may be given again")
    private List<String> allow = new ArrayList<>();

    @Option(names = "--dry", description = "tells what is lacking, and touches nothing")
    private boolean dry;

    @Option(names = "--format", description = "text or json", defaultValue = "text")
    private Format format;

    @Spec private CommandSpec spec;

    @Override
    public Integer call() throws Unusable {
      Library library = input.library();
      Station station = input.station(library);
      Routine found = Run.routine(library, routine);
      Lines err = new Lines(spec.commandLine().getErr());
      try (Live live = open()) {
        LiveComputer computer = computer(live, library, station, input, allow);
        LiveProgram program = computer.programs().get(found.application());
        if (program == null) {
          throw new Unusable(found.application() + " is not running");
        }
        List<Needed.Lack> lacks = Needed.of(found, program);
        lacks.forEach(
            l -> err.line("step %s: expected %s, found %s", l.number(), l.expected(), l.found()));
        if (dry || !lacks.isEmpty()) {
          return lacks.isEmpty() ? Exit.WELL : Exit.NO;
        }
        LiveRun run =
            LiveRun.start(
                found,
                Run.values(found, arguments),
                Firing.around(library, Keymap.of(library, station), computer, Ecmascript.ENGINE),
                standing -> {});
        while (true) {
          LiveRun.Standing standing = run.await(50);
          if (standing != null && standing.isOver()) {
            Run.tell(found, standing.trace(), format, spec.commandLine().getOut());
            return standing.trace().wentWell() ? Exit.WELL : Exit.NO;
          }
          if (standing != null && standing.status() instanceof Status.Asking) {
            run.answer(Map.of()); // as everywhere on the command line: the defaults
          }
        }
      } catch (BusException e) {
        throw silent(e);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        return Exit.NO;
      }
    }
  }

  @Command(
      mixinStandardHelpOptions = true,
      name = "listen",
      description = {
        "Catches the keys of the library's bindings on this computer and runs what they set off, until"
            + " the emergency stop is pressed or it is ended.",
        "Exit 0: it was stopped; 1: it ended by itself; 2: input not usable."
      })
  static final class Listen implements Callable<Integer> {

    @Mixin private Input input;

    @Option(
        names = "--stop",
        paramLabel = "KEYS",
        description = "the emergency stop; Ctrl+Alt+Escape unless given",
        defaultValue = "Ctrl+Alt+Escape")
    private String stop;

    @Option(
        names = "--allow",
        paramLabel = "COMMAND",
        description = "a command line routines may start; may be given again")
    private List<String> allow = new ArrayList<>();

    @Option(names = "--dangerous", description = "also run what deletes or prints")
    private boolean dangerous;

    @Spec private CommandSpec spec;

    @Override
    public Integer call() throws Unusable {
      Library library = input.library();
      Station station = input.station(library);
      Lines out = new Lines(spec.commandLine().getOut());
      CountDownLatch over = new CountDownLatch(1);
      AtomicReference<String> why = new AtomicReference<>("");
      try (Live live = open()) {
        LiveComputer computer = computer(live, library, station, input, allow);
        var known = StandIns.around(station, library);
        try (Firing firing =
            Firing.start(
                library,
                station,
                computer,
                Live.Where.HERE,
                stop(station),
                Ecmascript.ENGINE,
                r -> dangerous || isHarmless(Risk.of(r, known, library.applications())),
                new Told(library, out, over, why))) {
          out.line(
              "listening: %s keys caught; %s gives them back",
              Integer.toString(firing.caught().size()), stop);
          over.await();
        }
        return why.get().isEmpty() ? Exit.WELL : Exit.NO;
      } catch (BusException e) {
        throw silent(e);
      } catch (IOException e) {
        throw new Unusable("no keys can be caught here: " + e.getMessage(), e);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        return Exit.NO;
      }
    }

    private static boolean isHarmless(Danger danger) {
      return danger != Danger.DELETES && danger != Danger.PRINTS;
    }

    private Press stop(Station station) throws Unusable {
      try {
        Signal first =
            Keymap.of(Library.empty(""), station).paths(Notation.read(stop)).stream()
                .findFirst()
                .map(List::getFirst)
                .orElseThrow(() -> new Unusable("--stop: the layout cannot make " + stop));
        return (Press) first;
      } catch (NotationException e) {
        throw new Unusable("--stop: " + e.getMessage(), e);
      }
    }
  }

  /** Tells on the command line what happens. */
  private record Told(Library library, Lines out, CountDownLatch over, AtomicReference<String> why)
      implements Firing.Tells {

    @Override
    public void begins(Binding binding, Routine routine) {
      out.line("%s fires %s", binding.id(), routine.name());
    }

    @Override
    public void goes(Binding binding, Routine routine, LiveRun.Standing standing) {
      if (standing.isOver()) {
        Trace trace = standing.trace();
        out.line("  %s", StepWords.ending(trace.ending()));
      }
    }

    @Override
    public void refused(Binding binding, String expected, String found) {
      out.line("%s: expected %s, found %s", binding.id(), expected, found);
    }

    @Override
    public void undecided(List<Claim> claims) {
      out.line("several bindings claim this: none fires");
    }

    @Override
    public void taken(Set<Press> presses) {
      out.line("taken by another program: %s keys", Integer.toString(presses.size()));
    }

    @Override
    public void ended(String reason) {
      why.set(reason);
      out.line("%s", reason.isEmpty() ? "stopped: all keys are free" : reason);
      over.countDown();
    }
  }
}
