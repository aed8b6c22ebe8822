package foldtwice.library;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * Hands out ids, each once: {@code wanted}, {@code wanted-2}, {@code wanted-3} … Each costs the
 * same however many have wanted that name before.
 */
public final class FreeIds {

  private final Set<String> taken = new HashSet<>();
  private final Map<String, Integer> next = new HashMap<>();

  /** One that has not been handed out. */
  public String take(String wanted) {
    int n = next.getOrDefault(wanted, 1);
    String id = n == 1 ? wanted : wanted + "-" + n;
    while (!taken.add(id)) {
      n++;
      id = wanted + "-" + n;
    }
    next.put(wanted, n + 1);
    return id;
  }
}
