package org.jexel.app.road;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.jexel.app.exchange.KeptFile;
import org.jexel.app.exchange.KeptFiles;
import org.jexel.app.job.JobFile;
import org.jexel.core.trace.BrakePhase;
import org.jexel.core.trace.Trace;
import org.springframework.stereotype.Service;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.server.ResponseStatusException;

/**
 * The recorded drives of a job. A file never changes, so that a few which were read lately are
 * remembered as read.
 */
@Service
class Traces {
  private final KeptFiles files;
  private final Cache<Long, Read> read =
      Caffeine.newBuilder().maximumSize(4).expireAfterAccess(Duration.ofMinutes(20)).build();

  Traces(KeptFiles files) {
    this.files = files;
  }

  /**
   * A file as understood.
   *
   * @param trace empty where it is none
   * @param problem why; empty where there is a trace
   */
  record Read(List<Trace> trace, String problem) {}

  KeptFile keep(JobFile file, MultipartFile sent) {
    return files.keep(KeptFile.Kind.DRIVE, file.job().id(), file.person().id(), sent);
  }

  List<KeptFile> all(JobFile file) {
    return files.all(KeptFile.Kind.DRIVE, file.job().id());
  }

  KeptFile of(JobFile file, long id) {
    return files.of(KeptFile.Kind.DRIVE, file.job().id(), id);
  }

  Read read(KeptFile kept) {
    return read.get(
        kept.id(),
        id -> {
          try {
            return new Read(List.of(TraceReader.read(files.content(kept))), "");
          } catch (IllegalArgumentException no) {
            return new Read(List.of(), String.valueOf(no.getMessage()));
          }
        });
  }

  /** A part of a recorded drive; empty where there is none. */
  Optional<BrakePhase> phase(JobFile file, TraceCut cut, boolean turned) {
    try {
      return read(of(file, cut.file())).trace().stream()
          .map(trace -> turned ? trace.turned() : trace)
          .map(trace -> BrakePhase.of(trace, cut.from(), cut.to()))
          .findFirst();
    } catch (IllegalArgumentException | ResponseStatusException none) {
      return Optional.empty();
    }
  }

  /** A stop was measured from it: it is kept for as long as the job. */
  void used(JobFile file, TraceCut cut) {
    files.recorded(of(file, cut.file()));
  }
}
