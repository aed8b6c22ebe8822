package foldtwice.live.survey;

import foldtwice.describe.Description;
import foldtwice.library.Edit;
import foldtwice.place.Application;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What a library would say of a program after it was read.
 *
 * @param application with what is new and changed; what is gone is still in it
 * @param differences between what the library says now and what was read
 */
public record Proposal(
    Application application, Description description, List<Difference> differences) {

  public Proposal {
    differences = List.copyOf(differences);
  }

  /** What has become of something. */
  public enum Fate {
    NEW,
    CHANGED,
    GONE
  }

  /** A kind of thing a description has. */
  public enum What {
    COMMAND,
    DIALOG,
    SETTING,
    VALUE,
    CONTEXT
  }

  /**
   * Something that was read otherwise than the library says.
   *
   * @param id of a command; the name of anything else
   * @param before what the library says; empty for what is new
   * @param now what was read; empty for what is gone
   */
  public record Difference(
      Fate fate, What what, String id, String name, String before, String now) {}

  /**
   * What takes it into a library.
   *
   * @param without true to take away the commands that are gone
   */
  public Edit edit(boolean without) {
    Set<String> gone = new HashSet<>();
    if (without) {
      differences.stream()
          .filter(d -> d.fate() == Fate.GONE && d.what() == What.COMMAND)
          .forEach(d -> gone.add(d.id()));
    }
    Application next =
        application.withCommands(
            application.commands().stream().filter(c -> !gone.contains(c.id())).toList());
    return new Edit.Together(
        List.of(
            new Edit.PutApplication(next), new Edit.Describe(next.id(), Optional.of(description))));
  }

  /** How many there are of a fate. */
  public long count(Fate fate) {
    return differences.stream().filter(d -> d.fate() == fate).count();
  }
}
