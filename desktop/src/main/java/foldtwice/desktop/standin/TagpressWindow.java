package foldtwice.desktop.standin;

import foldtwice.desktop.session.Ui;
import foldtwice.routine.LengthUnit;
import foldtwice.standin.tagpress.Box;
import foldtwice.standin.tagpress.Tagpress;
import java.util.List;

final class TagpressWindow extends StandInWindow {

  private final Tagpress program;
  private final SheetPicture picture;

  TagpressWindow(Tagpress program) {
    super(program, "Tagpress, label sheet");
    this.program = program;
    this.picture = new SheetPicture(program, true);
    picture.setOnBoxClicked((box, add) -> worked(program.click(box, add)));
    show(picture);
    refresh();
  }

  @Override
  protected void draw() {
    picture.show(null);
  }

  @Override
  protected String status() {
    LengthUnit unit = program.unit();
    List<Box> selected = program.document().selectedBoxes();
    String where =
        selected.isEmpty()
            ? Ui.text("standin.selected", Ui.text("standin.nothing"))
            : Ui.text(
                "standin.box",
                selected.getLast().number(),
                Tagpress.shown(selected.getLast().left(unit)) + " " + unit.symbol(),
                Tagpress.shown(selected.getLast().top(unit)) + " " + unit.symbol());
    return where + "     " + Ui.text("standin.unit", unit.symbol());
  }
}
