package foldtwice.merge;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Lists whose members are told from one another by a field, whatever their order. */
final class Keyed {

  /** By the first of these that all members have, each another one. */
  private static final List<List<String>> KEYS =
      List.of(
          List.of("id"),
          List.of("conflict"),
          List.of("station", "application"),
          List.of("binding"),
          List.of("was/id"),
          List.of("of"),
          List.of("application"),
          List.of("name"),
          List.of("title"));

  private Keyed() {}

  /** The fields that tell the members of all these lists apart; empty when nothing does. */
  static Optional<List<String>> by(List<JsonNode> lists) {
    return KEYS.stream().filter(key -> lists.stream().allMatch(l -> tells(key, l))).findFirst();
  }

  private static boolean tells(List<String> key, JsonNode list) {
    for (JsonNode one : list) {
      if (one.has("do") || !key.stream().allMatch(k -> at(one, k).isTextual())) {
        return false; // steps may be alike
      }
    }
    return members(list, key).size() == list.size();
  }

  /** The members by what tells them apart. */
  static Map<String, JsonNode> members(JsonNode list, List<String> key) {
    Map<String, JsonNode> members = new LinkedHashMap<>();
    for (JsonNode one : list) {
      StringBuilder id = new StringBuilder();
      for (String k : key) {
        id.append(id.isEmpty() ? "" : " ").append(at(one, k).asText());
      }
      members.put(id.toString(), one);
    }
    return members;
  }

  private static JsonNode at(JsonNode one, String key) {
    return one.at("/" + key);
  }
}
