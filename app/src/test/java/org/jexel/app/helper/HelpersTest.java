package org.jexel.app.helper;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jexel.app.job.Job;
import org.jexel.app.job.Standing;
import org.jexel.app.security.Person;
import org.jexel.core.job.Station;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A helper's code opens one job's page while the work lasts, and nothing else. */
class HelpersTest {
  private static final Instant NOON = Instant.parse("2026-05-04T12:00:00Z");
  private static final String PHONE = "10.0.0.7";

  private final HelperPageRepository pages = mock(HelperPageRepository.class);
  private final Clock clock = mock(Clock.class);
  private final Job job = mock(Job.class);
  private final Standing standing = mock(Standing.class);
  private final Helpers helpers = new Helpers(pages, clock);
  private final HelperPage page = new HelperPage(job, "ABCDEFG", mock(Person.class), NOON);

  @BeforeEach
  void atNoon() {
    when(clock.instant()).thenReturn(NOON);
    when(job.standing()).thenReturn(standing);
    when(standing.nextStation()).thenReturn(Station.BENCH);
    when(pages.byCode(any())).thenReturn(Optional.empty());
    when(pages.byCode("ABCDEFG")).thenReturn(Optional.of(page));
  }

  private boolean opens() {
    return helpers.find(" abcdefg ", PHONE).isPresent();
  }

  @Test
  void aCodeEndsWithItsHours() {
    assertThat(opens()).isTrue();
    when(clock.instant()).thenReturn(NOON.plus(HelperPage.LASTS).minus(Duration.ofSeconds(1)));
    assertThat(opens()).isTrue();
    when(clock.instant()).thenReturn(NOON.plus(HelperPage.LASTS));
    assertThat(opens()).isFalse();
  }

  @Test
  void aCodeEndsWhenTheJobIsHandedOverOrThePageIsClosed() {
    when(standing.nextStation()).thenReturn(Station.HANDOVER);
    assertThat(opens()).isFalse();
    when(standing.nextStation()).thenReturn(Station.ROAD);
    assertThat(opens()).isTrue();
    page.close();
    assertThat(opens()).isFalse();
  }

  @Test
  void rightCodesCostNothingAndWrongOnesEndTheAnswersOfOneAddressOnly() {
    for (int i = 0; i < 200; i++) {
      assertThat(opens()).isTrue();
    }
    int wrong = 0;
    while (!helpers.spent(PHONE)) {
      assertThat(helpers.find("WRONG" + wrong++, PHONE)).isEmpty();
    }
    assertThat(wrong).isBetween(5, 30);
    assertThat(opens()).isFalse();
    assertThat(helpers.find("ABCDEFG", "10.0.0.8")).isPresent();
  }
}
