package foldtwice.source;

import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/** What the names of a macro are called in a script. */
final class Identifiers {

  private static final Pattern ONE = Pattern.compile("[\\p{L}_$][\\p{L}\\p{Nd}_$]*");

  /** Words of the language, and what a script finds there or what its loops use. */
  private static final Set<String> TAKEN =
      Set.of(
          ("arguments at await break case catch class const continue debugger default delete do"
                  + " else enum eval export extends false finally for function if implements import"
                  + " in instanceof interface let new null package private protected public return"
                  + " static super switch this throw true try turn typeof undefined var void while"
                  + " with yield Date Error JSON Math Number Object Array String Map Set Infinity NaN")
              .split(" "));

  private final Map<String, String> called = new LinkedHashMap<>();
  private final Set<String> taken = new HashSet<>(TAKEN);

  Identifiers(Collection<String> names) {
    taken.addAll(Interface.GLOBALS);
    for (String name : names) {
      if (isOne(name) && taken.add(name)) {
        called.put(name, name);
      }
    }
    for (String name : names) {
      if (!called.containsKey(name)) {
        called.put(name, free(name));
      }
    }
  }

  /** True when a name can stand in a script as it is. */
  static boolean isOne(String name) {
    return ONE.matcher(name).matches();
  }

  /** What a name is called. */
  String of(String name) {
    return called.getOrDefault(name, name);
  }

  /** One like this that nothing else is called. */
  String free(String like) {
    String plain = like.replaceAll("[^\\p{L}\\p{Nd}_$]+", "_");
    String base = isOne(plain) ? plain : "_" + plain;
    String free = base;
    for (int i = 2; !taken.add(free); i++) {
      free = base + i;
    }
    return free;
  }
}
