package org.jexel.app;

import java.io.File;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/** The command {@code ./run} as a person uses it, on ports and in a data folder of its own. */
final class RunScript implements AutoCloseable {
  private static final File ROOT = new File("..").getAbsoluteFile();

  private final Path home;
  private Path data;
  private final int port;
  private final int dbPort;
  private boolean restarted;
  private final List<Process> started = new ArrayList<>();

  RunScript() throws IOException {
    home = Files.createTempDirectory("jexel-run");
    // Root's temporary folders are closed to the account that the database runs under.
    Files.setPosixFilePermissions(home, PosixFilePermissions.fromString("rwxr-xr-x"));
    data = home.resolve("data");
    port = freePort();
    dbPort = freePort();
  }

  private static int freePort() throws IOException {
    try (ServerSocket socket = new ServerSocket(0)) {
      return socket.getLocalPort();
    }
  }

  int port() {
    return port;
  }

  int dbPort() {
    return dbPort;
  }

  Path data() {
    return data;
  }

  /** A place for files of the test, outside of the data. */
  Path file(String name) {
    return home.resolve(name);
  }

  /** Goes on with another data folder, which need not be there. */
  void move(String folder) {
    data = home.resolve(folder);
  }

  private Path log(int number) {
    return home.resolve("out" + number);
  }

  Process run(String... arguments) throws IOException {
    List<String> command = new ArrayList<>(List.of("./run"));
    command.addAll(List.of(arguments));
    return start(command);
  }

  private Process start(List<String> command) throws IOException {
    ProcessBuilder builder =
        new ProcessBuilder(command)
            .directory(ROOT)
            .redirectErrorStream(true)
            .redirectOutput(log(started.size()).toFile());
    builder.environment().put("JEXEL_PORT", String.valueOf(port));
    builder.environment().put("JEXEL_DB_PORT", String.valueOf(dbPort));
    builder.environment().put("JEXEL_DATA", data.toString());
    Process process = builder.start();
    started.add(process);
    return process;
  }

  String output(Process process) throws IOException {
    return Files.readString(log(started.indexOf(process)));
  }

  /** Runs it to its end and gives what it said; fails if it ends otherwise than it should. */
  String done(boolean well, String... arguments) throws Exception {
    Process process = run(arguments);
    if (!process.waitFor(120, TimeUnit.SECONDS) || (process.exitValue() == 0) != well) {
      throw new AssertionError(String.join(" ", arguments) + ":\n" + output(process));
    }
    return output(process);
  }

  Process up(String... arguments) throws Exception {
    Process process = run(arguments);
    for (int i = 0; i < 1200 && process.isAlive(); i++) {
      if (output(process).contains("Ctrl-C")) {
        return process;
      }
      Thread.sleep(100);
    }
    throw new AssertionError("./run did not come up:\n" + output(process));
  }

  ProcessHandle pid(String name) throws Exception {
    awaitItsNumber();
    long id = Long.parseLong(Files.readString(data.resolve(name + ".pid")).strip());
    return ProcessHandle.of(id).orElseThrow();
  }

  /** Ends the database alone, as a failure does. */
  void killDatabase() throws Exception {
    ProcessHandle database = pid("db");
    database.destroyForcibly();
    database.onExit().get(20, TimeUnit.SECONDS);
  }

  /** Starts the database again, as whoever finds it would. */
  void startDatabase() throws IOException {
    Process database =
        start(
            List.of(
                "bash",
                "-c",
                "set -e; . scripts/lib.sh; db_start \"$JEXEL_DATA/db\" \"$JEXEL_DB_PORT\";"
                    + " echo $DB_PID >\"$JEXEL_DATA/db.pid\"; wait $DB_PID"));
    if (!database.isAlive()) {
      throw new AssertionError(output(database));
    }
    restarted = true;
  }

  /** A database that was started again answers before whoever started it writes its number. */
  private void awaitItsNumber() throws Exception {
    for (int i = 0; restarted && i < 300; i++) {
      String id = Files.readString(data.resolve("db.pid")).strip();
      if (!id.isEmpty() && ProcessHandle.of(Long.parseLong(id)).isPresent()) {
        return;
      }
      Thread.sleep(100);
    }
  }

  /** A number out of the database, past the application. */
  long asked(String query) throws SQLException {
    String url = "jdbc:mariadb://127.0.0.1:" + dbPort + "/jexel?user=jexel&password=jexel";
    try (Connection database = DriverManager.getConnection(url);
        Statement statement = database.createStatement();
        ResultSet row = statement.executeQuery(query)) {
      row.next();
      return row.getLong(1);
    }
  }

  /** Changes something in the database, past the application. */
  void change(String statement) throws SQLException {
    String url = "jdbc:mariadb://127.0.0.1:" + dbPort + "/jexel?user=jexel&password=jexel";
    try (Connection database = DriverManager.getConnection(url);
        Statement change = database.createStatement()) {
      change.executeUpdate(statement);
    }
  }

  /** Waits until the database takes connections. */
  void awaitDatabase() throws InterruptedException {
    for (int i = 0; i < 600; i++) {
      try (Socket there = new Socket(InetAddress.getLoopbackAddress(), dbPort)) {
        return;
      } catch (IOException notYet) {
        Thread.sleep(50);
      }
    }
    throw new AssertionError("the database did not come up");
  }

  @Override
  public void close() throws Exception {
    awaitItsNumber();
    run("stop").waitFor(90, TimeUnit.SECONDS);
    // A database that was killed and started again is no child of the script that stops.
    List<ProcessHandle> left =
        ProcessHandle.allProcesses()
            .filter(p -> p.info().commandLine().orElse("").contains(home.toString()))
            .toList();
    for (ProcessHandle process : left) {
      process.destroy();
      process.onExit().get(30, TimeUnit.SECONDS);
    }
    for (Process process : started) {
      process.waitFor(30, TimeUnit.SECONDS);
      process.destroyForcibly();
    }
    try (Stream<Path> files = Files.walk(home)) {
      files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
    }
  }
}
