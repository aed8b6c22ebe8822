package foldtwice.live.program;

import foldtwice.describe.Description;
import foldtwice.describe.Does;
import foldtwice.live.bus.BusException;
import foldtwice.live.say.Say;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.run.Change;
import foldtwice.run.Reply;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;

/** A program's own undo, pressed until its text is what it was. */
final class Undoing {

  /** So often it is pressed at most to take a run back. */
  private static final int MOST = 200;

  private final Application application;
  private final Description description;
  private final Page page;
  private final Looking looking;

  Undoing(Application application, Description description, Page page, Looking looking) {
    this.application = application;
    this.description = description;
    this.page = page;
    this.looking = looking;
  }

  /**
   * Undoes, or redoes: until the text is as wanted, or once where that cannot be told.
   *
   * @param letter the usual key of it, where nobody said which command it is
   * @param choose chooses a command by its menu path
   */
  Reply back(Does what, char letter, Optional<String> until, Function<List<String>, Reply> choose)
      throws BusException {
    Optional<List<String>> path = path(what, letter);
    if (path.isEmpty()) {
      return new Reply.Refused(Say.text("offers", application.name()), Say.text("undoing"));
    }
    Map<String, String> before = looking.look();
    Optional<String> now = page.text();
    boolean told = until.isPresent() && now.isPresent() && !now.equals(until);
    int times = 0;
    do {
      Reply reply = choose.apply(path.get());
      if (reply instanceof Reply.Refused && times == 0) {
        return reply;
      }
      if (reply instanceof Reply.Refused) {
        break; // there is no more to undo
      }
      times++;
      now = page.text();
    } while (told && !Objects.equals(now, until) && times < MOST);
    List<Change> changes = new ArrayList<>(Looking.changes(before, looking.look()));
    changes.add(new Change("undo", "", Say.text("times", times)));
    return !told || Objects.equals(now, until)
        ? new Reply.Done(changes)
        : new Reply.Refused(Say.text("asbefore"), Say.text("notafter", times));
  }

  private Optional<List<String>> path(Does what, char letter) {
    Trigger usual = new Trigger.Keys(List.of(Stroke.making(letter, Modifier.CTRL)));
    return description.commands().stream()
        .filter(c -> c.does().contains(what))
        .flatMap(c -> application.command(c.id()).stream())
        .map(NativeCommand::menuPath)
        .filter(p -> !p.isEmpty())
        .findFirst()
        .or(
            () ->
                application.commands().stream()
                    .filter(c -> c.byDefault().contains(usual) && !c.menuPath().isEmpty())
                    .map(NativeCommand::menuPath)
                    .findFirst());
  }
}
