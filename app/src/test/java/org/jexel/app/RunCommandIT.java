package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The command {@code ./run} as a person uses it, and what survives a hard end. */
class RunCommandIT {
  private RunScript script;

  @BeforeEach
  void prepare() throws IOException {
    script = new RunScript();
  }

  @AfterEach
  void clear() throws Exception {
    script.close();
  }

  @Test
  void anAcknowledgedReadingSurvivesAHardEndOfServerAndDatabase() throws Exception {
    Process first = script.up();
    assertThat(script.output(first))
        .contains("http://127.0.0.1:" + script.port() + "/", "electrician-valley", "demo-token");

    Process second = script.run();
    assertThat(second.waitFor(20, TimeUnit.SECONDS)).isTrue();
    assertThat(script.output(second))
        .contains("already running at http://127.0.0.1:" + script.port() + "/");

    // Whoever has not signed in leaves no row.
    Http visitor = new Http(script.port());
    for (String path : List.of("/sign-in", "/", "/jobs/J1001/rig", "/static/css/jexel.css", "/h")) {
      visitor.get(path);
    }
    visitor.signIn("viewer", "wrong-password");
    assertThat(script.asked("select count(*) from SPRING_SESSION")).isZero();

    Http electrician = new Http(script.port());
    electrician.signIn("electrician", "electrician-valley");
    String page = electrician.get("/jobs/J1001/bench?card=supply.battery").body();
    var acknowledged =
        electrician.post(
            "/jobs/J1001/bench/supply.battery",
            Map.of(
                "reading", "12.57",
                "seen", Walker.hidden(page, "seen"),
                "requestKey", Walker.hidden(page, "requestKey"),
                "_csrf", Walker.hidden(page, "_csrf")));
    assertThat(acknowledged.statusCode()).isEqualTo(200);
    assertThat(acknowledged.body()).contains("12.57 V");

    ProcessHandle server = script.pid("server");
    ProcessHandle database = script.pid("db");
    database.destroyForcibly();
    server.destroyForcibly();
    assertThat(first.waitFor(60, TimeUnit.SECONDS)).isTrue();

    Process again = script.up();
    // The session lives in the database, so the same person is still signed in.
    assertThat(electrician.get("/jobs/J1001/bench?card=supply.battery").body())
        .contains("12.57 V", "stands");
    // The log of the server that ended hard is still there.
    assertThat(Files.readString(script.data().resolve("jexel.log")))
        .contains("The demo workshop is loaded.");

    ProcessHandle lastServer = script.pid("server");
    ProcessHandle lastDatabase = script.pid("db");
    Process stop = script.run("stop");
    assertThat(stop.waitFor(60, TimeUnit.SECONDS)).isTrue();
    assertThat(script.output(stop)).contains("Nothing is lost");
    assertThat(again.waitFor(30, TimeUnit.SECONDS)).isTrue();
    assertThat(lastServer.isAlive()).isFalse();
    assertThat(lastDatabase.isAlive()).isFalse();
  }

  @Test
  void anEmptyStartMakesTheFirstOwnerOnce() throws Exception {
    Process up = script.up("--empty");
    assertThat(script.output(up)).doesNotContain("electrician-valley");
    Http first = new Http(script.port());
    var page = first.get("/");
    assertThat(page.uri().getPath()).isEqualTo("/first-owner");
    Map<String, String> owner =
        Map.of(
            "workshop", "Own yard",
            "name", "Ada Marl",
            "signIn", "ada",
            "password", "a long password",
            "_csrf", Walker.hidden(page.body(), "_csrf"));
    assertThat(first.post("/first-owner", owner).uri().getPath()).isEqualTo("/sign-in");
    assertThat(first.get("/first-owner").uri().getPath()).isEqualTo("/sign-in");
    assertThat(first.signIn("ada", "a long password").body()).contains("Own yard", "No job yet");
  }

  private static String post(Http who, String path, String page, Map<String, String> fields)
      throws Exception {
    Map<String, String> all = new HashMap<>(fields);
    all.put("_csrf", Walker.hidden(page, "_csrf"));
    var answer = who.post(path, all);
    assertThat(answer.statusCode()).isEqualTo(200);
    return answer.body();
  }

