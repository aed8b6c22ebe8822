package foldtwice.cli;

import foldtwice.library.Beginning;
import foldtwice.library.file.LibraryFile;
import foldtwice.place.Desktops;
import foldtwice.text.DiskWords;
import foldtwice.text.Nearness;
import foldtwice.trigger.Layouts;
import foldtwice.trigger.Shape;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "new",
    mixinStandardHelpOptions = true,
    description = {
      "Begins a library: a file with one station, this computer, and nothing bound yet.",
      "Exit 0: it is there, 'foldtwice FILE' opens it; 2: input not usable, or there is a file already."
    })
final class New implements Callable<Integer> {

  @Parameters(index = "0", paramLabel = "FILE", description = "the file to make, such as mine.json")
  private Path file;

  @Option(names = "--name", description = "the library's name; the file's unless given")
  private String name;

  @Option(
      names = "--layout",
      description =
          "the keyboard layout, such as us, gb or de; guessed from the language unless given")
  private String layout;

  @Option(
      names = "--shape",
      description = "the keyboard's shape: ${COMPLETION-CANDIDATES}; what the layout mostly has")
  private Shape shape;

  @Option(
      names = "--desktop",
      description = "the kind of desktop: logo, logo-altgr, command or workspaces; by this system")
  private String desktop;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Unusable {
    String keys = layout == null ? Beginning.likelyLayout(Locale.getDefault()) : layout;
    one("--layout", keys, Layouts.IDS);
    List<String> desktops = Desktops.ALL.stream().map(Desktops.Kind::id).toList();
    String kind =
        desktop == null ? Beginning.likelyDesktop(System.getProperty("os.name")).id() : desktop;
    one("--desktop", kind, desktops);
    String called = name == null ? plain(file) : name;
    if (called.isBlank()) {
      throw new Unusable("--name: a library needs a name");
    }
    Beginning beginning =
        new Beginning(
            called,
            "This computer",
            keys,
            shape == null ? Beginning.likelyShape(keys) : shape,
            Beginning.desktop(kind));
    try {
      LibraryFile.create(file, beginning.library());
    } catch (IOException e) {
      throw new Unusable("the library cannot be made: " + DiskWords.says(e), e);
    }
    new Lines(spec.commandLine().getOut())
        .line(
            "%s: \"%s\", on a keyboard %s %s; 'foldtwice %s' opens it",
            file.toString(), called, keys, beginning.shape().toString(), file.toString());
    return Exit.WELL;
  }

  /** What a file is called, without its ending; blank for what has no name, such as a root. */
  private static String plain(Path file) {
    Path name = file.getFileName();
    return name == null ? "" : name.toString().replaceFirst("\\.json$", "");
  }

  private static void one(String option, String given, List<String> right) throws Unusable {
    if (!right.contains(given)) {
      throw new Unusable(
          option
              + ": expected one of "
              + String.join(", ", right)
              + ", found "
              + given
              + Nearness.nearest(given, right).map(n -> "; did you mean " + n + "?").orElse(""));
    }
  }
}
