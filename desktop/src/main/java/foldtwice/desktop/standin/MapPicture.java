package foldtwice.desktop.standin;

import foldtwice.desktop.parts.Skins;
import foldtwice.standin.trackway.Fieldmap;
import foldtwice.standin.trackway.Leg;
import foldtwice.standin.trackway.Stop;
import foldtwice.standin.trackway.Trackway;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javafx.css.PseudoClass;
import javafx.geometry.Rectangle2D;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Ellipse;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;

/** A field map: relief, grid, legs with their lengths, stops, sites with their plots. */
final class MapPicture extends Picture {

  private static final double EAST = 760;
  private static final double SOUTH = 480;
  private static final double RADIUS = 8;
  private static final PseudoClass POINTED = PseudoClass.getPseudoClass("pointed");

  private final Trackway program;
  private final boolean whole;
  private Fieldmap before;
  private double scale;
  private double left;
  private double top;

  MapPicture(Trackway program, boolean whole) {
    this.program = program;
    this.whole = whole;
    getStyleClass().add("map-ground");
  }

  /** Legs that were not there before are drawn as new. */
  void show(Fieldmap previous) {
    before = previous;
    redraw();
  }

  @Override
  protected void draw() {
    view();
    StackPane behind = new StackPane();
    clickable(behind, "");
    place(behind, 0, 0, getWidth(), getHeight());
    if (program.settings().get("ground").shown().equals("relief")) {
      relief();
    }
    grid();
    program.document().legs().forEach(this::leg);
    program.document().stops().forEach(this::stop);
    if (whole && namesShown()) {
      names();
    }
    if (whole) {
      shelf();
    }
  }

  /** The numbered places along the right edge: keys mean something of their own over it. */
  private void shelf() {
    double width = 74;
    Set<Integer> set = program.placesSet();
    VBox shelf = new VBox(2);
    shelf.setId("map-shelf");
    shelf.getStyleClass().add("map-shelf");
    shelf.pseudoClassStateChanged(POINTED, program.pane().equals(Trackway.SHELF));
    for (int n = 1; n <= Trackway.PLACES; n++) {
      Label place = Skins.on(new Label(set.contains(n) ? "Place " + n : "\u2013 " + n));
      place.getStyleClass().add(set.contains(n) ? "map-place-set" : "map-place");
      shelf.getChildren().add(place);
    }
    shelf.setOnMouseEntered(
        e -> {
          pointed(Trackway.SHELF);
          shelf.pseudoClassStateChanged(POINTED, true);
        });
    shelf.setOnMouseExited(
        e -> {
          pointed("");
          shelf.pseudoClassStateChanged(POINTED, false);
        });
    shelf.setOnMousePressed(MouseEvent::consume); // it is looked at, not selected
    place(shelf, getWidth() - width, 0, width, getHeight());
  }

  /** The whole map, or a site and its plots when one is inside. */
  private void view() {
    List<Stop> plots =
        program.document().stops().stream().filter(s -> s.in().equals(program.site())).toList();
    if (program.site().isEmpty() || plots.isEmpty()) {
      scale = Math.min(getWidth() / EAST, getHeight() / SOUTH);
      left = (getWidth() - EAST * scale) / 2;
      top = (getHeight() - SOUTH * scale) / 2;
      return;
    }
    double west = plots.stream().mapToInt(Stop::x).min().orElse(0) - 40.0;
    double east = plots.stream().mapToInt(Stop::x).max().orElse(0) + 40.0;
    double north = plots.stream().mapToInt(Stop::y).min().orElse(0) - 30.0;
    double south = plots.stream().mapToInt(Stop::y).max().orElse(0) + 30.0;
    scale = Math.min(getWidth() / (east - west), getHeight() / (south - north));
    left = (getWidth() - (east - west) * scale) / 2 - west * scale;
    top = (getHeight() - (south - north) * scale) / 2 - north * scale;
  }

  private double x(double metres) {
    return left + metres * scale;
  }

  private double y(double metres) {
    return top + metres * scale;
  }

  private void relief() {
    double[][] hills = {{620, 80, 210, 120}, {560, 190, 150, 70}, {170, 380, 220, 90}};
    for (double[] h : hills) {
      for (int ring = 3; ring >= 1; ring--) {
        Ellipse hill =
            new Ellipse(x(h[0]), y(h[1]), h[2] * scale * ring / 3, h[3] * scale * ring / 3);
        hill.getStyleClass().add("relief");
        add(hill);
      }
    }
  }

  private void grid() {
    double step = 50 * scale;
    for (double gx = x(0) % step; gx < getWidth(); gx += step) {
      line(gx, 0, gx, getHeight(), "map-grid");
    }
    for (double gy = y(0) % step; gy < getHeight(); gy += step) {
      line(0, gy, getWidth(), gy, "map-grid");
    }
  }

