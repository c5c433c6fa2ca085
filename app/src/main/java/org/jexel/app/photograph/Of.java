package org.jexel.app.photograph;

import static java.nio.charset.StandardCharsets.UTF_8;

import org.jexel.app.job.Job;
import org.jexel.app.job.NextCard;
import org.jexel.app.workshop.Words;
import org.jexel.core.job.Photo;
import org.jexel.core.job.Photo.About;
import org.jexel.core.job.Station;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.util.UriUtils;

/**
 * Of what photographs are: a kind and which of it, as in {@link Photo}.
 *
 * @param subject may be empty
 */
public record Of(About about, String subject) {
  /** Letters of what names a step, a round or a part. */
  private static final int LONGEST = 120;

  /** As somebody posts it; 400 where it is no such thing. */
  static Of posted(String about, String subject) {
    Of named = named(about, subject);
    if (named == null) {
      throw new ResponseStatusException(HttpStatus.BAD_REQUEST, "A photograph is of something.");
    }
    return named;
  }

  /** As an address names it; null where it names nothing, which is all that there are. */
  static @Nullable Of named(String about, String subject) {
    return Words.known(() -> About.valueOf(about)) && subject.length() <= LONGEST
        ? new Of(About.valueOf(about), subject)
        : null;
  }

  boolean holds(Photo photo) {
    return about == photo.about() && subject.equals(photo.subject());
  }

  /** The address of these photographs. */
  String album(String ref) {
    return "/jobs/%s/photographs?about=%s&subject=%s"
        .formatted(ref, about, UriUtils.encode(subject, UTF_8));
  }

  /** The address of the page on which they are taken. */
  String taken(String ref) {
    return switch (about) {
      case RIG -> card(ref, Station.RIG, "job");
      case STEP -> card(ref, Station.HARNESS, "steps");
      case CHECK -> card(ref, Station.BENCH, subject);
      case FINDING -> card(ref, Station.BENCH, "finder");
      case CARE -> "/jobs/%s/care/%s".formatted(ref, UriUtils.encode(subject, UTF_8));
    };
  }

  private static String card(String ref, Station station, String card) {
    return new NextCard(station, card, "", "", "").address(ref);
  }

  /** The job to which such a photograph belongs; null where its trailer owns it. */
  @Nullable Long job(Job job) {
    return about == About.CARE ? null : job.id();
  }

  /** The trailer to which it belongs over all of its jobs; null where the job owns it. */
  @Nullable Long trailer(Job job) {
    return about == About.CARE ? job.trailer().life() : null;
  }
}
