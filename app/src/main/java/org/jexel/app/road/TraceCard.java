package org.jexel.app.road;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.exchange.KeptFile;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.TypedFields;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.trace.BrakePhase;
import org.jexel.core.trace.Trace;
import org.jspecify.annotations.Nullable;

/** A recorded drive with its stops, and the part that somebody chose by hand. */
record TraceCard(
    KeptFile file,
    String problem,
    List<String> notes,
    List<BrakePhase> stops,
    String drawing,
    boolean turned,
    Map<String, String> typed,
    Map<String, String> problems,
    @Nullable BrakePhase part) {

  static void show(
      JobFile job, Traces traces, Map<String, String> asked, Map<String, Object> view) {
    view.put("traces", traces.all(job));
    String chosen = asked.getOrDefault("trace", "");
    if (chosen.matches("\\d{1,18}")) {
      view.put("trace", of(job, traces, Long.parseLong(chosen), asked));
    }
  }

  private static TraceCard of(JobFile job, Traces traces, long id, Map<String, String> asked) {
    KeptFile file = traces.of(job, id);
    Traces.Read read = traces.read(file);
    boolean turned = asked.containsKey("turned");
    Map<String, String> typed = new HashMap<>();
    for (String field : List.of("from", "to")) {
      typed.put(field, asked.getOrDefault(field, ""));
    }
    if (read.trace().isEmpty()) {
      return new TraceCard(
          file, read.problem(), List.of(), List.of(), "", turned, typed, Map.of(), null);
    }
    Trace trace = turned ? read.trace().get(0).turned() : read.trace().get(0);
    TypedFields fields = new TypedFields(typed, UnitSystem.METRIC);
    BrakePhase part = part(trace, fields);
    List<BrakePhase> stops = BrakePhase.all(trace);
    return new TraceCard(
        file,
        "",
        trace.notes(),
        stops,
        TraceDrawing.draw(trace, stops, part),
        turned,
        typed,
        fields.problems(),
        part);
  }

  private static @Nullable BrakePhase part(Trace trace, TypedFields fields) {
    if (fields.text("from").isEmpty() && fields.text("to").isEmpty()) {
      return null;
    }
    Double from = fields.number("from", Measure.SECONDS);
    Double to = fields.number("to", Measure.SECONDS);
    if (from == null || to == null) {
      return null;
    }
    try {
      return BrakePhase.of(trace, from, to);
    } catch (IllegalArgumentException no) {
      fields.problem("to", String.valueOf(no.getMessage()));
      return null;
    }
  }
}
