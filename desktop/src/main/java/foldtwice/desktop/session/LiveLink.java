package foldtwice.desktop.session;

import foldtwice.library.Library;
import foldtwice.live.Live;
import foldtwice.live.bus.BusException;
import foldtwice.live.program.LiveComputer;
import foldtwice.live.survey.Describing;
import foldtwice.live.survey.Proposal;
import foldtwice.live.survey.Survey;
import foldtwice.place.Application;
import foldtwice.place.Station;
import foldtwice.standin.StandIns;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Predicate;
import javafx.application.Platform;
import javafx.scene.input.Clipboard;

/** The connection to the real programs. Never used on the interface thread: it waits for them. */
final class LiveLink {

  /** Where the desktop is reached; for tests another than that of the environment. */
  private final Live.Where where =
      new Live.Where(
          Optional.ofNullable(System.getProperty("foldtwice.live.session")),
          Optional.ofNullable(System.getProperty("foldtwice.live.display")));

  private final Session session;
  private final Predicate<List<String>> mayStart;
  private Live live;

  /**
   * @param mayStart whether a person allowed a command line to be started
   */
  LiveLink(Session session, Predicate<List<String>> mayStart) {
    this.session = session;
    this.mayStart = mayStart;
  }

  Live.Where where() {
    return where;
  }

  private synchronized Live live() throws Live.Unavailable {
    if (live == null) {
      live = Live.open(where);
    }
    return live;
  }

  synchronized void forget() {
    if (live != null) {
      live.close();
      live = null;
    }
  }

  LiveState.Reach look() {
    try {
      return new LiveState.Reach.There(live().running());
    } catch (Live.Unavailable e) {
      return new LiveState.Reach.Not(e.getMessage());
    } catch (BusException e) {
      forget();
      return new LiveState.Reach.Not(e.getMessage());
    }
  }

  /** Reads one, and dialogs it is to open. */
  LiveReading read(Live.Running running, List<List<String>> opening, Snapshot now)
      throws Live.Unavailable, BusException {
    Survey survey = live().survey(running);
    for (List<String> path : opening) {
      List<Survey.Form> forms = live().dialog(running, path);
      if (forms.isEmpty()) {
        String named = path.getLast();
        Platform.runLater(() -> session.say(Ui.text("said.livenodialog", named)));
      }
      survey = survey.with(forms);
    }
    Library library = now.library();
    Optional<Application> known =
        library.applications().values().stream().filter(running::is).findFirst();
    Proposal proposal = Describing.over(library, known, running.id(), survey);
    return new LiveReading(
        running,
        survey,
        proposal,
        LiveEffects.conflicts(now, proposal),
        LiveEffects.touched(library, proposal));
  }

  /** This computer as a library sees it on a station. */
  LiveComputer computer(Library library, Station station) throws Live.Unavailable, BusException {
    Path folder = session.store().file().toAbsolutePath().getParent();
    return live()
        .computer(
            library,
            StandIns.facts(station, library),
            new LiveComputer.Outside(
                session::beside, LiveLink::clipboard, Optional.of(folder), mayStart));
  }

  private static String clipboard() {
    CompletableFuture<String> text = new CompletableFuture<>();
    Platform.runLater(
        () -> {
          String held = Clipboard.getSystemClipboard().getString();
          text.complete(held == null ? "" : held);
        });
    try {
      return text.get(1, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return "";
    } catch (ExecutionException | TimeoutException e) {
      return "";
    }
  }
}
