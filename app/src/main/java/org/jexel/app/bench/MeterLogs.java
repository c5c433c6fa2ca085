package org.jexel.app.bench;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jexel.app.exchange.KeptFile;
import org.jexel.app.exchange.KeptFiles;
import org.jexel.app.job.JobFile;
import org.springframework.stereotype.Service;
import org.springframework.web.multipart.MultipartFile;

/** The files of logging meters, and how far those have been read that are being read now. */
@Service
class MeterLogs {
  private final KeptFiles files;
  private final Map<Long, Long> read = new ConcurrentHashMap<>();

  MeterLogs(KeptFiles files) {
    this.files = files;
  }

  KeptFile keep(JobFile file, MultipartFile sent) {
    return files.keep(KeptFile.Kind.METER, file.job().id(), file.person().id(), sent);
  }

  KeptFile of(JobFile file, long id) {
    return files.of(KeptFile.Kind.METER, file.job().id(), id);
  }

  /** How its rows fit this job. */
  LogRows rows(JobFile file, KeptFile log) {
    try (InputStream content = files.content(log)) {
      return LogRows.of(file, content, rows -> read.put(log.id(), rows));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      read.remove(log.id());
    }
  }

  /** How many rows of a file that is being read now have been read; -1 when it is not. */
  long progress(KeptFile log) {
    return read.getOrDefault(log.id(), -1L);
  }

  void recorded(KeptFile log) {
    files.recorded(log);
  }
}
