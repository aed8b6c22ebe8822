package foldtwice.place;

import foldtwice.trigger.FileNotation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Platform;
import foldtwice.trigger.Trigger;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Kinds of desktops and the keys they keep, to begin a station with; shipped as a table. */
public final class Desktops {

  /**
   * A kind of desktop.
   *
   * @param reserved what it keeps, written with the modifiers of the computer itself
   */
  public record Kind(String id, String name, Platform platform, List<Station.Reserved> reserved) {
    public Kind {
      reserved = List.copyOf(reserved);
    }

    /** The same station with this desktop. */
    public Station on(Station station) {
      return station
          .withKeyboard(station.layout(), station.shape(), platform)
          .withReserved(reserved);
    }
  }

  /** All that ship, in the order choosers list them. */
  public static final List<Kind> ALL = load();

  private Desktops() {}

  private static List<Kind> load() {
    Map<String, Kind> kinds = new LinkedHashMap<>();
    try (var in =
        new BufferedReader(
            new InputStreamReader(
                Desktops.class.getResourceAsStream("desktops.tsv"), StandardCharsets.UTF_8))) {
      for (String line = in.readLine(); line != null; line = in.readLine()) {
        if (!line.startsWith("#")) {
          String[] f = line.split("\t", -1);
          Kind so =
              kinds.getOrDefault(f[0], new Kind(f[0], f[1], Platform.valueOf(f[2]), List.of()));
          List<Station.Reserved> more = new ArrayList<>(so.reserved());
          more.add(new Station.Reserved(Trigger.Keys.of(FileNotation.read(f[3])), f[4]));
          kinds.put(f[0], new Kind(so.id(), so.name(), so.platform(), more));
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException("desktops.tsv, shipped in the jar, cannot be read", e);
    } catch (NotationException e) {
      throw new IllegalStateException("desktops.tsv, shipped in the jar, is wrong", e);
    }
    return List.copyOf(kinds.values());
  }
}
