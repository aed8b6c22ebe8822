package foldtwice.live.program;

import foldtwice.known.Facts;
import foldtwice.live.say.Say;
import foldtwice.place.Place;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Dialog;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Whatever is in front and no program of the library: it refuses everything. */
final class Elsewhere implements Program {

  /** Of it nothing is known. */
  static final Facts NOTHING = Facts.unknown("");

  private final String title;

  Elsewhere(String title) {
    this.title = title;
  }

  private Reply no() {
    return new Reply.Refused(Say.text("known"), title.isEmpty() ? Say.text("none") : title);
  }

  @Override
  public String application() {
    return "";
  }

  @Override
  public Facts facts() {
    return NOTHING;
  }

  @Override
  public Place place() {
    return new Place.Whole("");
  }

  @Override
  public Reply enter(Place state) {
    return no();
  }

  @Override
  public Reply choose(List<String> menuPath) {
    return no();
  }

  @Override
  public boolean ticked(List<String> menuPath) {
    return false;
  }

  @Override
  public Reply fire(String command) {
    return no();
  }

  @Override
  public Reply again() {
    return no();
  }

  @Override
  public Reply type(String text) {
    return no();
  }

  @Override
  public Optional<Dialog> dialog() {
    return Optional.empty();
  }

  @Override
  public Reply fill(String field, String text) {
    return no();
  }

  @Override
  public Reply press(String button) {
    return no();
  }

  @Override
  public Reply finish() {
    return no();
  }

  @Override
  public Reply cancel() {
    return no();
  }

  @Override
  public Map<String, Value> settings() {
    return Map.of();
  }

  @Override
  public Reply change(String setting, Value value) {
    return no();
  }

  @Override
  public Map<String, Value> indicators() {
    return Map.of();
  }

  @Override
  public Map<String, Value.Quantity> values() {
    return Map.of();
  }

  @Override
  public Reply adjust(String value, Step.Adjusting way, Value.Quantity to, Step.Edge edge) {
    return no();
  }

  @Override
  public List<String> selected() {
    return List.of();
  }

  @Override
  public String selectedText() {
    return "";
  }

  @Override
  public Reply select(int rows, int columns, Step.Edge edge) {
    return no();
  }

  @Override
  public Reply select(Whom.Group whom, boolean adding) {
    return no();
  }

  @Override
  public Reply selectNamed(String name, boolean adding) {
    return no();
  }

  @Override
  public Reply click(String name, boolean adding) {
    return no();
  }

  @Override
  public Reply point(String name) {
    return no();
  }

  @Override
  public void beginRun() {}

  @Override
  public void endRun() {}

  @Override
  public Reply undo() {
    return no();
  }

  @Override
  public Reply redo() {
    return no();
  }

  @Override
  public int undoDepth() {
    return 0;
  }

  @Override
  public List<String> pending() {
    return List.of();
  }

  @Override
  public Reply restart() {
    return no();
  }

  @Override
  public Map<String, String> state() {
    return Map.of();
  }
}
