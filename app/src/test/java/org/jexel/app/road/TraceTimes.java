package org.jexel.app.road;

import java.io.InputStream;
import java.util.List;
import java.util.Locale;
import org.jexel.core.trace.BrakePhase;
import org.jexel.core.trace.Trace;

/** What the page of one trace costs, step by step; for the benchmark. */
public final class TraceTimes {
  private TraceTimes() {}

  public static String of(InputStream file) {
    long start = System.nanoTime();
    Trace trace = TraceReader.read(file);
    long read = System.nanoTime();
    List<BrakePhase> stops = BrakePhase.all(trace);
    long found = System.nanoTime();
    String drawing = TraceDrawing.draw(trace, stops, null);
    long drawn = System.nanoTime();
    Runtime heap = Runtime.getRuntime();
    return String.format(
        Locale.ROOT,
        "read %.2f s, %d stops in %.2f s, %d kB drawn in %.2f s, heap %d MB",
        (read - start) / 1e9,
        stops.size(),
        (found - read) / 1e9,
        drawing.length() / 1000,
        (drawn - found) / 1e9,
        (heap.totalMemory() - heap.freeMemory()) >> 20);
  }
}
