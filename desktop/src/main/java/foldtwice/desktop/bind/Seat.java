package foldtwice.desktop.bind;

import foldtwice.binding.Binding;

/**
 * Where a binding stands in the register. It stays while another row says what the binding is now,
 * as long as that one stands in the same place: a table builds all its cells anew for an item that
 * is replaced.
 */
final class Seat {

  private Row row;

  Seat(Row row) {
    this.row = row;
  }

  Row row() {
    return row;
  }

  Binding binding() {
    return row.binding();
  }

  String id() {
    return row.binding().id();
  }

  /** The same binding as it is now. */
  void take(Row now) {
    row = now;
  }
}
