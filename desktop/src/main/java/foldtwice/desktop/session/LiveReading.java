package foldtwice.desktop.session;

import foldtwice.live.Live;
import foldtwice.live.survey.Proposal;
import foldtwice.live.survey.Survey;
import java.util.List;

/**
 * What was read off a program, against what the library says of it.
 *
 * @param conflicts how many there would be that are not there now
 * @param touched the names of the routines that choose something that is gone
 */
public record LiveReading(
    Live.Running running, Survey survey, Proposal proposal, int conflicts, List<String> touched) {
  public LiveReading {
    touched = List.copyOf(touched);
  }
}
