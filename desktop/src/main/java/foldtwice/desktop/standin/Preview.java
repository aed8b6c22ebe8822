package foldtwice.desktop.standin;

import foldtwice.desktop.session.Question;
import foldtwice.run.Program;
import foldtwice.standin.base.StandIn;
import foldtwice.standin.copystand.Copystand;
import foldtwice.standin.desk.Desk;
import foldtwice.standin.muniment.Muniment;
import foldtwice.standin.sketch.Sketch;
import foldtwice.standin.tagpress.Sheet;
import foldtwice.standin.tagpress.Tagpress;
import foldtwice.standin.trackway.Trackway;
import foldtwice.standin.vasculum.Register;
import foldtwice.standin.vasculum.Vasculum;
import java.util.List;
import javafx.scene.layout.StackPane;

/** A small picture of a stand-in that shows what a run changed. */
public final class Preview extends StackPane {

  /** What the picture was made of; empty when it stands for nothing that can be told again. */
  private List<Object> shown = List.of();

  public Preview() {
    setMinSize(0, 0);
    getStyleClass().add("window");
  }

  /**
   * Shows a program.
   *
   * @param before the program as it was before the run; null when nothing was run
   */
  public void show(Program program, Program before) {
    List<Object> now =
        program instanceof StandIn<?> s
            ? List.of(
                new Question.Same(s),
                s.document(),
                s.place(),
                s.dialog(),
                before instanceof StandIn<?> b ? b.document() : "")
            : List.of();
    if (now.isEmpty() || !now.equals(shown)) {
      shown = now;
      draw(program, before);
    }
  }

  private void draw(Program program, Program before) {
    switch (program) {
      case Tagpress t -> {
        SheetPicture picture = new SheetPicture(t, false);
        getChildren().setAll(picture);
        Sheet was = before instanceof Tagpress b ? b.document() : null;
        picture.show(was);
      }
      case Vasculum v -> {
        RegisterPicture picture = new RegisterPicture(v, 0.85);
        getChildren().setAll(picture);
        Register was = before instanceof Vasculum b ? b.document() : null;
        picture.show(was == null ? null : was.selection());
      }
      case Copystand c -> picture(new StripPicture(c, false));
      case Muniment m -> picture(new ConsolePicture(m, false));
      case Trackway t -> {
        MapPicture picture = new MapPicture(t, false);
        picture(picture);
        picture.show(before instanceof Trackway b ? b.document() : null);
      }
      case Desk d -> picture(new DeskPicture(d, false));
      case Sketch k -> picture(new SketchPicture(k, false));
      default -> getChildren().clear();
    }
    setMouseTransparent(true);
  }

  private void picture(Picture picture) {
    getChildren().setAll(picture);
    picture.redraw();
  }
}
