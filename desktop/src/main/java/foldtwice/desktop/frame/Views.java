package foldtwice.desktop.frame;

import foldtwice.desktop.atlas.AtlasView;
import foldtwice.desktop.bind.BindView;
import foldtwice.desktop.collect.CollectView;
import foldtwice.desktop.conflicts.ConflictsView;
import foldtwice.desktop.handover.HandOverView;
import foldtwice.desktop.live.LiveView;
import foldtwice.desktop.payback.PaybackView;
import foldtwice.desktop.places.PlacesView;
import foldtwice.desktop.plan.PlanView;
import foldtwice.desktop.trying.TryView;
import foldtwice.desktop.view.Kind;
import java.util.List;

/** The views, in the order of the work. Tabs, keys, areas and the look-up follow from this list. */
final class Views {

  static final List<Kind<?>> ALL =
      List.of(
          new Kind<>("places", PlacesView.class, PlacesView::new, PlacesView.ACTS),
          new Kind<>("collect", CollectView.class, CollectView::new, CollectView.ACTS),
          new Kind<>("bind", BindView.class, BindView::new, BindView.ACTS),
          new Kind<>("atlas", AtlasView.class, AtlasView::new, AtlasView.ACTS),
          new Kind<>("conflicts", ConflictsView.class, ConflictsView::new, ConflictsView.ACTS),
          new Kind<>("try", TryView.class, TryView::new, TryView.ACTS),
          new Kind<>("live", LiveView.class, LiveView::new, LiveView.ACTS),
          new Kind<>("plan", PlanView.class, PlanView::new, PlanView.ACTS),
          new Kind<>("payback", PaybackView.class, PaybackView::new, PaybackView.ACTS),
          new Kind<>("handover", HandOverView.class, HandOverView::new, HandOverView.ACTS));

  private Views() {}

  static Kind<?> of(String id) {
    return ALL.stream().filter(k -> k.id().equals(id)).findFirst().orElseThrow();
  }
}
