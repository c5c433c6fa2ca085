package org.jexel.app.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jexel.app.AppTest;
import org.jexel.app.bench.ReadingRepository;
import org.jexel.app.entry.LoadLineRepository;
import org.jexel.app.entry.RigFigureRepository;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.JobRepository;
import org.jexel.app.road.StopLineRepository;
import org.jexel.app.security.Person;
import org.jexel.app.security.PersonRepository;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.RigConsistency;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

@AppTest
class DemoJobsTest {
  @Autowired private DemoJobs demo;
  @Autowired private JobRepository jobs;
  @Autowired private JobFiles files;
  @Autowired private PersonRepository people;
  @Autowired private ReadingRepository readings;
  @Autowired private StopLineRepository stops;
  @Autowired private LoadLineRepository loads;
  @Autowired private RigFigureRepository figures;

  private long rows() {
    return jobs.count() + readings.count() + stops.count() + loads.count() + figures.count();
  }

  @Test
  void loadingItAgainChangesNothing() {
    long before = rows();
    demo.complete(people.findBySignIn("electrician"));
    assertThat(rows()).isEqualTo(before);
    demo.complete(Optional.empty());
    assertThat(rows()).isEqualTo(before);
  }

  @Test
  void itsFiguresStandTogetherAndItsReadingsCarryTheirVerdict() {
    Person person = people.findBySignIn("viewer").orElseThrow();
    for (String ref : List.of("J1001", "J1002", "J1003", "J1004", "J1005", "J1006")) {
      JobFile file = files.open(ref, person);
      Job job = file.job();
      assertThat(RigConsistency.of(file.rig().sheet())).as(job.title()).isEmpty();
      readings
          .ofJob(job.id())
          .forEach(r -> assertThat(r.verdict()).isEqualTo(r.band().judge(r.value())));
    }
  }

  @Test
  void theFaultsOfTheDemoAreFaultsByComputation() {
    Person person = people.findBySignIn("viewer").orElseThrow();
    assertThat(verdict("J1002", "brake.resistance", person)).isEqualTo(Verdict.FAILS);
    assertThat(verdict("J1005", "look.left.lamp_left_rear_left", person)).isEqualTo(Verdict.FAILS);
    assertThat(verdict("J1003", "brake.amps", person)).isEqualTo(Verdict.HOLDS);
  }

  private Verdict verdict(String ref, String check, Person person) {
    JobFile file = files.open(ref, person);
    return file.work().bench().verdict(file.work().bench().check(check).orElseThrow());
  }

  @Test
  void readingsScatterInsteadOfRepeatingTheExpectedValue() {
    Person person = people.findBySignIn("viewer").orElseThrow();
    JobFile file = files.open("J1003", person);
    assertThat(
            file.work().bench().proof().stream()
                .filter(
                    c ->
                        !String.format(Locale.ROOT, "%.2f", c.band().expected())
                            .equals(
                                String.format(
                                    Locale.ROOT,
                                    "%.2f",
                                    file.work().bench().newest().get(c.id()).value())))
                .count())
        .isGreaterThanOrEqualTo(6);
  }
}
