/**
 * What it costs to do something by hand, and what it costs to set a binding off: routes of
 * operators, their times by published models, and what is saved. Start at {@link
 * foldtwice.effort.Timing} and {@link foldtwice.effort.Payback}.
 *
 * <p>The model is the keystroke-level model (Card, Moran, Newell: <em>The keystroke-level model for
 * user performance time with interactive systems</em>, Communications of the ACM 23(7), 1980;
 * figures from memory), its pointing by Fitts's law where distance and width are known, and
 * choosing among things that carry labels by Hick and Hyman's law. All times are in seconds and are
 * intervals: nobody is average.
 */
package foldtwice.effort;
