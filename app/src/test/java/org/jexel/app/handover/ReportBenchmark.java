package org.jexel.app.handover;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;

/**
 * {@code ./bench report}: the report of each demo job as PDF, then 100 of the fullest at once, in a
 * heap of 512 MB. Prints a table; judges nothing.
 */
@AppTest
@TestPropertySource(properties = "spring.jpa.properties.hibernate.generate_statistics=false")
class ReportBenchmark {
  private static final int TIMES = 15;
  private static final int AT_ONCE = 100;

  @Autowired private MockMvc mvc;

  @Test
  void sheets() throws Exception {
    Walker viewer = new Walker(mvc, "viewer");
    System.out.printf("%njob         first ms  median ms       kB%n");
    String fullest = "";
    int most = 0;
    for (String ref : List.of("J1001", "J1002", "J1003", "J1004", "J1005", "J1006")) {
      long[] nanos = new long[TIMES];
      int size = 0;
      for (int i = 0; i < TIMES; i++) {
        long start = System.nanoTime();
        size = sheet(viewer, ref);
        nanos[i] = System.nanoTime() - start;
      }
      double first = nanos[0] / 1e6;
      Arrays.sort(nanos);
      System.out.printf(
          Locale.ROOT,
          "%-8s %10.0f %10.0f %10.0f%n",
          ref,
          first,
          nanos[TIMES / 2] / 1e6,
          size / 1e3);
      if (size > most) {
        most = size;
        fullest = ref;
      }
    }
    atOnce(viewer, fullest);
  }

  private static int sheet(Walker viewer, String ref) throws Exception {
    return viewer.answer("/jobs/" + ref + "/report.pdf").getContentAsByteArray().length;
  }

  private static void atOnce(Walker viewer, String ref) throws Exception {
    ExecutorService people = Executors.newFixedThreadPool(AT_ONCE);
    long start = System.nanoTime();
    List<Future<Integer>> sheets = new ArrayList<>();
    for (int i = 0; i < AT_ONCE; i++) {
      sheets.add(people.submit(() -> sheet(viewer, ref)));
    }
    int whole = 0;
    for (Future<Integer> sheet : sheets) {
      whole += sheet.get() > 50_000 ? 1 : 0;
    }
    people.shutdown();
    Runtime java = Runtime.getRuntime();
    long held = java.totalMemory();
    System.gc();
    System.out.printf(
        Locale.ROOT,
        "%d of %s at once: %d whole in %.1f s; heap %d MB of %d MB, %d MB once swept%n",
        AT_ONCE,
        ref,
        whole,
        (System.nanoTime() - start) / 1e9,
        held >> 20,
        java.maxMemory() >> 20,
        (java.totalMemory() - java.freeMemory()) >> 20);
  }
}
