package foldtwice.cli;

import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

@Command(
    name = "foldtwice",
    description = {
      "Fold the work once into a routine; fold it again into a key.",
      "",
      "Without a command it opens the desktop: 'foldtwice' with the demo library, 'foldtwice LIBRARY'"
          + " with another. 'foldtwice pictures' renders docs/screenshots/."
    },
    mixinStandardHelpOptions = true,
    version = "Fold Twice 0.1.0",
    subcommands = {
      New.class,
      Check.class,
      PressKeys.class,
      Run.class,
      Verify.class,
      Diff.class,
      Merge.class,
      SheetCommand.class,
      ShowHistory.class,
      KitCommand.class,
      ShowPayback.class,
      MakePlan.class,
      BindingsTable.class,
      Repair.class,
      ListBackups.class,
      LiveCommand.class
    })
final class Root implements Runnable {

  @Spec private CommandSpec spec;

  @Override
  public void run() {
    throw new ParameterException(
        spec.commandLine(),
        "which command? new, check, press, run, verify, diff, merge, sheet, history, kit, payback, plan, bindings, repair, backups or live");
  }
}
