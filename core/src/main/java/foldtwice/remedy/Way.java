package foldtwice.remedy;

import foldtwice.place.AddOn;
import foldtwice.place.Place;
import foldtwice.resolve.Owner;
import foldtwice.routine.Value;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;

/** What can be done about a conflict. */
public sealed interface Way {

  /** Another trigger for a binding or a native command. */
  record Move(Owner who, Trigger from, Trigger to) implements Way {}

  /** A trigger is taken away from a binding or a native command. */
  record TakeAway(Owner who, Trigger trigger) implements Way {}

  /** A binding is heard in fewer places. */
  record Narrow(String binding, Place to) implements Way {}

  /** A binding comes in by another way, which the rules do not hold for. */
  record Register(String binding, String way) implements Way {}

  /** An add-on is put on the station, or a later version of it. */
  record Install(String application, AddOn addOn) implements Way {}

  /** Another version of an application is put on the station. */
  record Update(String application, String version) implements Way {}

  /** A device is plugged in. */
  record PlugIn(String device) implements Way {}

  /** A routine begins by counting held modifiers as let go. */
  record Release(String routine) implements Way {}

  /** A routine puts back in the end what it changes. */
  record PutBack(String routine, SortedSet<String> settings) implements Way {
    public PutBack {
      settings = Collections.unmodifiableSortedSet(new TreeSet<>(settings));
    }
  }

  /** A binding gives another argument, or none, so that the default holds. */
  record Argument(String binding, String parameter, Optional<Value> to) implements Way {}

  /** Of two bindings one stays, with the triggers of both. */
  record Join(String keep, String drop) implements Way {}

  /** Routines become one with parameters. */
  record Fold(List<String> routines) implements Way {
    public Fold {
      routines = List.copyOf(routines);
    }
  }

  /** A key of a device and what listens to it change over to other keys, which nobody has. */
  record Resend(Owner.Key key, Trigger.Keys to) implements Way {}

  /** A key of a device no longer types of itself. */
  record Silence(Owner.Key key) implements Way {}

  /** What the library has is written into the file of a program. */
  record Copy(String application) implements Way {}

  /** A binding is switched off, and keeps its triggers. */
  record SwitchOff(String binding) implements Way {}

  /** Sequences of bindings begin with another stroke. */
  record FirstStroke(List<String> bindings, Stroke from, Stroke to) implements Way {
    public FirstStroke {
      bindings = List.copyOf(bindings);
    }
  }

  /** What is bound to a routine fires an action of an add-on instead. */
  record ByAction(String routine, AddOn addOn, String action) implements Way {}

  /** A binding is removed. */
  record Remove(String binding) implements Way {}
}
