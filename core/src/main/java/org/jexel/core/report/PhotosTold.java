package org.jexel.core.report;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jexel.core.care.CarePart;
import org.jexel.core.check.Round;
import org.jexel.core.harness.Step;
import org.jexel.core.job.Photo;
import org.jexel.core.job.Work;

/** What was photographed, in the order of work. */
public final class PhotosTold {
  private final Work work;
  private final Function<Instant, String> when;

  public PhotosTold(Work work, Function<Instant, String> when) {
    this.work = work;
    this.when = when;
  }

  List<Report.Print> prints(List<Photo> photos) {
    return photos.stream()
        .sorted(Comparator.comparing(Photo::about).thenComparing(Photo::at))
        .map(photo -> new Report.Print(caption(photo), photo.sha256()))
        .toList();
  }

  /** Of what it is, what it shows, who took it and when. */
  private String caption(Photo photo) {
    String shows = photo.caption().isEmpty() ? "" : ": " + photo.caption();
    return of(photo) + shows + ". " + taken(photo);
  }

  /** Who took it and when. */
  public String taken(Photo photo) {
    return photo.who() + ", " + when.apply(photo.at());
  }

  /** What it is of; a step or a check may be gone since, with the part that it was for. */
  public String of(Photo photo) {
    String subject = photo.subject();
    return switch (photo.about()) {
      case RIG -> "The rig";
      case STEP -> step(subject).orElse("A step that this rig has no more");
      case CHECK -> check(subject).orElse("A check that this rig has no more");
      case FINDING -> "What was found";
      case CARE -> part(subject).orElse("A part that nobody cares for any more");
    };
  }

  private Optional<String> step(String id) {
    return work.harness().steps().stream()
        .filter(step -> step.id().equals(id))
        .map(Step::title)
        .findFirst();
  }

  private Optional<String> check(String round) {
    return Round.of(work.bench().checks()).stream()
        .filter(one -> one.id().equals(round))
        .map(Round::title)
        .findFirst();
  }

  private static Optional<String> part(String name) {
    return List.of(CarePart.values()).stream()
        .filter(part -> part.name().equals(name))
        .map(CarePart::label)
        .findFirst();
  }
}
