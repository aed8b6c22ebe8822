package foldtwice.run;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.routine.Routine;
import foldtwice.text.Refusals;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Optional;

/** Keys struck by a run are resolved like those a person strikes, in front of the same keymap. */
public record Strikes(Library library, Keymap keymap) implements Around.Keys {

  @Override
  public Around.Struck strike(Trigger.Keys keys, Computer computer) {
    List<List<Signal>> paths = keymap.paths(keys);
    if (paths.isEmpty()) {
      return new Around.Struck.Done(
          "",
          new Reply.Refused(
              Refusals.says("run.keys-can-made-on", keymap.layout().id()), Notation.write(keys)));
    }
    Program front = computer.front();
    Around.Struck last =
        new Around.Struck.Done(
            "",
            new Reply.Refused(
                Refusals.says("run.somebody-take", Notation.write(keys)),
                Refusals.says("run.nobody-does")));
    for (Outcome outcome : Resolver.outcomes(keymap, front.place(), paths.getFirst())) {
      last = struck(outcome, front, keys);
    }
    return last;
  }

  private Around.Struck struck(Outcome outcome, Program front, Trigger.Keys keys) {
    return switch (outcome) {
      case Outcome.Fired(Claim claim) -> fired(claim.owner(), front);
      case Outcome.Waiting(Optional<Claim> otherwise) ->
          otherwise.isPresent()
              ? fired(otherwise.get().owner(), front)
              : new Around.Struck.Done(
                  "",
                  new Reply.Refused(
                      Refusals.says("run.whole-trigger"), Refusals.says("run.beginning-one")));
      case Outcome.Undecided(List<Claim> claims) ->
          new Around.Struck.Done(
              "", new Reply.Refused(Refusals.says("run.one-claim-on-keys"), claims.size() + ""));
      case Outcome.Typed(String text) -> new Around.Struck.Done(text, front.type(text));
      case Outcome.Unclaimed u ->
          new Around.Struck.Done(
              "",
              new Reply.Refused(
                  Refusals.says("run.somebody-take", Notation.write(keys)),
                  Refusals.says("run.nobody-does")));
    };
  }

  private Around.Struck fired(Owner owner, Program front) {
    return switch (owner) {
      case Owner.Desktop(String what) -> new Around.Struck.Done(what, Reply.QUIET);
      case Owner.Native n -> new Around.Struck.Done(n.command(), front.fire(n.command()));
      case Owner.Menu(String menu) ->
          new Around.Struck.Done(
              menu,
              new Reply.Refused(
                  Refusals.says("run.what-does-not-wait"), Refusals.says("run.list-choose-from")));
      case Owner.Key k -> throw new IllegalArgumentException("a run strikes no key of a device");
      case Owner.Yours(String id) -> {
        Binding binding = library.bindings().get(id);
        Optional<Routine> routine = library.routineOf(binding);
        yield routine.isPresent()
            ? new Around.Struck.Fires(routine.get(), binding.arguments())
            : new Around.Struck.Done(
                "",
                new Reply.Refused(
                    Refusals.says("run.routine", binding.routine()),
                    Refusals.says("run.not-shown")));
      }
    };
  }
}
