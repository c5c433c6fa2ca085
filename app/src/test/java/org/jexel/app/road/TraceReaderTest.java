package org.jexel.app.road;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.function.BiFunction;
import org.jexel.core.trace.BrakePhase;
import org.jexel.core.trace.Trace;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Files of instruments, as they come: read, or refused in words. */
class TraceReaderTest {
  private static Trace read(String text) {
    return TraceReader.read(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
  }

  private static void refused(String text, String why) {
    assertThatThrownBy(() -> read(text))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(why);
  }

  /** Ten seconds at 10 m/s, then 2 m/s² to a stand, then it stands; ten samples a second. */
  private static String speed(String head, BiFunction<Double, Double, String> row) {
    StringBuilder text = new StringBuilder(head).append("\n");
    for (int i = 0; i < 200; i++) {
      double t = i / 10.0;
      text.append(row.apply(t, Math.max(0, Math.min(10, 10 - 2 * (t - 10))))).append("\n");
    }
    return text.toString();
  }

  private static String n(double value) {
    return String.format(Locale.ROOT, "%.3f", value);
  }

  private static void holdsTheStop(Trace trace) {
    List<BrakePhase> stops = BrakePhase.all(trace);
    assertThat(stops).hasSize(1);
    assertThat(stops.get(0).deceleration()).isCloseTo(2, within(0.1));
    assertThat(stops.get(0).speed()).isCloseTo(10, within(0.4));
    assertThat(stops.get(0).from()).isCloseTo(10, within(0.4));
  }

  @Test
  void timesUnitsAndSeparatorsOfManyMakes() {
    holdsTheStop(read(speed("time (s),speed (m/s)", (t, v) -> n(t) + "," + n(v))));
    holdsTheStop(read(speed("speed_kmh\ttime_ms", (t, v) -> n(v * 3.6) + "\t" + n(t * 1000))));
    holdsTheStop(
        read(
            speed(
                "\uFEFFTime;Odd;Speed [mph]",
                (t, v) -> (n(t) + ";x;" + n(v / 0.44704)).replace('.', ','))));
    holdsTheStop(
        read(
            speed(
                "timestamp,speed (km/h)",
                (t, v) -> n(1.7e12 + t * 1000).replaceAll("\\..*", "") + "," + n(v * 3.6))));
    holdsTheStop(
        read(
            speed(
                "time,speed (m/s)",
                (t, v) -> String.format(Locale.ROOT, "2026-05-04T10:00:%06.3fZ,%s", t, n(v)))));
    holdsTheStop(
        read(
            speed(
                "time,speed (m/s)",
                (t, v) -> String.format(Locale.ROOT, "10:00:%06.3f,%s", t, n(v)))));
  }

  @Test
  void axesMayBeSwappedAndOtherInstrumentsStandBeside() {
    // Braking points along −z here; gravity along x, in parts of it.
    String text =
        speed(
            "t,gyro x,ax,ay,az,gravity_z",
            (t, v) -> n(t) + ",9,1.000,0.01," + n(t > 10 && v > 0 ? -2 / 9.80665 : 0) + ",1");
    Trace trace = read(text);
    assertThat(trace.notes()).contains("Gravity was taken out.", "Read as parts of gravity.");
    assertThat(BrakePhase.all(trace)).hasSize(1);
    assertThat(BrakePhase.all(trace).get(0).deceleration()).isCloseTo(2, within(0.1));
  }

  @ParameterizedTest
  @CsvSource({"acceleration.csv, 2.1, 2.6", "speed.csv, 1.8, 2.4", "track.gpx, 2.0, 2.3"})
  void theExamplesHoldTwoStops(String file, double one, double two) throws IOException {
    try (InputStream in = TraceReaderTest.class.getResourceAsStream("/static/examples/" + file)) {
      List<BrakePhase> stops = BrakePhase.all(TraceReader.read(in));
      assertThat(stops).hasSize(2);
      assertThat(stops.get(0).deceleration()).isCloseTo(one, within(0.15));
      assertThat(stops.get(1).deceleration()).isCloseTo(two, within(0.15));
      assertThat(stops).allMatch(BrakePhase::stands);
    }
  }

  @Test
  void whatIsNoDriveIsRefusedInWords() {
    refused("", "has to name its columns");
    refused("1,2\n3,4\n", "has to name its columns");
    refused("time,temperature\n1,2\n", "none for speed or acceleration");
    refused(speed("time,speed", (t, v) -> n(t) + "," + n(v)), "Say the unit of the speed");
    refused(speed("time,speed (m/s)", (t, v) -> n(v) + "," + n(t)), "time does not rise");
    refused(speed("time,speed (m/s)", (t, v) -> n(t) + (v < 9 ? ",fast" : ",9")), "cannot be read");
    refused("time,speed (m/s)\n\"broken", "no readable CSV");
    refused("\u0000\u0001\u0002", "has to name its columns");
    refused("<gpx><trk>", "no readable GPX");
    refused("<gpx/>", "no track point");
    String entities =
        "<!DOCTYPE gpx [<!ENTITY a \"boom\"><!ENTITY b SYSTEM \"file:///etc/passwd\">]>"
            + "<gpx><trkpt lat=\"1\" lon=\"1\"><time>&b;&a;</time></trkpt></gpx>";
    refused(entities, "document type or entities");
  }

  @Test
  void moreRowsThanADriveHasAreRefusedBeforeTheyFillTheMemory() {
    InputStream endless =
        new InputStream() {
          private final byte[] head = "time (ms),ax,ay,az\n".getBytes(StandardCharsets.UTF_8);
          private byte[] row = head;
          private int at;
          private long n;

          @Override
          public int read() {
            if (at == row.length) {
              row = (n++ + ",0.1,0.2,9.8\n").getBytes(StandardCharsets.UTF_8);
              at = 0;
            }
            return row[at++];
          }
        };
    assertThatThrownBy(() -> TraceReader.read(endless)).hasMessageContaining("More than 400000");
  }
}
