package org.jexel.app.job;

import java.util.List;
import java.util.Map;
import org.jexel.core.job.Photo;

/** Whoever keeps the photographs of jobs and of what trailers are cared for. */
public interface Photographed {
  /** Those that stand of a job, and of its trailer's care over the years; oldest first. */
  List<Photo> of(JobFile file);

  /** Every small picture that a report of this job may name, JPEG, by its SHA-256. */
  Map<String, byte[]> small(JobFile file, List<String> hashes);
}
