package foldtwice.standin.desk;

import foldtwice.run.Change;
import foldtwice.standin.base.StandIn;
import java.util.ArrayList;
import java.util.List;

/**
 * What lies on the desk: files in a folder, what is typed into the notepad and the converter.
 *
 * @param files by name, in the order they came
 * @param selected names of selected files
 */
public record Things(
    List<String> files, List<String> selected, String notes, String typed, String converted) {

  public Things {
    files = List.copyOf(files);
    selected = List.copyOf(selected);
  }

  static Things first() {
    return new Things(
        List.of("field notes 2031-05-06", "field notes 2031-05-07", "sheets to relabel"),
        List.of(),
        "",
        "",
        "");
  }

  Things selecting(List<String> names) {
    return new Things(files, names, notes, typed, converted);
  }

  Things with(String file) {
    List<String> more = new ArrayList<>(files);
    more.add(file);
    return new Things(more, List.of(file), notes, typed, converted);
  }

  Things withoutSelected() {
    return new Things(
        files.stream().filter(f -> !selected.contains(f)).toList(),
        List.of(),
        notes,
        typed,
        converted);
  }

  Things noting(String text) {
    return new Things(files, selected, text, typed, converted);
  }

  Things typing(String text) {
    return new Things(files, selected, notes, text, "");
  }

  Things converted(String text) {
    return new Things(files, selected, notes, typed, text);
  }

  static List<Change> differences(Things before, Things after) {
    List<Change> changes = new ArrayList<>();
    StandIn.compare(changes, "folder", say(before.files), say(after.files));
    StandIn.compare(changes, "selection", say(before.selected), say(after.selected));
    StandIn.compare(changes, "notepad", before.notes, after.notes);
    StandIn.compare(changes, "converter", before.typed, after.typed);
    StandIn.compare(changes, "converted", before.converted, after.converted);
    return changes;
  }

  static String say(List<String> names) {
    return names.isEmpty() ? "nothing" : String.join(", ", names);
  }
}
