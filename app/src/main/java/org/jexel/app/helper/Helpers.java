package org.jexel.app.helper;

import java.io.IOException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import org.jexel.app.job.JobFile;
import org.jexel.app.security.Guesses;
import org.jexel.core.check.Check;
import org.jexel.core.job.Station;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Pages for helpers in the cab: codes, what each shows, and the phones that follow.
 *
 * <p>What is shown is kept in memory only: it is what the electrician looks at now, and after a
 * restart the next look sets it again.
 *
 * <p>Shared by all requests and by the streams of the phones: its maps are concurrent, and each
 * entry is replaced whole.
 */
@Service
public class Helpers {
  /** No letters or digits that are taken for each other. */
  private static final String LETTERS = "23456789ABCDEFGHJKLMNPQRSTUVWXYZ";

  private static final int LENGTH = 7;

  /** A browser opens a closed stream again by itself: nothing is kept for phones that are gone. */
  private static final long STREAM = Duration.ofMinutes(2).toMillis();

  /** So long one can still see who opened a page. */
  private static final Duration KEPT = Duration.ofDays(30);

  private static final int FOLLOWERS = 8;

  private final HelperPageRepository pages;
  private final Clock clock;
  private final SecureRandom dice = new SecureRandom();
  private final Map<Long, Hold> shown = new ConcurrentHashMap<>();
  private final Map<Long, List<SseEmitter>> followers = new ConcurrentHashMap<>();
  private final Guesses guesses = new Guesses();

  Helpers(HelperPageRepository pages, Clock clock) {
    this.pages = pages;
    this.clock = clock;
  }

  /** The page that is open for a job. */
  @Transactional(readOnly = true)
  public Optional<HelperPage> of(JobFile file) {
    return pages.findByJobIdAndClosedFalse(file.job().id()).stream()
        .filter(page -> page.open(clock.instant()))
        .findFirst();
  }

  /** Opens a page with a new code; an older one of the job ends. */
  public void open(JobFile file) {
    close(file);
    StringBuilder code = new StringBuilder();
    for (int i = 0; i < LENGTH; i++) {
      code.append(LETTERS.charAt(dice.nextInt(LETTERS.length())));
    }
    pages.save(new HelperPage(file.job(), code.toString(), file.person(), clock.instant()));
  }

  /** Ends the job's pages. */
  public void close(JobFile file) {
    pages.findByJobIdAndClosedFalse(file.job().id()).forEach(HelperPage::close);
  }

  /** Tells the phones of a job, once what ended their page is on disk. */
  void hang(JobFile file) {
    shown.remove(file.job().id());
    tell(file.job().id());
  }

  /** What the electrician has open now; whoever follows is told. */
  public void show(JobFile file, Check check) {
    Hold now = Hold.of(file, check);
    if (!now.equals(shown.put(file.job().id(), now))) {
      tell(file.job().id());
    }
  }

  /** Whether too many wrong codes came from an address; right ones are not told apart then. */
  boolean spent(String address) {
    return guesses.spent(address);
  }

  /**
   * The open page under a code; empty for one that is wrong, closed, expired or due for its report,
   * and for any code from an address that has tried too many.
   */
  @Transactional(readOnly = true)
  public Optional<HelperPage> find(String code, String address) {
    if (spent(address)) {
      return Optional.empty();
    }
    Optional<HelperPage> found =
        pages
            .byCode(code.strip().toUpperCase(Locale.ROOT))
            .filter(page -> page.open(clock.instant()))
            .filter(page -> page.job().standing().nextStation() != Station.HANDOVER);
    if (found.isEmpty()) {
      guesses.wrong(address);
    }
    return found;
  }

  Hold now(HelperPage page) {
    return shown.getOrDefault(page.job().id(), Hold.NOTHING);
  }

  /** A stream that says when there is something new to hold. */
  SseEmitter follow(HelperPage page) {
    SseEmitter emitter = new SseEmitter(STREAM);
    List<SseEmitter> all =
        followers.computeIfAbsent(page.job().id(), job -> new CopyOnWriteArrayList<>());
    while (all.size() >= FOLLOWERS) {
      all.remove(0).complete();
    }
    all.add(emitter);
    emitter.onCompletion(() -> all.remove(emitter));
    emitter.onTimeout(emitter::complete);
    send(emitter);
    return emitter;
  }

  /** Forgets pages whose codes have ended long ago. */
  @Scheduled(fixedDelay = 12, initialDelay = 1, timeUnit = TimeUnit.HOURS)
  @Transactional
  public void age() {
    pages.deleteByEndsAtBefore(clock.instant().minus(KEPT));
  }

  /** Open streams would hold the server back when it stops. */
  @EventListener(ContextClosedEvent.class)
  void end() {
    followers.values().forEach(all -> all.forEach(SseEmitter::complete));
  }

  private void tell(long job) {
    followers.getOrDefault(job, List.of()).forEach(this::send);
  }

  private void send(SseEmitter emitter) {
    try {
      emitter.send(SseEmitter.event().name("hold").data("now").reconnectTime(2000));
    } catch (IOException | IllegalStateException gone) {
      emitter.complete();
    }
  }
}
