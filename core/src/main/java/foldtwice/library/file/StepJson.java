package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.routine.Line;
import foldtwice.routine.Step;
import foldtwice.routine.StepKind;
import foldtwice.routine.StepKinds;
import foldtwice.text.Refusals;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The steps of macros, read and written by what {@link StepKinds} says of each kind. */
final class StepJson {

  /** The fields of each kind, as far as this version knows them. */
  private static final Map<StepKind<?>, Set<String>> FIELDS = new HashMap<>();

  static {
    for (StepKind<?> kind : StepKinds.ALL) {
      Set<String> fields = new HashSet<>(List.of("do", "off", "comment"));
      kind.parts().forEach(p -> fields.addAll(FormJson.fields(p.form(), p.name())));
      FIELDS.put(kind, fields);
    }
  }

  private StepJson() {}

  static Line line(In in) throws FormatException {
    String what = in.text("do");
    StepKind<?> kind = StepKinds.of(what).orElse(null);
    if (kind == null) {
      throw in.at("do").fault(Refusals.says("library.expected-one-found", StepKinds.ids(), what));
    }
    return new Line(
        step(kind, in), !in.flag("off"), in.text("comment", ""), in.rest(FIELDS.get(kind)));
  }

  private static <S extends Step> S step(StepKind<S> kind, In in) throws FormatException {
    List<Object> values = new ArrayList<>(kind.parts().size());
    for (StepKind.Part<S, ?> part : kind.parts()) {
      values.add(FormJson.read(part.form(), in, part.name()));
    }
    return kind.step(values);
  }

  static ArrayNode lines(List<Line> lines) {
    ArrayNode out = Json.MAPPER.createArrayNode();
    lines.forEach(l -> out.add(write(l)));
    return out;
  }

  private static ObjectNode write(Line line) {
    ObjectNode out = Json.object();
    StepKind<?> kind = StepKinds.of(line.step());
    out.put("do", kind.id());
    List<Object> values = kind.parts(line.step()).values();
    for (int i = 0; i < values.size(); i++) {
      StepKind.Part<?, ?> part = kind.parts().get(i);
      FormJson.write(part.form(), values.get(i), part.name(), out);
    }
    if (!line.on()) {
      out.put("off", true);
    }
    if (!line.comment().isEmpty()) {
      out.put("comment", line.comment());
    }
    return Json.with(line.extras(), out);
  }
}
