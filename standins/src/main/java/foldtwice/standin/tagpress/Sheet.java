package foldtwice.standin.tagpress;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * A sheet of labels.
 *
 * @param boxes in the order they were made
 * @param selected numbers of the selected boxes, in the order of selecting
 */
public record Sheet(List<Box> boxes, List<Integer> selected) {

  /** Width and height of the sheet in millimetres: four labels of A6 size or less. */
  public static final int WIDTH_MM = 210;

  /** See {@link #WIDTH_MM}. */
  public static final int HEIGHT_MM = 148;

  public Sheet {
    boxes = List.copyOf(boxes);
    selected = List.copyOf(selected);
  }

  static Sheet first() {
    return new Sheet(
        List.of(
            Box.mm(1, "Fernhollow Herbarium", 12, 10, 80, 10),
            Box.mm(2, "Asplenium viride Huds.", 12, 26, 60, 8),
            Box.mm(3, "Fernhollow, wet rock by the lower weir", 12, 38, 76, 8),
            Box.mm(4, "FH-02411", 12, 50, 30, 8),
            Box.mm(5, "Fernhollow Herbarium", 118, 10, 80, 10),
            Box.mm(6, "Carex limosa L.", 118, 26, 60, 8),
            Box.mm(7, "Blackmere bog, north pool", 118, 38, 76, 8),
            Box.mm(8, "FH-02412", 118, 50, 30, 8),
            Box.mm(9, "Fernhollow Herbarium", 12, 84, 80, 10),
            Box.mm(10, "Saxifraga \u00d7 arendsii Engl.", 12, 100, 60, 8),
            Box.mm(11, "Fernhollow, garden wall", 12, 112, 76, 8),
            Box.mm(12, "FH-02413", 12, 124, 30, 8),
            Box.mm(13, "Fernhollow Herbarium", 118, 84, 80, 10),
            Box.mm(14, "Primula farinosa L.", 118, 100, 60, 8),
            Box.mm(15, "Blackmere bog, by the flush", 118, 112, 76, 8),
            Box.mm(16, "FH-02414", 118, 124, 30, 8)),
        List.of(1));
  }

  public Optional<Box> box(int number) {
    return boxes.stream().filter(b -> b.number() == number).findFirst();
  }

  /** The selected boxes, in the order of selecting. */
  public List<Box> selectedBoxes() {
    return selected.stream().flatMap(n -> box(n).stream()).toList();
  }

  Sheet selecting(List<Integer> numbers) {
    return new Sheet(boxes, numbers);
  }

  /** With each selected box replaced. */
  Sheet changing(UnaryOperator<Box> change) {
    return new Sheet(
        boxes.stream().map(b -> selected.contains(b.number()) ? change.apply(b) : b).toList(),
        selected);
  }

  Sheet replacing(Box box) {
    return new Sheet(
        boxes.stream().map(b -> b.number() == box.number() ? box : b).toList(), selected);
  }

  Sheet without(List<Integer> numbers) {
    return new Sheet(
        boxes.stream().filter(b -> !numbers.contains(b.number())).toList(),
        selected.stream().filter(n -> !numbers.contains(n)).toList());
  }

  /** With more boxes, which become the selection. */
  Sheet adding(List<Box> more) {
    List<Box> all = new ArrayList<>(boxes);
    all.addAll(more);
    return new Sheet(all, more.stream().map(Box::number).toList());
  }

  int nextNumber() {
    return boxes.stream().mapToInt(Box::number).max().orElse(0) + 1;
  }
}
