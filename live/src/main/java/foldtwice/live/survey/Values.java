package foldtwice.live.survey;

import foldtwice.describe.Description;
import foldtwice.describe.Span;
import foldtwice.routine.Kind;
import foldtwice.routine.Scale;
import foldtwice.routine.Value;
import java.math.BigDecimal;
import java.util.List;

/** Adjustable values that were read, as a description has them. */
final class Values {

  private Values() {}

  /** Sliders and other dials, over the values a library knows. */
  static List<Description.Adjustable> over(
      List<Description.Adjustable> said, List<Survey.Dial> read, Differences differences) {
    return differences.merge(
        said,
        read.stream().filter(Values::isWay).map(Values::adjustable).toList(),
        Description.Adjustable::name,
        (old, now) -> old.range().equals(now.range()) ? old : now,
        v -> v.range().least().shown() + " \u2013 " + v.range().most().shown(),
        Proposal.What.VALUE,
        true);
  }

  private static boolean isWay(Survey.Dial d) {
    return !d.name().isBlank()
        && Double.isFinite(d.least())
        && Double.isFinite(d.most())
        && d.most() > d.least();
  }

  private static Description.Adjustable adjustable(Survey.Dial d) {
    Way way = new Way(d.least(), d.most());
    double now = Double.isFinite(d.now()) ? Math.clamp(d.now(), d.least(), d.most()) : d.least();
    BigDecimal step =
        way.isPercent() && d.step() > 0 && d.step() <= 100 ? Numbers.of(d.step()) : BigDecimal.ONE;
    return new Description.Adjustable(
        d.name(),
        new Kind.Measure(percent(0), percent(100), new Value.Quantity(step, Scale.PERCENT)),
        new Value.Quantity(way.percent(now), Scale.PERCENT),
        Span.ALWAYS);
  }

  private static Value.Quantity percent(int n) {
    return new Value.Quantity(BigDecimal.valueOf(n), Scale.PERCENT);
  }
}
