package org.jexel.app.job;

import java.util.List;
import org.jexel.core.job.Photo;
import org.jspecify.annotations.Nullable;

/** The photographs of a job as a page shows them: looked up once, if at all. Of one request. */
public final class Album {
  private final Photographed photographed;
  private final JobFile file;
  private @Nullable List<Photo> all;

  public Album(Photographed photographed, JobFile file) {
    this.photographed = photographed;
    this.file = file;
  }

  /** Those of one subject, oldest first. */
  public List<Photo> of(String about, String subject) {
    if (all == null) {
      all = photographed.of(file);
    }
    return all.stream()
        .filter(photo -> photo.about().name().equals(about) && photo.subject().equals(subject))
        .toList();
  }
}
