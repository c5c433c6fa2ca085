package org.jexel.app;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.TestPropertySource;

/**
 * Pages with 2 000 jobs in the database and 20 people at once, each a second between pages; run by
 * {@code ./bench}, not with the tests. Prints a table; judges nothing.
 */
@AppTest
@TestPropertySource(properties = "spring.jpa.properties.hibernate.generate_statistics=false")
class PageBenchmark {
  private static final int JOBS = 2000;
  private static final int PEOPLE = 20;
  private static final int WARM_UP_PAGES = 30;
  private static final int PAGES = 40;
  private static final String[] KINDS = {
    "board", "rig", "harness", "cab", "bench", "breakaway", "road", "handover"
  };

  private static final String[] ACCOUNTS = {"owner", "electrician", "viewer"};

  @LocalServerPort private int port;
  @Autowired private JdbcTemplate database;

  @Test
  void pages() throws Exception {
    multiply();
    Map<String, List<Double>> times = new ConcurrentHashMap<>();
    List<Thread> people = new ArrayList<>();
    for (int i = 0; i < PEOPLE; i++) {
      int who = i;
      Thread person = new Thread(() -> browse(who, times));
      people.add(person);
      person.start();
    }
    for (Thread person : people) {
      person.join();
    }
    System.out.printf(
        Locale.ROOT,
        "%n%d jobs, %d people, 1 s between pages, %d pages each after %d to warm up%n",
        database.queryForObject("select count(*) from job", Integer.class),
        PEOPLE,
        PAGES,
        WARM_UP_PAGES);
    System.out.printf(
        "%-10s %6s %12s %12s %12s%n", "page", "n", "median ms", "95th ms", "greatest ms");
    double[] all = times.values().stream().flatMap(List::stream).mapToDouble(d -> d).toArray();
    for (String kind : KINDS) {
      print(kind, times.get(kind).stream().mapToDouble(d -> d).toArray());
    }
    print("all", all);
  }

  private static void print(String name, double[] times) {
    Arrays.sort(times);
    System.out.printf(
        Locale.ROOT,
        "%-10s %6d %12.1f %12.1f %12.1f%n",
        name,
        times.length,
        times[times.length / 2],
        times[(int) Math.ceil(0.95 * times.length) - 1],
        times[times.length - 1]);
  }

  /** Copies the demo's jobs with their readings and stops until there are enough. */
  private void multiply() {
    int n = 0;
    while (database.queryForObject("select count(*) from job", Integer.class) < JOBS) {
      long from = 1 + n % 6;
      n++;
      String key = "copy-" + n;
      database.update(
          "insert into job (workshop_id, ref, title, customer, wish, tow_id, trailer_id,"
              + " controller_id, next_station, next_act, request_key, created_at,"
              + " updated_at, version) select workshop_id, ?, concat(title, ' ', ?), customer, wish,"
              + " tow_id, trailer_id, controller_id, next_station, next_act, ?, created_at,"
              + " updated_at, 0 from job where id = ?",
          "J" + (10_000 + n),
          n,
          key,
          from);
      Long id =
          database.queryForObject("select id from job where request_key = ?", Long.class, key);
      database.update(
          "insert into reading (job_id, check_id, title, measure, value_si, typed, expected_si,"
              + " low_si, high_si, verdict, person_id, taken_at, request_key) select ?, check_id,"
              + " title, measure, value_si, typed, expected_si, low_si, high_si, verdict, person_id,"
              + " taken_at, md5(concat(?, check_id)) from reading where job_id = ? and corrects_id is null",
          id,
          key,
          from);
    }
  }

  private void browse(int who, Map<String, List<Double>> times) {
    try {
      Http http = new Http(port);
      // Three accounts in turn: ten sign-ins of one name within a minute are throttled.
      String name = ACCOUNTS[who % ACCOUNTS.length];
      http.signIn(name, name + "-valley");
      Thread.sleep(50L * who);
      for (int i = 0; i < WARM_UP_PAGES + PAGES; i++) {
        String kind = KINDS[(who + i) % KINDS.length];
        String path =
            kind.equals("board")
                ? "/?page=" + (1 + (who * 7 + i) % 50)
                : "/jobs/J" + (10_001 + (who * 97 + i * 31) % 1900) + "/" + kind;
        long start = System.nanoTime();
        var answer = http.get(path);
        double ms = (System.nanoTime() - start) / 1e6;
        if (answer.statusCode() != 200) {
          throw new IllegalStateException(path + " answered " + answer.statusCode());
        }
        if (i >= WARM_UP_PAGES) {
          times.computeIfAbsent(kind, k -> new CopyOnWriteArrayList<>()).add(ms);
        }
        Thread.sleep(1000);
      }
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
  }
}
