package org.jexel.app.photograph;

import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jexel.app.exchange.Darkroom;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Photographed;
import org.jexel.app.job.RequestKey;
import org.jexel.app.workshop.Words;
import org.jexel.core.job.Photo;
import org.jexel.core.job.Photo.About;
import org.jexel.core.job.Station;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.server.ResponseStatusException;

/** Keeps photographs, and tells those that stand. */
@Service
public class Photographs implements Photographed {
  /** Letters of a caption. */
  static final int CAPTION = 200;

  private final PhotographRepository photographs;
  private final PictureRepository pictures;
  private final Clock clock;
  private final long mostBytes;

  Photographs(
      PhotographRepository photographs,
      PictureRepository pictures,
      Clock clock,
      @Value("${jexel.photographs.most-bytes}") long mostBytes) {
    this.mostBytes = mostBytes;
    this.photographs = photographs;
    this.pictures = pictures;
    this.clock = clock;
  }

  /** A job holds as many photographs as its file can carry. */
  static final class Full extends RuntimeException {
    private static final long serialVersionUID = 1L;

    Full() {
      super("This job holds as many photographs as its file can carry.");
    }
  }

  @Override
  @Transactional(readOnly = true)
  public List<Photo> of(JobFile file) {
    List<PhotographRepository.Row> all = rows(file);
    Set<Long> corrected = new HashSet<>();
    all.forEach(row -> corrected.add(row.corrects()));
    return all.stream()
        .filter(row -> !corrected.contains(row.id()))
        .flatMap(row -> told(row).stream())
        .toList();
  }

  private List<PhotographRepository.Row> rows(JobFile file) {
    return photographs.all(file.job().id(), file.job().trailer().life());
  }

  /** Nothing of one that was taken away, or that a later version took. */
  private static Optional<Photo> told(PhotographRepository.Row row) {
    return row.sha256() == null || !Words.known(() -> About.valueOf(row.about()))
        ? Optional.empty()
        : Optional.of(
            new Photo(
                row.id(),
                About.valueOf(row.about()),
                row.subject(),
                row.caption(),
                row.who(),
                row.at(),
                row.sha256()));
  }

  @Override
  @Transactional(readOnly = true)
  public Map<String, byte[]> small(JobFile file, List<String> hashes) {
    Map<String, byte[]> found = new HashMap<>();
    if (!hashes.isEmpty()) {
      pictures
          .small(file.job().id(), file.job().trailer().life(), hashes)
          .forEach(one -> found.put(one.sha256(), one.jpeg()));
    }
    return found;
  }

  /**
   * Keeps a photograph; one that was sent before is kept once.
   *
   * @param caption what it shows, of at most {@link #CAPTION} letters; may be empty
   * @param taken when it was taken
   * @throws Full if the job holds as many as its file can carry
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void keep(
      JobFile file,
      Of of,
      String caption,
      Darkroom.Picture developed,
      Instant taken,
      String requestKey) {
    Job job = file.job();
    String key = RequestKey.of(requestKey);
    if (photographs.isKept(of.job(job), of.trailer(job), key)) {
      return;
    }
    Long picture =
        pictures
            .find(of.job(job), of.trailer(job), developed.sha256())
            .orElseGet(() -> added(job, of, developed));
    photographs.saveAndFlush(
        new Photograph(job, of, caption, picture, file.person(), taken, clock.instant(), key));
    changed(file, of.about());
  }

  private Long added(Job job, Of of, Darkroom.Picture developed) {
    long bytes = developed.large().length + developed.small().length;
    if (pictures.bytes(job.id(), job.trailer().life()) + bytes > mostBytes) {
      throw new Full();
    }
    return pictures.saveAndFlush(new Picture(job, of, developed)).id();
  }

  /**
   * Gives a photograph another caption, or takes it away; once, however often that is sent.
   *
   * @param id of the row as it was read
   * @param stays whether it does
   * @return why not; empty where it is so now
   */
  @Transactional(propagation = Propagation.MANDATORY)
  String correct(JobFile file, long id, String caption, boolean stays, String requestKey) {
    Job job = file.job();
    String key = RequestKey.of(requestKey);
    if (photographs.isKept(job.id(), job.trailer().life(), key)) {
      return "";
    }
    if (rows(file).stream().noneMatch(row -> row.id() == id)) {
      throw new ResponseStatusException(HttpStatus.NOT_FOUND, "No photograph of that number");
    }
    if (of(file).stream().noneMatch(photo -> photo.id() == id)) {
      return "Somebody changed it meanwhile, and it stands so. You had written: “" + caption + "”.";
    }
    if (caption.length() > CAPTION) {
      return "At most " + CAPTION + " letters: what was written is not kept yet.";
    }
    Photograph old = photographs.findById(id).orElseThrow();
    photographs.saveAndFlush(old.otherwise(caption, stays, file.person(), clock.instant(), key));
    changed(file, About.valueOf(old.about()));
    return "";
  }

  /** A signed report does not tell of it yet; of a trailer's care the job knows nothing. */
  private static void changed(JobFile file, About about) {
    switch (about) {
      case RIG -> file.changed(Station.RIG);
      case STEP -> file.changed(Station.HARNESS);
      case CHECK, FINDING -> file.changed(Station.BENCH);
      case CARE -> {}
    }
  }
}