  /** Written to while it is copied; read back into an empty folder; refused where it is broken. */
  @Test
  void aBackupDuringWritesIsWholeAndIsReadBackIntoAnEmptyFolder() throws Exception {
    script.up();
    Http electrician = new Http(script.port());
    electrician.signIn("electrician", "electrician-valley");
    String page = electrician.get("/jobs/J1001/rig?card=load").body();
    AtomicInteger acknowledged = new AtomicInteger();
    AtomicBoolean going = new AtomicBoolean(true);
    Thread writer =
        new Thread(
            () -> {
              try {
                while (going.get()) {
                  int n = acknowledged.get();
                  post(
                      electrician,
                      "/jobs/J1001/rig/load",
                      page,
                      Map.of(
                          "name",
                          "Crate " + n,
                          "mass",
                          "1",
                          "place",
                          "2.6",
                          "requestKey",
                          "b" + n));
                  acknowledged.incrementAndGet();
                }
              } catch (Exception e) {
                throw new IllegalStateException(e);
              }
            });
    writer.start();
    while (acknowledged.get() < 5) {
      Thread.sleep(20);
    }
    int before = acknowledged.get();
    String backup = script.file("all.jexel").toString();
    assertThat(script.done(true, "backup", backup)).contains("6 jobs");
    int after = acknowledged.get();
    going.set(false);
    writer.join();
    assertThat(after).as("written meanwhile").isGreaterThan(before);
    assertThat(script.done(false, "backup", backup)).contains("overwrites nothing");
    assertThat(script.done(false, "restore", backup)).contains("Stop it first");
    script.done(true, "stop");

    byte[] whole = Files.readAllBytes(Path.of(backup));
    byte[] flipped = whole.clone();
    flipped[whole.length / 2] ^= 1;
    Path broken = Files.write(script.file("broken"), flipped);
    Path half = Files.write(script.file("half"), Arrays.copyOf(whole, whole.length / 2));
    String text = new String(whole, StandardCharsets.ISO_8859_1);
    Path newer =
        Files.write(
            script.file("newer"),
            text.replaceFirst("schema=\\d\\d", "schema=99").getBytes(StandardCharsets.ISO_8859_1));
    script.move("empty");
    for (Path bad : List.of(broken, half, newer)) {
      assertThat(script.done(false, "restore", bad.toString())).contains("Nothing was touched");
      assertThat(script.data().resolve("db")).doesNotExist();
    }
    assertThat(script.done(false, "restore", newer.toString())).contains("newer Jexel");

    assertThat(script.done(true, "restore", backup)).contains("6 jobs");
    assertThat(Files.isSymbolicLink(script.data().resolve("db"))).isFalse();
    script.up();
    Http again = new Http(script.port());
    assertThat(again.signIn("electrician", "electrician-valley").body()).contains("J1006");
    for (int job = 1001; job <= 1006; job++) {
      for (String path : Walker.whole("J" + job)) {
        if (!path.startsWith("/api")) {
          assertThat(again.get(path).statusCode()).as(path).isEqualTo(200);
        }
      }
    }
    String load = again.get("/jobs/J1001/rig?card=load").body();
    Matcher crates = Pattern.compile("Crate (\\d+)").matcher(load);
    Set<Integer> there = new TreeSet<>();
    while (crates.find()) {
      there.add(Integer.valueOf(crates.group(1)));
    }
    // One moment: all that was acknowledged before it, none that came after, no gap between.
    assertThat(there).contains(before - 1).hasSizeLessThanOrEqualTo(after + 1);
    assertThat(there).containsAll(IntStream.range(0, there.size()).boxed().toList());
  }

  @Test
  void aTakenPortIsToldPlainly() throws Exception {
    try (ServerSocket taken =
        new ServerSocket(script.port(), 1, java.net.InetAddress.getLoopbackAddress())) {
      Process process = script.run();
      assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
      assertThat(process.exitValue()).isNotZero();
      assertThat(script.output(process)).contains("Port " + taken.getLocalPort() + " is taken");
    }
  }
}