  private Line line(double x1, double y1, double x2, double y2, String style) {
    Line line = new Line(x1, y1, x2, y2);
    line.getStyleClass().add(style);
    add(line);
    return line;
  }

  private void add(Node node) {
    node.setMouseTransparent(true);
    getChildren().add(node);
  }

  private void leg(Leg leg) {
    Stop from = program.document().stop(leg.from()).orElseThrow();
    Stop to = program.document().stop(leg.to()).orElseThrow();
    Line line = line(x(from.x()), y(from.y()), x(to.x()), y(to.y()), "leg");
    boolean fresh = before != null && !before.legs().contains(leg);
    if (program.document().selected().contains(leg.name()) || fresh) {
      line.getStyleClass().add("selected");
    }
    line.setMouseTransparent(false);
    line.setId("map-" + leg.name().replace(' ', '-'));
    clickable(line, leg.name());
  }

  /** Names and lengths come last, above everything, where they hide least. */
  private void names() {
    Lettering room = new Lettering(getWidth(), getHeight());
    Fieldmap map = program.document();
    map.stops().forEach(s -> room.keepOff(x(s.x()), y(s.y()), RADIUS));
    for (Leg leg : map.legs()) {
      Stop from = map.stop(leg.from()).orElseThrow();
      Stop to = map.stop(leg.to()).orElseThrow();
      room.line(x(from.x()), y(from.y()), x(to.x()), y(to.y()));
    }
    map.stops().stream()
        .filter(s -> s.kind() != Stop.Kind.PLOT || !program.site().isEmpty())
        .forEach(s -> write(s.name(), "map-name", room, List.of(x(s.x()), y(s.y()))));
    for (Leg leg : map.legs()) {
      Stop from = map.stop(leg.from()).orElseThrow();
      Stop to = map.stop(leg.to()).orElseThrow();
      if (Math.hypot(from.x() - to.x(), from.y() - to.y()) * scale > 80) {
        List<Double> along = new ArrayList<>();
        for (double part : new double[] {0.5, 0.36, 0.64}) {
          along.add(x(from.x() + part * (to.x() - from.x())));
          along.add(y(from.y() + part * (to.y() - from.y())));
        }
        write(map.metres(leg) + " m", "map-metres", room, along);
      }
    }
  }

  /**
   * A text beside one of the points, with a rim of the ground's colour.
   *
   * @param points x and y in turn, the best first
   */
  private void write(String text, String style, Lettering room, List<Double> points) {
    Text rim = new Text(text);
    rim.getStyleClass().addAll(style, "map-rim");
    add(rim);
    rim.applyCss();
    double wide = rim.getLayoutBounds().getWidth();
    double high = rim.getLayoutBounds().getHeight();
    List<Rectangle2D> places = new ArrayList<>();
    for (int i = 0; i < points.size(); i += 2) {
      double px = points.get(i);
      double py = points.get(i + 1);
      for (double down : new double[] {-high - 5, 5, -high / 2}) {
        for (double right : new double[] {RADIUS + 2, -wide - RADIUS - 2}) {
          places.add(new Rectangle2D(px + right, py + down, wide, high));
        }
        if (down != -high / 2) {
          double further = down < 0 ? down - RADIUS : down + RADIUS;
          places.add(new Rectangle2D(px - wide / 2, py + further, wide, high));
        }
      }
    }
    Rectangle2D at = room.best(places);
    Text letters = new Text(text);
    letters.getStyleClass().addAll(style, "map-text");
    rim.relocate(at.getMinX(), at.getMinY());
    letters.relocate(at.getMinX(), at.getMinY());
    add(letters);
  }

  private boolean namesShown() {
    return program.settings().get("names").shown().equals("shown");
  }

  private void stop(Stop stop) {
    double r = whole ? RADIUS : 6;
    Node shape =
        switch (stop.kind()) {
          case STOP -> new Circle(x(stop.x()), y(stop.y()), r);
          case SITE -> {
            Rectangle site = new Rectangle(x(stop.x()) - r, y(stop.y()) - r, 2 * r, 2 * r);
            site.setArcWidth(6);
            site.setArcHeight(6);
            yield site;
          }
          case PLOT ->
              new Polygon(
                  x(stop.x()),
                  y(stop.y()) - r * 0.8,
                  x(stop.x()) + r * 0.8,
                  y(stop.y()) + r * 0.6,
                  x(stop.x()) - r * 0.8,
                  y(stop.y()) + r * 0.6);
        };
    shape.getStyleClass().add("stop");
    if (stop.kind() == Stop.Kind.SITE) {
      shape.getStyleClass().add("site");
    }
    if (program.document().selected().contains(stop.name())) {
      shape.getStyleClass().add("selected");
    }
    if (program.drawingFrom().equals(stop.name())) {
      shape.getStyleClass().add("drawing");
    }
    shape.setId("map-" + stop.name().replace(' ', '-'));
    clickable(shape, stop.name());
    getChildren().add(shape);
  }
}
