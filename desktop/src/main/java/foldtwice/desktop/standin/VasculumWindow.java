package foldtwice.desktop.standin;

import foldtwice.desktop.session.Ui;
import foldtwice.standin.vasculum.RegisterWords;
import foldtwice.standin.vasculum.Vasculum;

final class VasculumWindow extends StandInWindow {

  private final Vasculum program;
  private final RegisterPicture picture;

  VasculumWindow(Vasculum program) {
    super(program, "Vasculum, sheet register");
    this.program = program;
    this.picture = new RegisterPicture(program, 1);
    picture.setOnCellClicked(
        (row, column, extend, twice) ->
            worked(twice ? program.fire("edit-cell") : program.click(row, column, extend)));
    show(picture);
    refresh();
  }

  @Override
  protected void draw() {
    picture.show(null);
  }

  @Override
  protected String status() {
    String selected = Ui.text("standin.selected", RegisterWords.of(program.document().selection()));
    return program.finding()
        ? Ui.text("standin.find") + ": " + program.typed() + "\u2502     " + selected
        : selected;
  }
}
