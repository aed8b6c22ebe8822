package foldtwice.ready;

import foldtwice.binding.Binding;
import foldtwice.library.Bound;
import foldtwice.library.Chunked;
import foldtwice.library.Difference;
import foldtwice.library.Fingerprint;
import foldtwice.library.Given;
import foldtwice.library.Library;
import foldtwice.library.ProgramFile;
import foldtwice.place.Application;
import foldtwice.place.Need;
import foldtwice.place.WayIn;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What has been put into the programs of one computer, and what happened there since. Bindings
 * whose way in needs nothing are not part of it: programs know them at once.
 *
 * <p>A program reads its file when it is started or a window is opened, where its way says so; what
 * is switched on at each start is lost with the next start. Until then it goes on with what it read
 * before, also with what has since been changed or taken away.
 *
 * @param programs by application id
 */
public record Setup(Map<String, Program> programs) {

  /**
   * One program.
   *
   * @param file what stands in its file, by binding
   * @param read what it read of the file when it last did
   * @param on what has been switched on since it was started
   * @param running what of {@link Need#HELPER_RUNNING}, {@link Need#DOCUMENT_OPEN} and {@link
   *     Need#TOOLBAR_SHOWN} holds
   * @param confirmed fingerprints of the bindings that may displace what was there
   */
  public record Program(
      Map<String, Given> file,
      Map<String, Given> read,
      Map<String, Given> on,
      Set<Need> running,
      Set<String> confirmed) {

    public Program {
      file = Chunked.of(file);
      read = Chunked.of(read);
      on = Chunked.of(on);
      running = Set.copyOf(running);
      confirmed = Set.copyOf(confirmed);
    }

    private Program withFile(Map<String, Given> other) {
      return new Program(other, read, on, running, confirmed);
    }

    /** The bindings it has anything of. */
    Set<String> all() {
      Set<String> all = new LinkedHashSet<>(file.keySet());
      all.addAll(read.keySet());
      all.addAll(on.keySet());
      return all;
    }

    /** What the program knows of a way in, by binding. */
    Map<String, Given> known(WayIn way) {
      if (way.needs().contains(Need.EACH_START)) {
        return on;
      }
      return readsLater(way) ? read : file;
    }
  }

  private static final Program NOTHING =
      new Program(Map.of(), Map.of(), Map.of(), Set.of(), Set.of());

  private static final Set<Need> RUNNING =
      Set.of(Need.HELPER_RUNNING, Need.DOCUMENT_OPEN, Need.TOOLBAR_SHOWN);

  public Setup {
    programs = Collections.unmodifiableMap(new LinkedHashMap<>(programs));
  }

  private static boolean readsLater(WayIn way) {
    return way.needs().contains(Need.RESTART) || way.needs().contains(Need.NEW_WINDOW);
  }

  /**
   * A station as it was left: what is known to stand in the files of its programs, everything else
   * in, and all programs started since.
   */
  public static Setup of(Library library, String station) {
    Setup setup = settled(library);
    for (ProgramFile f : library.files().values()) {
      Application a = library.applications().get(f.application());
      if (f.station().equals(station) && a != null) {
        Map<String, Given> file = Puts.withCopied(Puts.of(library, a), a, f.entries());
        Program was = setup.program(a.id());
        setup = setup.with(a.id(), new Program(file, file, file, RUNNING, was.confirmed()));
      }
    }
    return setup;
  }

  /** A computer on which everything of a library is in and has been for long. */
  public static Setup settled(Library library) {
    Setup setup = new Setup(Map.of());
    for (Application a : library.applications().values()) {
      if (a.ways().stream().anyMatch(Puts::isKept)) {
        Map<String, Given> all = Puts.of(library, a);
        Set<String> confirmed = new LinkedHashSet<>();
        for (Given p : all.values()) {
          if (a.way(p.binding().fitting().way()).filter(Puts::asks).isPresent()) {
            confirmed.add(Fingerprint.of(p.binding(), p.routine()));
          }
        }
        setup = setup.with(a.id(), new Program(all, all, all, RUNNING, confirmed));
      }
    }
    return setup;
  }

  private Setup with(String application, Program program) {
    Map<String, Program> next = new LinkedHashMap<>(programs);
    next.put(application, program);
    return new Setup(next);
  }

  /** The program of an application; one nothing was put into when it is not known. */
  public Program program(String application) {
    return programs.getOrDefault(application, NOTHING);
  }

  /**
   * The ids of the bindings of a library that may not be in their programs here just as in another
   * setup. Costs what stands in the files of programs that are not as there.
   */
  public Set<String> apart(Library library, Setup other) {
    Set<String> apart = new HashSet<>();
    Set<String> all = new HashSet<>(programs.keySet());
    all.addAll(other.programs.keySet());
    for (String a : all) {
      Program here = program(a);
      Program there = other.program(a);
      if (!here.running.equals(there.running) || !here.confirmed.equals(there.confirmed)) {
        Bound.in(library, a).forEach(b -> apart.add(b.id()));
        apart.addAll(here.all());
        apart.addAll(there.all());
      } else {
        apart(here.file, there.file, apart);
        apart(here.read, there.read, apart);
        apart(here.on, there.on, apart);
      }
    }
    return apart;
  }

