package foldtwice.desktop.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.collections.ModifiableObservableListBase;

/** A list in which many values in different places are put as one change, told once. */
public final class Batched<T> extends ModifiableObservableListBase<T> {

  private final List<T> values = new ArrayList<>();

  /** Puts values, by their places. */
  public void put(Map<Integer, T> some) {
    together(() -> some.forEach(this::set));
  }

  /** Changes it in many ways, told as one change. */
  public void together(Runnable changes) {
    beginChange();
    try {
      changes.run();
    } finally {
      endChange();
    }
  }

  @Override
  public T get(int index) {
    return values.get(index);
  }

  @Override
  public int size() {
    return values.size();
  }

  @Override
  protected void doAdd(int index, T value) {
    values.add(index, value);
  }

  @Override
  protected T doSet(int index, T value) {
    return values.set(index, value);
  }

  @Override
  protected T doRemove(int index) {
    return values.remove(index);
  }

  @Override
  protected void removeRange(int from, int to) {
    beginChange();
    try {
      nextRemove(from, List.copyOf(values.subList(from, to)));
      values.subList(from, to).clear();
    } finally {
      endChange();
    }
  }
}
