package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.extras.Extras;
import foldtwice.library.Outlay;
import foldtwice.library.Procedure;
import foldtwice.routine.Yardstick;
import foldtwice.text.Refusals;
import java.math.BigDecimal;
import java.util.List;
import java.util.Set;

/** Procedures, and what things have cost. */
final class PaybackJson {

  private static final Set<String> PROCEDURE =
      Set.of("id", "name", "parts", "timesPerWeek", "atATime", "byHand");
  private static final Set<String> OUTLAY = Set.of("id", "minutes", "price", "currency");
  private static final Set<String> PART = Set.of("binding", "application", "command");

  private PaybackJson() {}

  static Procedure procedure(In in) throws FormatException {
    List<Procedure.Part> parts = in.list("parts", PaybackJson::part);
    if (parts.size() > Procedure.MOST) {
      throw in.at("parts").expected(Refusals.says("library.at-most-parts", Procedure.MOST));
    }
    int atATime = in.has("atATime") ? in.whole("atATime") : 1;
    if (atATime < 1) {
      throw in.at("atATime").expected(Refusals.says("library.whole-number-from"));
    }
    return new Procedure(
        in.id("id"),
        in.text("name", ""),
        parts,
        notNegative(in, "timesPerWeek"),
        atATime,
        new Yardstick(in.list("byHand", RoutineJson::move)),
        in.rest(PROCEDURE));
  }

  private static double notNegative(In in, String name) throws FormatException {
    double number = in.number(name, 0);
    if (number < 0) {
      throw in.at(name).expected(Refusals.says("library.or-more"));
    }
    return number;
  }

  private static Procedure.Part part(In in) throws FormatException {
    return in.part(
        PART,
        in.has("binding")
            ? new Procedure.Part.Bound(in.text("binding"))
            : new Procedure.Part.Native(in.text("application"), in.text("command")),
        PaybackJson::write);
  }

  static ObjectNode write(Procedure p) {
    ObjectNode out = Json.object().put("id", p.id()).put("name", p.name());
    ArrayNode parts = out.putArray("parts");
    p.parts().forEach(part -> parts.add(write(part)));
    if (p.timesPerWeek() > 0) {
      LibraryJson.putNumber(out, "timesPerWeek", p.timesPerWeek());
    }
    if (p.atATime() != 1) {
      out.put("atATime", p.atATime());
    }
    if (!p.yardstick().moves().isEmpty()) {
      ArrayNode moves = out.putArray("byHand");
      p.yardstick().moves().forEach(m -> moves.add(RoutineJson.write(m)));
    }
    return Json.with(p.extras(), out);
  }

  private static ObjectNode write(Procedure.Part part) {
    return switch (part) {
      case Procedure.Part.Bound(String binding) -> Json.object().put("binding", binding);
      case Procedure.Part.Native(String application, String command) ->
          Json.object().put("application", application).put("command", command);
    };
  }

  static Outlay outlay(In in) throws FormatException {
    BigDecimal price;
    try {
      price = new BigDecimal(in.text("price", "0"));
    } catch (NumberFormatException e) {
      throw in.at("price").expected(Refusals.says("library.price-such-as"));
    }
    if (price.signum() < 0 || Math.abs((long) price.scale()) > 12 || price.precision() > 20) {
      throw in.at("price").expected(Refusals.says("library.price-or-more"));
    }
    String currency = in.text("currency", "");
    if (!currency.isEmpty() && !Outlay.isCurrency(currency)) {
      throw in.at("currency").expected(Refusals.says("library.currency-by-iso-such"));
    }
    Extras rest = in.rest(OUTLAY);
    return new Outlay(in.text("id"), notNegative(in, "minutes"), price, currency, rest);
  }

  static ObjectNode write(Outlay o) {
    ObjectNode out = Json.object().put("id", o.id());
    if (o.minutes() > 0) {
      LibraryJson.putNumber(out, "minutes", o.minutes());
    }
    if (o.price().signum() > 0) {
      out.put("price", o.price().toPlainString());
    }
    if (!o.currency().isEmpty()) {
      out.put("currency", o.currency());
    }
    return Json.with(o.extras(), out);
  }
}
