package org.jexel.app;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicInteger;
import org.jexel.app.security.Person;
import org.jexel.app.security.PersonRepository;
import org.jexel.app.security.Role;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.test.web.servlet.MockMvc;

/**
 * Twenty people at one job for a minute, mixed posts; run by {@code ./bench crowd}, not with the
 * tests. Each post is either in the job afterwards, or its author was asked about it.
 */
@AppTest
class CrowdBenchmark {
  private static final int PEOPLE = 20;
  private static final String WORD = "crowd-of-20";

  @LocalServerPort private int port;
  @Autowired private MockMvc mvc;
  @Autowired private JdbcTemplate sql;
  @Autowired private PersonRepository people;
  @Autowired private PasswordEncoder passwords;

  private final Map<Integer, AtomicInteger> statuses = new ConcurrentSkipListMap<>();
  private final Map<String, AtomicInteger> became = new ConcurrentSkipListMap<>();
  private final List<String> lost = new CopyOnWriteArrayList<>();
  private final List<Double> times = new CopyOnWriteArrayList<>();

  @Test
  void crowd() throws Exception {
    long seconds = Long.getLong("jexel.seconds", 60);
    String ref = new Walker(mvc, "electrician").newJob("Crowded", "ELECTRIC", "2");
    Person owner = people.findBySignIn("owner").orElseThrow();
    String hash = passwords.encode(WORD);
    List<Thread> crowd = new ArrayList<>();
    long end = System.nanoTime() + seconds * 1_000_000_000;
    for (int i = 0; i < PEOPLE; i++) {
      String name = "crowd" + i;
      if (people.findBySignIn(name).isEmpty()) {
        people.save(new Person(owner.workshop(), name, "Hand " + i, hash, Role.ELECTRICIAN));
      }
      int who = i;
      Thread hand = new Thread(() -> work(ref, name, new Random(who), end));
      crowd.add(hand);
      hand.start();
    }
    for (Thread hand : crowd) {
      hand.join();
    }
    List<Double> sorted = times.stream().sorted().toList();
    System.out.printf(
        Locale.ROOT,
        "%n%d people, one job, %d s, %d posts, median %.0f ms, 95th %.0f ms, greatest %.0f ms%n"
            + "answers by status: %s%nwhat became of them: %s%nlost without a question: %d%n",
        PEOPLE,
        seconds,
        sorted.size(),
        sorted.get(sorted.size() / 2),
        sorted.get(sorted.size() * 95 / 100),
        sorted.get(sorted.size() - 1),
        new TreeMap<>(statuses),
        new TreeMap<>(became),
        lost.size());
    lost.stream().limit(10).forEach(System.out::println);
    System.out.println(
        "pages that do not open afterwards: " + new Walker(mvc, "electrician").broken(ref));
  }

  private void work(String ref, String name, Random dice, long end) {
    try {
      Http http = new Http(port);
      if (!http.signIn(name, WORD).body().contains("Jobs, by what is next")) {
        lost.add(name + " could not sign in");
      }
      int n = 0;
      while (System.nanoTime() < end) {
        act(http, ref, name, n++, dice);
        Thread.sleep(dice.nextInt(120));
      }
    } catch (Exception | AssertionError e) {
      lost.add(name + " stopped: " + e);
    }
  }

  private void act(Http http, String ref, String name, int n, Random dice) throws Exception {
    String job = "/jobs/" + ref;
    String key = UUID.randomUUID().toString();
    switch (dice.nextInt(6)) {
      case 0, 1 -> {
        String check = List.of("supply.battery", "socket.tail", "socket.left").get(dice.nextInt(3));
        String page = http.get(job + "/bench?card=" + check).body();
        String body =
            post(
                http,
                page,
                job + "/bench/" + check,
                Map.of(
                    "reading",
                    "12." + dice.nextInt(99),
                    "seen",
                    Walker.hidden(page, "seen"),
                    "requestKey",
                    key));
        became("reading", key, count("reading where request_key = ?", key), body);
      }
      case 2 -> {
        String page = http.get(job + "/rig?card=vehicle").body();
        String mass = String.valueOf(1500 + dice.nextInt(1500));
        String body =
            post(
                http,
                page,
                job + "/figures/vehicle",
                Map.of(
                    "KERB_MASS.0",
                    mass,
                    "KERB_MASS.0.was",
                    "",
                    "KERB_MASS.0.seen",
                    Walker.hidden(page, "KERB_MASS.0.seen")));
        long stored =
            count(
                "rig_figure f join person p on p.id = f.person_id"
                    + " where p.sign_in = ? and f.si = ? and f.field_code = 'KERB_MASS.0'",
                name,
                Double.valueOf(mass));
        became("figure", mass, stored, body);
      }
      case 3 -> {
        String page = http.get(job + "/cab?card=mounting").body();
        String yaw = dice.nextInt(9) + "." + dice.nextInt(99);
        String body =
            post(
                http,
                page,
                job + "/cab/mounting",
                Map.of("seen", Walker.hidden(page, "seen"), "yaw", yaw));
        long stored =
            count(
                "cab_note c join person p on p.id = c.person_id where p.sign_in = ?"
                    + " and c.content like ?",
                name,
                "%yaw=" + yaw + "%");
        became("cab card", yaw, stored, body);
      }
      case 4 -> {
        String page = http.get(job + "/rig?card=load").body();
        String body =
            post(
                http,
                page,
                job + "/rig/load",
                Map.of("name", "Crate", "mass", "1", "place", "2.6", "requestKey", key));
        became("load", key, count("load_item where request_key = ?", key), body);
      }
      default -> {
        String page = http.get(job + "/bench?card=socket.right").body();
        post(
            http,
            page,
            job + "/bench/socket.right/draft",
            Map.of("reading", "1" + n, "seen", Walker.hidden(page, "seen"), "requestKey", key));
      }
    }
  }

  private long count(String from, Object... values) {
    return sql.queryForObject("select count(*) from " + from, Long.class, values);
  }

  private void became(String kind, String what, long stored, String body) {
    boolean asked =
        body.contains("while you had this open") || body.contains("while you had it open");
    String fate = stored > 0 ? "stands" : asked ? "asked" : "LOST";
    became.computeIfAbsent(kind + " " + fate, k -> new AtomicInteger()).incrementAndGet();
    if (fate.equals("LOST") || kind.equals("load") && stored != 1) {
      int title = body.indexOf("<title>");
      lost.add(
          "%s %s %d, answered %s"
              .formatted(kind, what, stored, body.substring(title, title + 60).strip()));
    }
  }

  private String post(Http http, String page, String path, Map<String, String> fields)
      throws Exception {
    Map<String, String> all = new HashMap<>(fields);
    all.put("_csrf", Walker.hidden(page, "_csrf"));
    long start = System.nanoTime();
    var answer = http.post(path, all);
    times.add((System.nanoTime() - start) / 1e6);
    statuses.computeIfAbsent(answer.statusCode(), s -> new AtomicInteger()).incrementAndGet();
    return answer.body();
  }
}
