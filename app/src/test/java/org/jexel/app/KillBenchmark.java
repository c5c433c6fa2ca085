package org.jexel.app;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;

/**
 * Kills server, database or both while people work, starts again, and looks for everything that was
 * acknowledged: run by {@code ./bench kill [rounds]}, not with the tests.
 */
class KillBenchmark {
  private static final int HANDS = 4;
  private static final int ACTS_BEFORE = 12;
  private static final List<String> JOBS = List.of("J1001", "J1002", "J1003", "J1004");

  /** An acknowledged act, and how its row is found again. */
  private record Act(String kind, String count, Object[] values) {}

  private final List<Act> acknowledged = new CopyOnWriteArrayList<>();

  @Test
  void kills() throws Exception {
    int rounds = Integer.getInteger("jexel.rounds", 30);
    Random dice = new Random(Long.getLong("jexel.seed", 1));
    Map<String, Integer> killed = new HashMap<>();
    int closed = 0;
    try (RunScript script = new RunScript()) {
      script.up();
      for (int round = 0; round < rounds; round++) {
        int before = acknowledged.size();
        AtomicBoolean going = new AtomicBoolean(true);
        List<Thread> hands = new ArrayList<>();
        for (int i = 0; i < HANDS; i++) {
          String job = JOBS.get(i);
          long seed = dice.nextLong();
          Thread hand = new Thread(() -> work(script.port(), job, new Random(seed), going));
          hands.add(hand);
          hand.start();
        }
        // A kill proves nothing while nobody works: not before some acts were acknowledged.
        while (acknowledged.size() < before + ACTS_BEFORE) {
          Thread.sleep(20);
        }
        Thread.sleep(dice.nextInt(800));
        int how = round % 3;
        if (how != 0) {
          script.killDatabase();
        }
        if (how != 1) {
          script.pid("server").destroyForcibly();
        }
        killed.merge(List.of("server", "database", "both").get(how), 1, Integer::sum);
        going.set(false);
        for (Thread hand : hands) {
          hand.join();
        }
        script.done(true, "stop");
        script.up();
        closed += pages(script.port(), List.of(JOBS.get(round % JOBS.size())));
      }
      closed += pages(script.port(), JOBS);
      report(rounds, killed, closed, script.dbPort());
    }
  }

  private void report(int rounds, Map<String, Integer> killed, int closed, int dbPort)
      throws SQLException {
    Map<String, int[]> fates = new HashMap<>();
    List<String> wrong = new ArrayList<>();
    try (Connection db =
        DriverManager.getConnection(
            "jdbc:mariadb://127.0.0.1:" + dbPort + "/jexel?user=jexel&password=jexel")) {
      for (Act act : acknowledged) {
        int there = count(db, act);
        int[] fate = fates.computeIfAbsent(act.kind(), k -> new int[3]);
        fate[0]++;
        fate[1] += there == 0 ? 1 : 0;
        fate[2] += there > 1 ? 1 : 0;
        if (there != 1) {
          wrong.add(act.kind() + " " + List.of(act.values()) + ": " + there);
        }
      }
    }
    System.out.printf(
        Locale.ROOT,
        "%n%d rounds, killed %s, %d acts acknowledged%n",
        rounds,
        killed,
        acknowledged.size());
    System.out.printf("%-10s %12s %6s %8s%n", "act", "acknowledged", "lost", "doubled");
    fates.forEach((kind, f) -> System.out.printf("%-10s %12d %6d %8d%n", kind, f[0], f[1], f[2]));
    wrong.stream().limit(10).forEach(System.out::println);
    System.out.println("pages that did not open after a round: " + closed);
  }

  private static int count(Connection db, Act act) throws SQLException {
    try (PreparedStatement statement = db.prepareStatement("select count(*) from " + act.count())) {
      for (int i = 0; i < act.values().length; i++) {
        statement.setObject(i + 1, act.values()[i]);
      }
      try (ResultSet row = statement.executeQuery()) {
        row.next();
        return row.getInt(1);
      }
    }
  }

  private static int pages(int port, List<String> jobs) throws Exception {
    Http http = new Http(port);
    http.signIn("electrician", "electrician-valley");
    int closed = 0;
    for (String job : jobs) {
      for (String path : Walker.whole(job)) {
        if (!path.startsWith("/api") && http.get(path).statusCode() != 200) {
          System.out.println("closed: " + path);
          closed++;
        }
      }
    }
    return closed;
  }

