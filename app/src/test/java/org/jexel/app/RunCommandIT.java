package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The command {@code ./run} as a person uses it, and what survives a hard end. */
class RunCommandIT {
  private static final File ROOT = new File("..").getAbsoluteFile();

  private Path data;
  private int port;
  private int dbPort;
  private final List<Process> started = new ArrayList<>();

  @BeforeEach
  void prepare() throws IOException {
    data = Files.createTempDirectory("jexel-run");
    // Root's temporary folders are closed to the account that the database runs under.
    Files.setPosixFilePermissions(data, PosixFilePermissions.fromString("rwxr-xr-x"));
    port = freePort();
    dbPort = freePort();
  }

  @AfterEach
  void clear() throws Exception {
    run("stop").waitFor(90, TimeUnit.SECONDS);
    for (Process process : started) {
      process.waitFor(30, TimeUnit.SECONDS);
      process.destroyForcibly();
    }
    try (Stream<Path> files = Files.walk(data)) {
      files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
    }
  }

  private static int freePort() throws IOException {
    try (ServerSocket socket = new ServerSocket(0)) {
      return socket.getLocalPort();
    }
  }

  private Path log(String name) {
    return data.resolve(name + ".out");
  }

  private Process run(String... arguments) throws IOException {
    List<String> command = new ArrayList<>(List.of("./run"));
    command.addAll(List.of(arguments));
    ProcessBuilder builder =
        new ProcessBuilder(command)
            .directory(ROOT)
            .redirectErrorStream(true)
            .redirectOutput(log("run" + started.size()).toFile());
    builder.environment().put("JEXEL_PORT", String.valueOf(port));
    builder.environment().put("JEXEL_DB_PORT", String.valueOf(dbPort));
    builder.environment().put("JEXEL_DATA", data.toString());
    Process process = builder.start();
    started.add(process);
    return process;
  }

  private String output(Process process) throws IOException {
    return Files.readString(log("run" + started.indexOf(process)));
  }

  private Process up(String... arguments) throws Exception {
    Process process = run(arguments);
    for (int i = 0; i < 1200 && process.isAlive(); i++) {
      if (output(process).contains("Ctrl-C")) {
        return process;
      }
      Thread.sleep(100);
    }
    throw new AssertionError("./run did not come up:\n" + output(process));
  }

  private ProcessHandle pid(String name) throws IOException {
    long id = Long.parseLong(Files.readString(data.resolve(name + ".pid")).strip());
    return ProcessHandle.of(id).orElseThrow();
  }

  @Test
  void anAcknowledgedReadingSurvivesAHardEndOfServerAndDatabase() throws Exception {
    Process first = up();
    assertThat(output(first))
        .contains("http://127.0.0.1:" + port + "/", "electrician-valley", "demo-token");

    Process second = run();
    assertThat(second.waitFor(20, TimeUnit.SECONDS)).isTrue();
    assertThat(output(second)).contains("already running at http://127.0.0.1:" + port + "/");

    Http electrician = new Http(port);
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

    ProcessHandle server = pid("server");
    ProcessHandle database = pid("db");
    database.destroyForcibly();
    server.destroyForcibly();
    assertThat(first.waitFor(60, TimeUnit.SECONDS)).isTrue();

    Process again = up();
    // The session lives in the database, so the same person is still signed in.
    assertThat(electrician.get("/jobs/J1001/bench?card=supply.battery").body())
        .contains("12.57 V", "stands");

    ProcessHandle lastServer = pid("server");
    ProcessHandle lastDatabase = pid("db");
    Process stop = run("stop");
    assertThat(stop.waitFor(60, TimeUnit.SECONDS)).isTrue();
    assertThat(output(stop)).contains("Nothing is lost");
    assertThat(again.waitFor(30, TimeUnit.SECONDS)).isTrue();
    assertThat(lastServer.isAlive()).isFalse();
    assertThat(lastDatabase.isAlive()).isFalse();
  }

  @Test
  void anEmptyStartMakesTheFirstOwnerOnce() throws Exception {
    Process up = up("--empty");
    assertThat(output(up)).doesNotContain("electrician-valley");
    Http first = new Http(port);
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

  @Test
  void aTakenPortIsToldPlainly() throws Exception {
    try (ServerSocket taken =
        new ServerSocket(port, 1, java.net.InetAddress.getLoopbackAddress())) {
      Process process = run();
      assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
      assertThat(process.exitValue()).isNotZero();
      assertThat(output(process)).contains("Port " + taken.getLocalPort() + " is taken");
    }
  }
}
