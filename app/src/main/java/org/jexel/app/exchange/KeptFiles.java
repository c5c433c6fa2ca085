package org.jexel.app.exchange;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.SequenceInputStream;
import java.io.UncheckedIOException;
import java.security.DigestInputStream;
import java.time.Clock;
import java.util.Enumeration;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.server.ResponseStatusException;

/**
 * Keeps the files of instruments: as they were sent, so that what was recorded from one can be
 * looked at again. One that nobody records is forgotten after two days.
 */
@Service
public class KeptFiles {
  private static final int PART = 1 << 20;

  private final KeptFileRepository logs;
  private final JdbcTemplate sql;
  private final Clock clock;

  KeptFiles(KeptFileRepository logs, JdbcTemplate sql, Clock clock) {
    this.logs = logs;
    this.sql = sql;
    this.clock = clock;
  }

  /** Keeps a file; nothing of it is in the job yet. */
  @Transactional(propagation = Propagation.MANDATORY)
  public KeptFile keep(KeptFile.Kind kind, Long job, Long person, MultipartFile sent) {
    String name = sent.getOriginalFilename() == null ? "" : sent.getOriginalFilename();
    // The name is there to know the file again; what counts is kept whole.
    String brief =
        name.codePoints()
            .limit(100)
            .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
            .toString();
    KeptFile log = logs.saveAndFlush(new KeptFile(kind, job, person, brief, clock.instant()));
    try (InputStream in = sent.getInputStream();
        DigestInputStream hashed = new DigestInputStream(in, Sha256.fresh());
        OutputStream out = new GZIPOutputStream(new Parts(log.id()))) {
      long length = hashed.transferTo(out);
      log.sent(length, Sha256.text(hashed.getMessageDigest().digest()));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return log;
  }

  /** Writes rows of a megabyte each. */
  private final class Parts extends OutputStream {
    private final long log;
    private final ByteArrayOutputStream part = new ByteArrayOutputStream(PART);
    private int n;

    private Parts(long log) {
      this.log = log;
    }

    @Override
    public void write(int b) {
      part.write(b);
      flushFull();
    }

    @Override
    public void write(byte[] bytes, int from, int length) {
      part.write(bytes, from, length);
      flushFull();
    }

    private void flushFull() {
      if (part.size() >= PART) {
        store();
      }
    }

    private void store() {
      sql.update(
          "insert into meter_log_part (log_id, n, content) values (?, ?, ?)",
          log,
          n++,
          part.toByteArray());
      part.reset();
    }

    @Override
    public void close() {
      if (part.size() > 0) {
        store();
      }
    }
  }

  /** The file under this number, or 404 where it is not this job's. */
  @Transactional(readOnly = true)
  public KeptFile of(KeptFile.Kind kind, Long job, long id) {
    return logs.findByIdAndJobIdAndKind(id, job, kind.name())
        .orElseThrow(
            () -> new ResponseStatusException(HttpStatus.NOT_FOUND, "No file of that number"));
  }

  /** Every file of one kind that a job has, oldest first. */
  @Transactional(readOnly = true)
  public List<KeptFile> all(KeptFile.Kind kind, Long job) {
    return logs.findByJobIdAndKindOrderById(job, kind.name());
  }

  /** What was sent, read part by part; the caller closes it. */
  public InputStream content(KeptFile file) {
    try {
      return new GZIPInputStream(new SequenceInputStream(new Stored(file.id())), 1 << 16);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The stored parts, each fetched when the one before it is at its end. */
  private final class Stored implements Enumeration<InputStream> {
    private final long log;
    private final int parts;
    private int next;

    private Stored(long log) {
      this.log = log;
      this.parts =
          sql.queryForObject(
              "select count(*) from meter_log_part where log_id = ?", Integer.class, log);
    }

    @Override
    public boolean hasMoreElements() {
      return next < parts;
    }

    @Override
    public InputStream nextElement() {
      return new ByteArrayInputStream(
          sql.queryForObject(
              "select content from meter_log_part where log_id = ? and n = ?",
              byte[].class,
              log,
              next++));
    }
  }

  @Transactional(propagation = Propagation.MANDATORY)
  public void recorded(KeptFile log) {
    logs.findById(log.id()).orElseThrow().record(clock.instant());
  }

  @Scheduled(fixedDelay = 6, initialDelay = 1, timeUnit = TimeUnit.HOURS)
  void forget() {
    sql.update(
        "delete from meter_log where recorded_at is null and sent_at < now(3) - interval 2 day");
  }
}
