package foldtwice.desktop.session;

import foldtwice.binding.Binding;
import foldtwice.place.Application;
import foldtwice.place.Need;
import foldtwice.ready.Setup;
import java.util.function.Consumer;

/** Does on the computer of the station in view what bindings wait for, and says so. */
public final class Needs {

  private final Session session;
  private final Consumer<Setup> setUp;

  /**
   * @param setUp takes what is in the programs of the station from now on
   */
  Needs(Session session, Consumer<Setup> setUp) {
    this.session = session;
    this.setUp = setUp;
  }

  /** Does what a binding waits for. */
  public void meet(Need need, Application application, Binding binding) {
    if (need == Need.RESTART) {
      session.programs().get(application.id()).restart();
    }
    Snapshot now = session.now();
    setUp.accept(now.setup().met(need, now.library(), application, binding));
    session.say(Ui.text("said.met." + need, application.name()));
  }

  /** Writes what the library has into the file of an application. */
  public void copy(Application application) {
    Snapshot now = session.now();
    setUp.accept(now.setup().copied(now.library(), application));
    session.say(Ui.text("said.met." + Need.FILE_COPIED, application.name()));
  }

  /** Starts or stops what has to run beside an application. */
  public void run(Application application, Need need, boolean on) {
    setUp.accept(session.now().setup().running(application.id(), need, on));
    session.say(Ui.text((on ? "said.met." : "said.ended.") + need, application.name()));
  }

  /** A program of the station has been started anew. */
  public void restarted(String application) {
    setUp.accept(session.now().setup().restarted(application));
  }

  /** A window of a program of the station has been opened. */
  public void opened(String application) {
    Snapshot now = session.now();
    Application a = now.library().applications().get(application);
    setUp.accept(now.setup().opened(a));
    session.say(Ui.text("said.met." + Need.NEW_WINDOW, a.name()));
  }
}
