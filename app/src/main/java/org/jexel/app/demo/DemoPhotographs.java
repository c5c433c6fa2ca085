package org.jexel.app.demo;

import java.awt.image.BufferedImage;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.jexel.app.exchange.Darkroom;
import org.jexel.app.job.JobFile;
import org.jexel.app.photograph.Of;
import org.jexel.app.photograph.Photographs;
import org.jexel.core.care.CarePart;
import org.jexel.core.harness.Step;
import org.jexel.core.job.Photo.About;
import org.springframework.stereotype.Component;

/** What was photographed in the demo's jobs. */
@Component
class DemoPhotographs {
  private final Photographs photographs;
  private final Darkroom darkroom;
  private final Clock clock;

  DemoPhotographs(Photographs photographs, Darkroom darkroom, Clock clock) {
    this.photographs = photographs;
    this.darkroom = darkroom;
    this.clock = clock;
  }

  /**
   * A photograph in one of the demo's jobs.
   *
   * @param days ago
   */
  private record Taken(
      About about, String subject, String caption, int days, Supplier<BufferedImage> picture) {}

  /** By the place of the rig among the demo's. */
  private static final Map<Integer, List<Taken>> ALL =
      Map.of(
          0,
          List.of(
              new Taken(About.RIG, "", "Dent over the left wheel, known", 6, DemoPictures::dent),
              new Taken(About.STEP, "", "Lid off, every stud tight", 2, DemoPictures::box)),
          4,
          List.of(
              new Taken(
                  About.FINDING,
                  "",
                  "Left rear lamp, its screw is its only return: rusted",
                  1,
                  DemoPictures::lamp)),
          5,
          List.of(
              new Taken(
                  About.CARE,
                  CarePart.PRESSURE.name(),
                  "Left rear, fine cracks along the bead",
                  150,
                  DemoPictures::tyre)));

  void take(JobFile file, int rig, String key) {
    int n = 0;
    for (Taken one : ALL.getOrDefault(rig, List.of())) {
      photographs.keep(
          file,
          new Of(one.about, one.about == About.STEP ? atTheBox(file) : one.subject),
          one.caption,
          darkroom.keep(one.picture.get()),
          clock.instant().minus(Duration.ofDays(one.days)),
          key + "-photograph-" + n++);
    }
  }

  private static String atTheBox(JobFile file) {
    return file.work().harness().steps().stream()
        .filter(step -> step.phase() == Step.Phase.BOX)
        .map(Step::id)
        .findFirst()
        .orElse("");
  }
}
