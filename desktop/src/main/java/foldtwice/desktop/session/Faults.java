package foldtwice.desktop.session;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.util.Optional;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** What nobody expected to go wrong, for the person and for the log. One in a process. */
public final class Faults implements Thread.UncaughtExceptionHandler {

  /**
   * @param line what a person is told
   * @param details what helps whoever mends it
   */
  public record Fault(String line, String details) {}

  private static final Logger LOG = LoggerFactory.getLogger(Faults.class);

  private final ReadOnlyObjectWrapper<Optional<Fault>> last =
      new ReadOnlyObjectWrapper<>(Optional.empty());

  /** Hears from now on of every exception that nobody caught. */
  public Faults install() {
    Thread.setDefaultUncaughtExceptionHandler(this);
    return this;
  }

  @Override
  public void uncaughtException(Thread thread, Throwable fault) {
    LOG.error("nobody expected this, on {}", thread.getName(), fault);
    StringWriter details = new StringWriter();
    fault.printStackTrace(new PrintWriter(details, true));
    String what =
        fault.getMessage() == null ? fault.getClass().getSimpleName() : fault.getMessage();
    Fault told = new Fault(Ui.text("fault.says", what), details.toString());
    if (Platform.isFxApplicationThread()) {
      last.set(Optional.of(told));
    } else {
      Platform.runLater(() -> last.set(Optional.of(told)));
    }
  }

  /** The last one, until it has been read. */
  public ReadOnlyObjectProperty<Optional<Fault>> lastProperty() {
    return last.getReadOnlyProperty();
  }

  /** It has been read. */
  public void read() {
    last.set(Optional.empty());
  }
}
