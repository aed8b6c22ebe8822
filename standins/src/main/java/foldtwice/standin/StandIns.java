package foldtwice.standin;

import foldtwice.run.Program;
import foldtwice.standin.tagpress.Tagpress;
import foldtwice.standin.vasculum.Vasculum;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** The stand-ins that ship. */
public final class StandIns {

  private StandIns() {}

  /** A fresh one of each, by application id. */
  public static Map<String, Program> all() {
    Map<String, Program> all = new LinkedHashMap<>();
    all.put(Vasculum.ID, new Vasculum());
    all.put(Tagpress.ID, new Tagpress());
    return all;
  }

  /** A fresh one for this application, if one ships. */
  public static Optional<Program> of(String application) {
    return Optional.ofNullable(all().get(application));
  }
}
