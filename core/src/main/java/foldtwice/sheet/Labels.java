package foldtwice.sheet;

import foldtwice.binding.Binding;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/** Labels for the keys of devices, page by page. */
public final class Labels {

  private Labels() {}

  /**
   * A page of a device.
   *
   * @param whole what it looks like
   * @param labels one for each key that shows or does something
   */
  public record Of(String name, Picture whole, List<Picture> labels) {}

  static List<Of> of(Subject subject, About about, Contents contents) {
    Library library = subject.library();
    Words words = new Words(library, subject.keymap().layout());
    Map<Trigger, String> does = does(subject);
    List<Of> all = new ArrayList<>();
    for (Device d : library.devices()) {
      if (!isMeant(subject, about, d)) {
        continue;
      }
      for (Page p : d.pages()) {
        if (!(about instanceof About.OnDevice) && contents.lines().stream().noneMatch(on(d, p))) {
          continue;
        }
        List<Picture> labels = new ArrayList<>();
        for (Device.Cap k : d.keys()) {
          String says = says(does, words, d, p, k);
          if (!says.isEmpty() || !p.face(k.id()).label().isEmpty()) {
            labels.add(Picture.of(PadDrawing.label(k, p.face(k.id()), says)));
          }
        }
        if (!labels.isEmpty()) {
          String name = p.name().isEmpty() ? d.name() : d.name() + ", " + p.name();
          Picture whole =
              Picture.of(
                  PadDrawing.page(
                      d, p, 90, k -> d.key(k).map(cap -> says(does, words, d, p, cap)).orElse("")));
          all.add(new Of(name, whole, labels));
        }
      }
    }
    return all;
  }

  private static Predicate<Contents.Line> on(Device d, Page p) {
    return l ->
        l.trigger() instanceof Trigger.PadKey t
            && t.device().equals(d.id())
            && t.page().equals(p.id());
  }

  /** What triggers do, wherever they do it. */
  private static Map<Trigger, String> does(Subject subject) {
    Words words = new Words(subject.library(), subject.keymap().layout());
    Map<Trigger, String> does = new HashMap<>();
    for (Binding b : subject.library().bindings().values()) {
      if (!b.isOff()) {
        for (Trigger t : b.triggers()) {
          does.merge(t, words.binding(b), (x, y) -> x.equals(y) ? x : x + " / " + y);
        }
      }
    }
    return does;
  }

  private static boolean isMeant(Subject subject, About about, Device d) {
    return about instanceof About.OnDevice(String id)
        ? id.equals(d.id())
        : subject.keymap().station().devices().contains(d.id());
  }

  /** What a key does: what is bound to it, or what it does of itself. */
  private static String says(
      Map<Trigger, String> does, Words words, Device d, Page p, Device.Cap k) {
    String bound =
        does.getOrDefault(new Trigger.PadKey(d.id(), p.id(), k.id(), Trigger.Duration.TAP), "");
    if (!bound.isEmpty()) {
      return bound;
    }
    return p.sends(k.id())
        .map(
            s ->
                switch (s) {
                  case Page.Sends.Chord(Trigger.Keys keys) ->
                      does.getOrDefault(keys, words.trigger(keys));
                  case Page.Sends.Turn(String to) ->
                      Sheet.TEXTS.get("sheet.turns", d.page(to).map(Page::name).orElse(to));
                })
        .orElse("");
  }
}
