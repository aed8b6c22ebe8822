package foldtwice.run;

import foldtwice.routine.Step;
import foldtwice.text.Refusals;
import foldtwice.trigger.Modifiers;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;

/** One program on a bare computer whose time passes only when told to. */
public final class Alone implements Computer {

  private final Program program;
  private final Ticking clock = new Ticking(Instant.parse("2031-05-08T09:00:00Z"));
  private Modifiers held = Modifiers.NONE;

  public Alone(Program program) {
    this.program = program;
  }

  /** A clock that stands until it is moved. */
  public static final class Ticking extends Clock {
    private Instant now;

    public Ticking(Instant now) {
      this.now = now;
    }

    public void pass(long millis) {
      now = now.plus(Duration.ofMillis(millis));
    }

    @Override
    public ZoneId getZone() {
      return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
      return Clock.fixed(now, zone);
    }

    @Override
    public Instant instant() {
      return now;
    }
  }

  @Override
  public Optional<Program> program(String application) {
    return application.equals(program.application()) ? Optional.of(program) : Optional.empty();
  }

  @Override
  public Program front() {
    return program;
  }

  @Override
  public Reply bringToFront(String application) {
    return application.equals(program.application())
        ? Reply.QUIET
        : new Reply.Refused(
            Refusals.says("run.running-program"),
            Refusals.says("run.only-so-many", program.application()));
  }

  @Override
  public Reply start(String application, List<String> arguments) {
    return new Reply.Refused(
        Refusals.says("run.computer-starts-programs"),
        Refusals.says("run.only-so-many", program.application()));
  }

  @Override
  public Reply capture(Step.Area area, String file) {
    return new Reply.Refused(
        Refusals.says("run.computer-with-screen"),
        Refusals.says("run.only-so-many", program.application()));
  }

  @Override
  public File file(String name) {
    return new File.Refused(
        Refusals.says("run.library-with-files-beside"), Refusals.says("run.none"));
  }

  @Override
  public String clipboard() {
    return "";
  }

  @Override
  public Clock clock() {
    return clock;
  }

  @Override
  public void pass(long millis) {
    clock.pass(millis);
  }

  @Override
  public Modifiers held() {
    return held;
  }

  @Override
  public void hold(Modifiers modifiers) {
    held = modifiers;
  }
}
