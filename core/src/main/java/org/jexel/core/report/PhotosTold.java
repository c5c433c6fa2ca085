package org.jexel.core.report;

import java.time.Instant;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jexel.core.care.CarePart;
import org.jexel.core.check.Round;
import org.jexel.core.harness.Step;
import org.jexel.core.job.Photo;
import org.jexel.core.job.Work;

/** What was photographed, in the order of work; for one thread. */
public final class PhotosTold {
  private final Work work;
  private final Function<Instant, String> when;
  private final Map<Photo.About, Map<String, String>> titles = new EnumMap<>(Photo.About.class);

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
    String gone =
        switch (photo.about()) {
          case RIG -> "The rig";
          case FINDING -> "What was found";
          case STEP -> "A step that this rig has no more";
          case CHECK -> "A check that this rig has no more";
          case CARE -> "A part that nobody cares for any more";
        };
    return titles.computeIfAbsent(photo.about(), this::titled).getOrDefault(photo.subject(), gone);
  }

  /** By what is photographed of a kind, its title. */
  private Map<String, String> titled(Photo.About about) {
    return switch (about) {
      case RIG, FINDING -> Map.of();
      case STEP -> work.harness().steps().stream().collect(Collectors.toMap(Step::id, Step::title));
      case CHECK ->
          Round.of(work.bench().checks()).stream()
              .collect(Collectors.toMap(Round::id, Round::title));
      case CARE ->
          Stream.of(CarePart.values()).collect(Collectors.toMap(CarePart::name, CarePart::label));
    };
  }
}
