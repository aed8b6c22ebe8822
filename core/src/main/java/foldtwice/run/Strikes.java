package foldtwice.run;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.routine.Routine;
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
              "keys that can be made on the layout " + keymap.layout().id(), Notation.write(keys)));
    }
    Program front = computer.front();
    Around.Struck last =
        new Around.Struck.Done(
            "", new Reply.Refused("somebody to take " + Notation.write(keys), "nobody does"));
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
                  "", new Reply.Refused("a whole trigger", "the beginning of one"));
      case Outcome.Undecided(List<Claim> claims) ->
          new Around.Struck.Done(
              "", new Reply.Refused("one claim on the keys", claims.size() + ""));
      case Outcome.Typed(String text) -> new Around.Struck.Done(text, front.type(text));
      case Outcome.Unclaimed u ->
          new Around.Struck.Done(
              "", new Reply.Refused("somebody to take " + Notation.write(keys), "nobody does"));
    };
  }

  private Around.Struck fired(Owner owner, Program front) {
    return switch (owner) {
      case Owner.Desktop(String what) -> new Around.Struck.Done(what, Reply.QUIET);
      case Owner.Native n -> new Around.Struck.Done(n.command(), front.fire(n.command()));
      case Owner.Menu(String menu) ->
          new Around.Struck.Done(
              menu, new Reply.Refused("what does not wait for a hand", "a list to choose from"));
      case Owner.Key k -> throw new IllegalArgumentException("a run strikes no key of a device");
      case Owner.Yours(String id) -> {
        Binding binding = library.bindings().get(id);
        Optional<Routine> routine = library.routineOf(binding);
        yield routine.isPresent()
            ? new Around.Struck.Fires(routine.get(), binding.arguments())
            : new Around.Struck.Done(
                "", new Reply.Refused("the routine \"" + binding.routine() + "\"", "not there"));
      }
    };
  }
}
