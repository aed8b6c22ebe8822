package foldtwice.cli;

import foldtwice.library.Library;
import foldtwice.library.RefusedException;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryStore;
import foldtwice.live.Live;
import foldtwice.live.bus.BusException;
import foldtwice.live.survey.Describing;
import foldtwice.live.survey.Proposal;
import foldtwice.live.survey.Survey;
import foldtwice.place.Application;
import foldtwice.text.DiskWords;
import java.io.IOException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "read",
    description = {
      "Reads a running program and tells what is different from what the library says of it.",
      "Exit 0: nothing is different, or it was taken in; 1: something is different; 2: input not"
          + " usable."
    })
final class LiveRead implements Callable<Integer> {

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
    try (Live live = LiveHere.open()) {
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
      Proposal proposal = Describing.over(library, known, running.id(), survey);
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
      throw LiveHere.silent(e);
    }
  }

  private void keep(Proposal proposal) throws Unusable {
    try (LibraryStore store =
        LibraryStore.open(input.file(), System.getProperty("user.name", ""), Clock.systemUTC())) {
      store
          .make(proposal.edit(false), "Read " + proposal.application().name() + " as it runs")
          .get();
    } catch (FormatException e) {
      throw new Unusable(e.getMessage(), e);
    } catch (RefusedException e) {
      throw new Unusable("what was read is refused: " + e.getMessage(), e);
    } catch (IOException | ExecutionException | InterruptedException e) {
      throw new Unusable("the library cannot be written: " + DiskWords.says(e), e);
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
}