  private void work(int port, String job, Random dice, AtomicBoolean going) {
    try {
      Http http = new Http(port);
      http.signIn("electrician", "electrician-valley");
      while (going.get()) {
        act(http, "/jobs/" + job, job, dice);
      }
    } catch (Exception | AssertionError killed) {
      // The server or its database is gone: that is what this is about.
      return;
    }
  }

  private void act(Http http, String path, String job, Random dice) throws Exception {
    String key = UUID.randomUUID().toString();
    switch (dice.nextInt(6)) {
      case 0 -> {
        String page = http.get(path + "/bench?card=supply.battery").body();
        post(
            http,
            page,
            path + "/bench/supply.battery",
            Map.of("reading", "12.6", "seen", Walker.hidden(page, "seen"), "requestKey", key),
            new Act("reading", "reading where request_key = ?", new Object[] {key}));
      }
      case 1 -> {
        String page = http.get(path + "/rig?card=vehicle").body();
        double mass = 1500 + dice.nextInt(1_000_000) / 1000.0;
        post(
            http,
            page,
            path + "/figures/vehicle",
            Map.of(
                "KERB_MASS.0", String.format(Locale.ROOT, "%.3f", mass),
                "KERB_MASS.0.was", "",
                "KERB_MASS.0.seen", Walker.hidden(page, "KERB_MASS.0.seen")),
            new Act(
                "figure",
                "rig_figure where field_code = 'KERB_MASS.0' and abs(si - ?) < 1e-6",
                new Object[] {mass}));
      }
      case 2 -> {
        String page = http.get(path + "/rig?card=load").body();
        post(
            http,
            page,
            path + "/rig/load",
            Map.of("name", "Crate", "mass", "1", "place", "2.6", "requestKey", key),
            new Act("load", "load_item where request_key = ?", new Object[] {key}));
      }
      case 3 -> {
        String page = http.get(path + "/cab?card=signal").body();
        post(
            http,
            page,
            path + "/cab/signal",
            Map.of("seen", Walker.hidden(page, "seen"), "wire5", key.substring(0, 20)),
            new Act(
                "cab card",
                "cab_note where content like ?",
                new Object[] {"%" + key.substring(0, 20) + "%"}));
      }
      case 4 -> {
        String page = http.get("/jobs/new").body();
        Map<String, String> fields =
            Map.ofEntries(
                Map.entry("requestKey", key),
                Map.entry("trailer", "Killed"),
                Map.entry("tow", "Pick-up"),
                Map.entry("customer", "Yard"),
                Map.entry("wish", "ANNUAL"),
                Map.entry("kind", "FLATBED"),
                Map.entry("axles", "1"),
                Map.entry("brakes", "NONE"),
                Map.entry("towConnector", "blade-7"),
                Map.entry("trailerConnector", "blade-7"),
                Map.entry("controller", "UNDER_DASH"));
        post(
            http,
            page,
            "/jobs",
            fields,
            new Act("new job", "job where request_key = ?", new Object[] {key}));
      }
      default -> stop(http, path, key);
    }
  }

  /** A stop where the gate is open, else what is half filled in is kept. */
  private void stop(Http http, String path, String key) throws Exception {
    String page = http.get(path + "/road").body();
    boolean open = page.contains("Record the stop");
    String gain = open ? "5" : key.substring(0, 12);
    post(
        http,
        page,
        path + (open ? "/road/stops" : "/road/draft"),
        Map.ofEntries(
            Map.entry("gain", gain),
            Map.entry("way", "LEVER"),
            Map.entry("speed", "40 km/h"),
            Map.entry("surface", "DRY_ASPHALT"),
            Map.entry("outcome", "FIRM"),
            Map.entry("distance", "30 m"),
            Map.entry("seconds", ""),
            Map.entry("note", ""),
            Map.entry("requestKey", key)),
        open ? new Act("stop", "test_stop where request_key = ?", new Object[] {key}) : null);
  }

  private void post(Http http, String page, String path, Map<String, String> fields, Act act)
      throws Exception {
    Map<String, String> all = new HashMap<>(fields);
    all.put("_csrf", Walker.hidden(page, "_csrf"));
    var answer = http.post(path, all);
    // An answer that asks back is none that acknowledges.
    boolean kept =
        answer.statusCode() == 200
            && !answer.body().contains("while you had this open")
            && !answer.body().contains("aria-invalid=\"true\"");
    if (kept && act != null) {
      acknowledged.add(act);
    }
  }
}
