package org.jexel.app.harness;

import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.RequestKey;
import org.jexel.app.workshop.Workshop;
import org.jexel.core.connector.WireColour;
import org.jexel.core.harness.CutList;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Reels on the shelf: issued to a job by its cut list, and back. */
@Service
public class Stock {
  private static final double NOTHING_M = 1e-9;

  private final ReelRepository reels;
  private final ReelMoveRepository moves;
  private final Clock clock;

  Stock(ReelRepository reels, ReelMoveRepository moves, Clock clock) {
    this.reels = reels;
    this.moves = moves;
    this.clock = clock;
  }

  /**
   * The job's cut list against the shelf. While the list is issued, its own wire counts as on the
   * shelf, so that it still shows what it was cut from.
   */
  @Transactional(readOnly = true)
  public CutList cutList(JobFile file) {
    return cutList(file, issued(file).shelf());
  }

  /**
   * @param out what is out for this job
   */
  @Transactional(readOnly = true)
  public CutList cutList(JobFile file, Map<Long, Double> out) {
    List<CutList.Reel> shelf =
        reels.findByWorkshopIdOrderById(file.job().workshop().id()).stream()
            .filter(Reel::readable)
            .map(Reel::asCut)
            .map(
                reel ->
                    new CutList.Reel(
                        reel.id(),
                        reel.size(),
                        reel.colour(),
                        reel.metres() + out.getOrDefault(reel.id(), 0.0)))
            .toList();
    return CutList.of(file.work().harness().scope(), shelf);
  }

  /**
   * Wire that was taken for a job and did not come back.
   *
   * @param shelf metres of each reel of this workshop
   * @param elsewhere metres from another workshop's shelf, before the job came here in a file
   */
  public record Issued(Map<Long, Double> shelf, double elsewhere) {
    public boolean isEmpty() {
      return shelf.isEmpty() && elsewhere < NOTHING_M;
    }
  }

  @Transactional(readOnly = true)
  public Issued issued(JobFile file) {
    Map<Long, Double> shelf = new LinkedHashMap<>();
    double elsewhere = 0;
    for (ReelMove move : moves.ofJob(file.job().id())) {
      if (move.reel().isPresent()) {
        shelf.merge(move.reel().get().id(), move.metres(), Double::sum);
      } else {
        elsewhere += move.metres();
      }
    }
    shelf.values().removeIf(metres -> Math.abs(metres) < NOTHING_M);
    return new Issued(shelf, elsewhere);
  }

  /**
   * Takes what the list needs off the reels; a list that is out is not issued twice. Two people at
   * one shelf cannot take the same metres: the second is told.
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void issue(JobFile file, String requestKey) {
    if (!issued(file).isEmpty()) {
      return;
    }
    move(file, cutList(file).cuts(), requestKey);
  }

  /** Puts everything that is out for this job back. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void giveBack(JobFile file, String requestKey) {
    Map<Long, Double> back = new LinkedHashMap<>();
    issued(file).shelf().forEach((reel, metres) -> back.put(reel, -metres));
    move(file, back, requestKey);
  }

  private void move(JobFile file, Map<Long, Double> metres, String requestKey) {
    String key = RequestKey.of(requestKey);
    if (moves.existsByJobIdAndRequestKey(file.job().id(), key)) {
      return;
    }
    metres.forEach(
        (id, taken) -> {
          Reel reel = reels.findById(id).orElseThrow();
          if (reel.metres() - taken < -1e-6) {
            throw new IllegalStateException(
                Phrase.of(
                    "Reel %d has %s, not %s.",
                    id,
                    Measure.LENGTH.text(reel.metres(), file.units()),
                    Measure.LENGTH.text(taken, file.units())));
          }
          reel.take(taken);
          moves.save(new ReelMove(reel, file.job(), taken, file.person(), clock.instant(), key));
        });
  }

  /** A shelf to start with; does nothing where there are reels. */
  @Transactional
  public void fill(Workshop workshop, List<CutList.Reel> shelf) {
    if (!reels.existsByWorkshopId(workshop.id())) {
      for (CutList.Reel reel : shelf) {
        WireColour colour = reel.colour();
        reels.save(new Reel(workshop, reel.size(), colour, reel.metres()));
      }
    }
  }
}
