package org.jexel.app.photograph;

import java.awt.image.BufferedImage;
import java.util.Locale;
import java.util.Random;
import org.jexel.app.AppTest;
import org.jexel.app.Timed;
import org.jexel.app.Walker;
import org.jexel.app.exchange.Darkroom;
import org.jexel.app.exchange.Shot;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;

/**
 * {@code ./bench photographs [n]}: the pages of a job before and after n photographs, a hundred of
 * them at one check. Prints a table; judges nothing.
 */
@AppTest
@TestPropertySource(properties = "spring.jpa.properties.hibernate.generate_statistics=false")
class PhotographBenchmark {
  private static final int TIMES = 30;
  private static final int AT_ONE = 100;

  @Autowired private MockMvc mvc;
  @Autowired private JdbcTemplate sql;
  @Autowired private Darkroom darkroom;
  private Walker electrician;

  @Test
  void pages() throws Exception {
    electrician = new Walker(mvc, "electrician");
    int many = Integer.getInteger("jexel.photographs", 500);
    byte[] sent = Shot.jpeg(6, 4000, 3000);
    System.out.printf(Locale.ROOT, "%nms, first compiler%n");
    Timed.print(
        "a picture of 12 megapixels made",
        TIMES,
        () -> darkroom.develop(new java.io.ByteArrayInputStream(sent)));
    System.out.println("without photographs");
    all();
    fill(many);
    System.out.printf("with %d%n", many);
    all();
    Timed.print("the album", TIMES, () -> electrician.page("/jobs/J1002/photographs"));
    once("the report as PDF", "/jobs/J1002/report.pdf");
    once("the job's file", "/jobs/J1002/job.json");
  }

  private void all() throws Exception {
    Timed.print("a check", TIMES, () -> electrician.page("/jobs/J1002/bench?card=supply.battery"));
    Timed.print("the steps", TIMES, () -> electrician.page("/jobs/J1002/harness?card=steps"));
    Timed.print("the rig", TIMES, () -> electrician.page("/jobs/J1002/rig"));
    Timed.print("the care plan", TIMES, () -> electrician.page("/jobs/J1002/care"));
    Timed.print("the handover", TIMES, () -> electrician.page("/jobs/J1002/handover"));
    Timed.print("the board", TIMES, () -> electrician.page("/"));
  }

  /** Noise over a slope: as large as photographs are. */
  private void fill(int many) {
    Long job = sql.queryForObject("select id from job where ref = 'J1002'", Long.class);
    Random dice = new Random(5);
    long bytes = 0;
    BufferedImage image = new BufferedImage(1600, 1200, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < 1200; y++) {
      for (int x = 0; x < 1600; x++) {
        int grey = Math.max(0, Math.min(255, (x + y) / 11 + (int) (5 * dice.nextGaussian())));
        image.setRGB(x, y, grey * 0x10101);
      }
    }
    for (int i = 0; i < many; i++) {
      // Enough to be another one.
      image.setRGB(i, i, 0xff0000);
      Darkroom.Picture picture = darkroom.keep(image);
      bytes += picture.large().length;
      sql.update(
          "insert into picture (job_id, sha256, width, height, large, small) values (?,?,?,?,?,?)",
          job,
          picture.sha256(),
          picture.width(),
          picture.height(),
          picture.large(),
          picture.small());
      sql.update(
          "insert into photograph (job_id, about, subject, caption, picture_id, person_id, taken_at,"
              + " made_at, request_key) select ?, ?, ?, 'as seen', max(i.id), 1, now(3), now(3), ?"
              + " from picture i",
          job,
          i < AT_ONE ? "CHECK" : "FINDING",
          i < AT_ONE ? "supply.battery" : "",
          "bench " + i);
    }
    System.out.printf(Locale.ROOT, "%.0f kB a picture%n", bytes / 1000.0 / many);
  }

  private void once(String name, String path) throws Exception {
    long start = System.nanoTime();
    int bytes = electrician.answer(path).getContentAsByteArray().length;
    System.out.printf(
        Locale.ROOT,
        "%-34s %.0f ms, %.1f MB%n",
        name,
        (System.nanoTime() - start) / 1e6,
        bytes / 1e6);
  }
}
