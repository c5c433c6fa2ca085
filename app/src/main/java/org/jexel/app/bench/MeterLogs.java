package org.jexel.app.bench;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.SequenceInputStream;
import java.io.UncheckedIOException;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.util.Enumeration;
import java.util.HexFormat;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.jexel.app.job.JobFile;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.server.ResponseStatusException;

/**
 * Keeps the files of logging meters: as they were sent, so that what was recorded from one can be
 * looked at again. One that nobody records is forgotten after two days.
 */
@Service
class MeterLogs {
  private static final int PART = 1 << 20;

  private final MeterLogRepository logs;
  private final JdbcTemplate sql;
  private final Clock clock;
  private final Map<Long, Long> read = new ConcurrentHashMap<>();

  MeterLogs(MeterLogRepository logs, JdbcTemplate sql, Clock clock) {
    this.logs = logs;
    this.sql = sql;
    this.clock = clock;
  }

  /** Keeps a file; nothing of it is in the job yet. */
  @Transactional(propagation = Propagation.MANDATORY)
  MeterLog keep(JobFile file, MultipartFile sent) {
    String name = sent.getOriginalFilename() == null ? "" : sent.getOriginalFilename();
    // The name is there to know the file again; what counts is kept whole.
    String brief =
        name.codePoints()
            .limit(100)
            .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
            .toString();
    MeterLog log =
        logs.saveAndFlush(
            new MeterLog(file.job().id(), file.person().id(), brief, clock.instant()));
    try (InputStream in = sent.getInputStream();
        DigestInputStream hashed = new DigestInputStream(in, MessageDigest.getInstance("SHA-256"));
        OutputStream out = new GZIPOutputStream(new Parts(log.id()))) {
      long length = hashed.transferTo(out);
      log.sent(length, HexFormat.of().formatHex(hashed.getMessageDigest().digest()));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
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
  MeterLog of(JobFile file, long id) {
    return logs.findByIdAndJobId(id, file.job().id())
        .orElseThrow(
            () -> new ResponseStatusException(HttpStatus.NOT_FOUND, "No file of that number"));
  }

  /** How its rows fit this job, read part by part. */
  LogRows rows(JobFile file, MeterLog log) {
    try (InputStream content =
        new GZIPInputStream(new SequenceInputStream(new Stored(log.id())), 1 << 16)) {
      return LogRows.of(file, content, rows -> read.put(log.id(), rows));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      read.remove(log.id());
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

  /** How many rows of a file that is being read now have been read; -1 when it is not. */
  long progress(MeterLog log) {
    return read.getOrDefault(log.id(), -1L);
  }

  @Transactional(propagation = Propagation.MANDATORY)
  void recorded(MeterLog log) {
    logs.findById(log.id()).orElseThrow().record(clock.instant());
  }

  @Scheduled(fixedDelay = 6, initialDelay = 1, timeUnit = TimeUnit.HOURS)
  void forget() {
    sql.update(
        "delete from meter_log where recorded_at is null and sent_at < now(3) - interval 2 day");
  }
}
