package org.jexel.app.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.doReturn;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jexel.app.device.MeterPort;
import org.jexel.app.job.Drafts;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.security.Person;
import org.jexel.core.check.Band;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckId;
import org.jexel.core.check.Probing;
import org.jexel.core.check.Setup;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.job.Station;
import org.jexel.core.job.Taken;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;

/** What is kept, what is asked back, and what a database that refuses a double does. */
class BenchServiceTest {
  private static final Check CHECK =
      new Check(
          new CheckId("brake", "resistance"),
          "Brake circuit",
          Check.Group.TRAILER,
          PinFunction.BRAKE,
          "Plug out.",
          "At the plug",
          "pin 2",
          "pin 1",
          Measure.OHMS,
          new Band(1.65, 1.4, 1.95),
          "Because.",
          new Sum("Brake circuit", "R", List.of(), 1.65, Measure.OHMS),
          List.of(),
          1,
          new Probing(Setup.dead(), Measure.OHMS, "brake", "ground"));

  private final ReadingRepository readings = mock(ReadingRepository.class);
  private final Drafts drafts = mock(Drafts.class);
  private final JobFile file = mock(JobFile.class, RETURNS_DEEP_STUBS);
  private final Job job = mock(Job.class);
  private final Person person = mock(Person.class);
  private final MeterPort meter = mock(MeterPort.class);
  private final BenchService bench = new BenchService(readings, drafts, Clock.systemUTC(), meter);

  @BeforeEach
  void oneJob() {
    when(file.job()).thenReturn(job);
    when(file.person()).thenReturn(person);
    when(file.units()).thenReturn(UnitSystem.METRIC);
    when(file.work().bench().last(any())).thenReturn(Optional.empty());
    when(job.ref()).thenReturn("J1");
    knows();
  }

  private void knows(String... keys) {
    doReturn(new BenchRows(List.of(), List.of(), Set.of(keys)))
        .when(file)
        .rows(Station.BENCH, BenchRows.class);
  }

  @Test
  void aReadingIsKeptWithTheBandItWasHeldAgainst() {
    bench.record(file, CHECK, " 1,7 ohm ", 0, "key");
    ArgumentCaptor<Reading> kept = ArgumentCaptor.forClass(Reading.class);
    verify(readings).save(kept.capture());
    assertThat(kept.getValue().value()).isEqualTo(1.7);
    assertThat(kept.getValue().typed()).isEqualTo("1,7 ohm");
    assertThat(kept.getValue().verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(kept.getValue().band()).isEqualTo(CHECK.band());
    verify(file).grew(eq(Station.BENCH), eq(BenchRows.class), any());
  }

  @Test
  void aDraftThatComesAfterItsRecordIsForgotten() {
    knows("key");
    bench.draft(file, CHECK, "1.7", 0, "key");
    verify(drafts, never()).keep(any(), any(), any(), any(), any(), anyLong());
    bench.draft(file, CHECK, "1.7", 0, "another");
    verify(drafts).keep(job, person, BenchService.FORM, CHECK.id(), "1.7", 0);
    bench.draft(file, CHECK, " ", 0, "another");
    verify(drafts).drop(job, person, BenchService.FORM, CHECK.id());
  }

  @Test
  void whatTheMeterShowedAndNobodyChangedIsMarkedAsTheMeters() {
    when(meter.read(anyLong(), any(), any(), any())).thenReturn(1.62);
    bench.meter(file, CHECK);
    ArgumentCaptor<String> typed = ArgumentCaptor.forClass(String.class);
    verify(drafts).keep(any(), any(), any(), any(), typed.capture(), anyLong());
    bench.record(file, CHECK, typed.getValue(), 0, "one");
    bench.record(file, CHECK, "1.8", 0, "two");
    ArgumentCaptor<Reading> kept = ArgumentCaptor.forClass(Reading.class);
    verify(readings, times(2)).save(kept.capture());
    assertThat(kept.getAllValues().stream().map(Reading::source))
        .containsExactly(Reading.Source.METER, Reading.Source.TYPED);
    assertThat(kept.getAllValues().get(0).value()).isCloseTo(1.62, within(0.006));
  }

  @Test
  void aMeterThatRefusesOhmsSaysLiveAndThatMayBeRecorded() {
    when(meter.read(anyLong(), any(), any(), any())).thenReturn(NoFigure.LIVE.si());
    bench.meter(file, CHECK);
    verify(drafts).keep(job, person, BenchService.FORM, CHECK.id(), "live", 0);
    verify(readings, never()).save(any());
    assertThat(bench.record(file, CHECK, "live", 0, "key")).isTrue();
    ArgumentCaptor<Reading> kept = ArgumentCaptor.forClass(Reading.class);
    verify(readings).save(kept.capture());
    assertThat(kept.getValue().value()).isEqualTo(NoFigure.LIVE.si());
  }

  @Test
  void aKeyThatIsThereAlreadyChangesNothing() {
    knows("key");
    bench.record(file, CHECK, "1.7", 0, "key");
    verify(readings, never()).save(any());
    verify(drafts, never()).keep(any(), any(), any(), any(), any(), anyLong());
  }

  @Test
  void whatCannotBeUnderstoodIsKeptAsADraftWithTheRowThatWasSeen() {
    bench.record(file, CHECK, "wet", 0, "key");
    verify(readings, never()).save(any());
    verify(drafts)
        .keep(eq(job), eq(person), anyString(), eq("brake.resistance"), eq("wet"), eq(0L));
  }

  @Test
  void anotherPersonsReadingInBetweenIsShownFirst() {
    Taken theirs = new Taken(7, "brake.resistance", 1.6, Instant.EPOCH, "Somebody else");
    when(file.work().bench().last("brake.resistance")).thenReturn(Optional.of(theirs));
    bench.record(file, CHECK, "1.7", 0, "key");
    verify(readings, never()).save(any());
    bench.record(file, CHECK, "1.7", 7, "key");
    verify(readings).save(any());
  }

  @Test
  void theRangeOfAMeterIsKnown() {
    assertThat(BenchService.read(file, CHECK, "-3", UnitSystem.METRIC).problem())
        .contains("negative");
    assertThat(BenchService.read(file, CHECK, "21000 kohm", UnitSystem.METRIC).problem())
        .contains("open");
    assertThat(BenchService.read(file, CHECK, "OL ohm", UnitSystem.METRIC).si())
        .isEqualTo(NoFigure.OPEN.si());
    assertThat(BenchService.read(file, CHECK, "1.65", UnitSystem.METRIC).problem()).isNull();
    assertThat(BenchService.read(file, CHECK, " ", UnitSystem.METRIC).problem()).contains("Type");
  }
}
