package foldtwice.desktop.frame;

import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Act.Reach;
import foldtwice.desktop.view.Target;
import java.util.List;
import java.util.stream.Stream;

/** What can be done in every view. */
final class FrameActs {

  static final List<Act<Frame>> ALL =
      Stream.<Act<Frame>>concat(
              Stream.<Act<Frame>>of(
                  new Act<>("look-up", Reach.ANYWHERE, f -> true, Frame::openLookUp),
                  new Act<>("next-area", Reach.ANYWHERE, f -> true, Frame::nextArea),
                  new Act<>("back", Frame::canGoBack, Frame::back),
                  new Act<>("forward", Frame::canGoForward, Frame::forward),
                  new Act<>("undo", Reach.NOT_IN_TEXT, Frame::canUndo, Frame::undo),
                  new Act<>("redo", Reach.NOT_IN_TEXT, Frame::canRedo, Frame::redo),
                  new Act<>("day-night", Frame::turnSheet),
                  new Act<>("own-keys", f -> f.to(new Target.Own())),
                  new Act<>("new-library", Frame::beginLibrary),
                  new Act<>("open-library", Frame::openLibrary),
                  new Act<>("copy-library", Frame::copyLibrary),
                  new Act<>("demo-afresh", Frame::openDemo),
                  new Act<>("save-elsewhere", Frame::saveElsewhere),
                  new Act<>("keep-again", Frame::keepAgain),
                  new Act<>("guest-off", Frame::hasGuest, Frame::guestOff)),
              Views.ALL.stream()
                  .map(k -> new Act<Frame>(k.id(), f -> f.to(new Target.Sheet(k.id())))))
          .toList();

  private FrameActs() {}
}
