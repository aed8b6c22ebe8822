package foldtwice.desktop.standin;

import foldtwice.desktop.session.Ui;
import foldtwice.run.Act;
import foldtwice.run.Program;
import foldtwice.standin.base.StandIn;
import foldtwice.standin.copystand.Copystand;
import foldtwice.standin.copystand.Shot;
import foldtwice.standin.desk.Desk;
import foldtwice.standin.muniment.Muniment;
import foldtwice.standin.sketch.Sketch;
import foldtwice.standin.tagpress.Box;
import foldtwice.standin.tagpress.Sheet;
import foldtwice.standin.tagpress.Tagpress;
import foldtwice.standin.trackway.Fieldmap;
import foldtwice.standin.trackway.Trackway;
import foldtwice.standin.vasculum.Register.Cells;
import foldtwice.standin.vasculum.RegisterWords;
import foldtwice.standin.vasculum.Vasculum;
import java.util.List;
import java.util.Optional;

/** The window of each stand-in: its picture, how the picture is worked, the line at the foot. */
public final class Windows {

  private Windows() {}

  /** The window for a stand-in. */
  public static StandInWindow of(StandIn<?> program) {
    return of(program, Optional.empty());
  }

  /**
   * The window for a stand-in, in which is marked what is another.
   *
   * @param before the same program as it was; where it is not told nothing is marked
   */
  static StandInWindow of(StandIn<?> program, Optional<Program> before) {
    return switch (program) {
      case Vasculum v ->
          register(v, before.map(b -> ((Vasculum) b).document().selection()).orElse(null));
      case Tagpress t -> sheet(t, before.map(b -> ((Tagpress) b).document()).orElse(null));
      case Copystand c -> strip(c);
      case Muniment m -> console(m);
      case Trackway t -> map(t, before.map(b -> ((Trackway) b).document()).orElse(null));
      case Desk d -> desk(d);
      case Sketch k -> sketch(k);
      default -> throw new IllegalArgumentException("no window for " + program.application());
    };
  }

  private static StandInWindow sketch(Sketch program) {
    SketchPicture picture = new SketchPicture(program, true);
    StandInWindow window =
        new StandInWindow(
            program,
            Ui.text("standin.sketch.title", program.described().name()),
            picture,
            picture::redraw,
            () ->
                program.somethingSelected()
                    ? Ui.text("standin.selected", String.join(", ", program.selected()))
                    : Ui.text("standin.sketch.none"));
    picture.setOnObject((name, adding, twice) -> window.work(new Act.Click(name, adding)));
    picture.setOnPointer(window::point);
    picture.setOnContext(
        state -> {
          program.enter(state);
          window.refresh();
          window.changed();
        });
    return window;
  }

  private static StandInWindow register(Vasculum program, Cells before) {
    RegisterPicture picture = new RegisterPicture(program, 1);
    StandInWindow window =
        new StandInWindow(
            program,
            "Vasculum, sheet register",
            picture,
            () -> picture.show(before),
            () -> {
              String selected =
                  Ui.text("standin.selected", RegisterWords.of(program.document().selection()));
              return program.finding()
                  ? Ui.text("standin.find") + ": " + program.typed() + "\u2502     " + selected
                  : selected;
            });
    picture.setOnObject(
        (name, adding, twice) ->
            window.work(
                twice ? new Act.Fire("edit-cell", Optional.empty()) : new Act.Click(name, adding)));
    picture.setOnPointer(window::point);
    return window;
  }

  private static StandInWindow sheet(Tagpress program, Sheet before) {
    SheetPicture picture = new SheetPicture(program, true);
    StandInWindow window =
        new StandInWindow(
            program,
            "Tagpress, label sheet",
            picture,
            () -> picture.show(before),
            () -> sheetStatus(program));
    picture.setOnObject(
        (name, adding, twice) ->
            window.work(
                twice ? new Act.Fire("edit-text", Optional.empty()) : new Act.Click(name, adding)));
    picture.setOnPointer(window::point);
    return window;
  }

  private static String sheetStatus(Tagpress program) {
    String unit = program.unit().symbol();
    List<Box> selected = program.document().selectedBoxes();
    String where =
        selected.isEmpty()
            ? Ui.text("standin.selected", Ui.text("standin.nothing"))
            : Ui.text(
                "standin.box",
                selected.getLast().number(),
                Tagpress.shown(selected.getLast().left(program.unit())) + " " + unit,
                Tagpress.shown(selected.getLast().top(program.unit())) + " " + unit);
    return where + "     " + Ui.text("standin.unit", unit);
  }

  private static StandInWindow strip(Copystand program) {
    StripPicture picture = new StripPicture(program, true);
    StandInWindow window =
        new StandInWindow(
            program,
            "Copystand, sheet photographs",
            picture,
            picture::redraw,
            () -> {
              String size = program.document().last().map(Shot::longSide).orElse(0) + " px";
              return Ui.text("standin.selected", selected(program))
                  + "     "
                  + Ui.text("standin.longside", size)
                  + "     "
                  + Ui.text("standin.queue", program.queue(), program.sent().size());
            });
    picture.setOnObject((name, adding, twice) -> window.work(new Act.Click(name, adding)));
    picture.setOnAct(window::work);
    picture.setOnPointer(window::point);
    return window;
  }

  private static StandInWindow console(Muniment program) {
    ConsolePicture picture = new ConsolePicture(program, true);
    StandInWindow window =
        new StandInWindow(
            program,
            "Muniment, archive console",
            picture,
            picture::redraw,
            () ->
                Ui.text("standin.answer", program.document().answer().said())
                    + "     "
                    + Ui.text("standin.done", program.document().done().size()));
    picture.setOnObject((name, adding, twice) -> window.work(new Act.Click(name, adding)));
    picture.setOnPointer(window::point);
    return window;
  }

  private static StandInWindow map(Trackway program, Fieldmap before) {
    MapPicture picture = new MapPicture(program, true);
    StandInWindow window =
        new StandInWindow(
            program,
            "Trackway, field map",
            picture,
            () -> picture.show(before),
            () ->
                Ui.text("standin.selected", selected(program))
                    + "     "
                    + Ui.text("standin.metres", program.indicators().get("metres in all").shown())
                    + (program.site().isEmpty()
                        ? ""
                        : "     " + Ui.text("standin.inside", program.site())));
    picture.setOnObject(
        (name, adding, twice) ->
            window.work(
                twice
                    ? new Act.Fire("enter-site", Optional.empty())
                    : new Act.Click(name, adding)));
    picture.setOnPointer(window::point);
    return window;
  }

  private static StandInWindow desk(Desk program) {
    DeskPicture picture = new DeskPicture(program, true);
    StandInWindow window =
        new StandInWindow(
            program,
            "Desk",
            picture,
            picture::redraw,
            () ->
                program.starting().isEmpty()
                    ? Ui.text("standin.selected", selected(program))
                    : Ui.text("standin.starting", String.join(", ", program.starting())));
    picture.setOnObject((name, adding, twice) -> window.work(new Act.Click(name, adding)));
    picture.setOnPointer(window::point);
    return window;
  }

  private static String selected(StandIn<?> program) {
    List<String> names = program.selected();
    if (names.isEmpty()) {
      return Ui.text("standin.nothing");
    }
    return names.size() <= 4
        ? String.join(", ", names)
        : Ui.text("standin.some", names.size(), names.getLast());
  }
}