  private static void apart(Map<String, Given> here, Map<String, Given> there, Set<String> into) {
    for (Difference<Given> d : Difference.between(there, here, given -> given.binding().id())) {
      Stream.concat(d.was().stream(), d.is().stream()).forEach(g -> into.add(g.binding().id()));
    }
  }

  /**
   * The same computer after a change of the library: what needs no copying is there at once, and
   * what was there by a way in that is none any more is not.
   */
  public Setup following(Library library) {
    return following(
        library,
        library.applications().values().stream()
            .filter(a -> a.ways().stream().anyMatch(Puts::isThereAtOnce) || hasOther(a))
            .toList());
  }

  /** Whether a file holds anything that no way in that is copied brings. */
  private boolean hasOther(Application a) {
    Map<String, Given> file = program(a.id()).file();
    return Puts.copiedOf(a, file).size() < file.size();
  }

  /**
   * The same, from the library that was followed last. Costs what is different between the two, and
   * a pass over the bindings of a program where the slots of ways to be kept may be given anew.
   */
  public Setup following(Library was, Library is) {
    if (!Puts.isSameAround(was, is)) {
      return following(is);
    }
    var changes = Difference.between(was.bindings(), is.bindings(), Binding::id);
    List<Application> touched = Puts.touched(changes, is, Puts::isThereAtOnce);
    if (!changes.stream().allMatch(Puts::keepsSlots)) {
      return following(is, touched);
    }
    Setup next = this;
    for (Application a : touched) {
      Program p = program(a.id());
      next = next.with(a.id(), p.withFile(Puts.after(changes, is, a, p.file())));
    }
    return next;
  }

  private Setup following(Library library, List<Application> applications) {
    Setup next = this;
    for (Application a : applications) {
      next =
          next.with(
              a.id(),
              next.program(a.id())
                  .withFile(Puts.withCopied(Puts.of(library, a), a, program(a.id()).file())));
    }
    return next;
  }

  /** The library's bindings are written into the file of an application. */
  public Setup copied(Library library, Application application) {
    return with(
        application.id(), program(application.id()).withFile(Puts.of(library, application)));
  }

  /** The program was started anew: it has read its file, and nothing is switched on. */
  public Setup restarted(String application) {
    if (!programs.containsKey(application)) {
      return this;
    }
    Program p = program(application);
    return with(application, new Program(p.file, p.file, Map.of(), p.running, p.confirmed));
  }

  /** A window was opened: what is read by windows has been. */
  public Setup opened(Application application) {
    Program p = program(application.id());
    Map<String, Given> read = new LinkedHashMap<>(p.read);
    Set<String> byWindows = new LinkedHashSet<>(p.file.keySet());
    byWindows.addAll(p.read.keySet());
    for (String id : byWindows) {
      Given newer = p.file.get(id);
      Binding b = newer != null ? newer.binding() : p.read.get(id).binding();
      boolean waitsForStart =
          application
              .way(b.fitting().way())
              .filter(w -> w.needs().contains(Need.RESTART))
              .isPresent();
      if (!waitsForStart && newer != null) {
        read.put(id, newer);
      } else if (!waitsForStart) {
        read.remove(id);
      }
    }
    return with(application.id(), new Program(p.file, read, p.on, p.running, p.confirmed));
  }

  /** What has to be switched on at each start has been. */
  public Setup switchedOn(Application application) {
    Program p = program(application.id());
    Map<String, Given> on = new LinkedHashMap<>();
    p.file.forEach(
        (id, put) -> {
          boolean later =
              application.way(put.binding().fitting().way()).filter(Setup::readsLater).isPresent();
          Given known = later ? p.read.get(id) : put;
          if (known != null) {
            on.put(id, known);
          }
        });
    return with(application.id(), new Program(p.file, p.read, on, p.running, p.confirmed));
  }

  /** A helper runs, a document is open, a toolbar is shown; or no more. */
  public Setup running(String application, Need need, boolean now) {
    Program p = program(application);
    Set<Need> running = new LinkedHashSet<>(p.running);
    if (now) {
      running.add(need);
    } else {
      running.remove(need);
    }
    return with(application, new Program(p.file, p.read, p.on, running, p.confirmed));
  }

  /** A person has said that a binding as it is now may displace what was there. */
  public Setup confirmed(String application, String fingerprint) {
    Program p = program(application);
    Set<String> confirmed = new LinkedHashSet<>(p.confirmed);
    confirmed.add(fingerprint);
    return with(application, new Program(p.file, p.read, p.on, p.running, confirmed));
  }

  /** One need of a binding is met by doing what it asks for. */
  public Setup met(Need need, Library library, Application application, Binding binding) {
    return switch (need) {
      case FILE_COPIED -> copied(library, application);
      case HELPER_RUNNING, DOCUMENT_OPEN, TOOLBAR_SHOWN -> running(application.id(), need, true);
      case RESTART -> restarted(application.id());
      case NEW_WINDOW -> opened(application);
      case FIRST_CONFIRMED ->
          library
              .routineOf(binding)
              .map(r -> confirmed(application.id(), Fingerprint.of(binding, r)))
              .orElse(this);
      case EACH_START -> switchedOn(application);
    };
  }
}
