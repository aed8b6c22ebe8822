package foldtwice.desktop.view;

/** Leads to what is named, in whatever view that is; the way back is kept. */
@FunctionalInterface
public interface Going {
  void to(Target target);
}
