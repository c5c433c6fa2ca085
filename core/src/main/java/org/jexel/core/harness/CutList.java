package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.connector.WireColour;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;

/**
 * What to cut, and from which reels.
 *
 * <p>A piece is its run and 0.1 m for each end. Pieces of one size and colour are put on the
 * workshop's reels longest first, each on the first reel that still has enough: first-fit
 * decreasing (Johnson, 1973), never more than 11/9 of the best and one reel.
 *
 * @param lines by size and colour
 * @param pieces every piece once
 */
public record CutList(List<Line> lines, List<Piece> pieces) {
  private static final double EACH_END_M = 0.1;

  /**
   * @param span the run that it is cut for
   * @param colour of its segment's convention; empty for a free choice
   * @param length with both ends, m
   */
  public record Piece(Span span, Optional<WireColour> colour, double length) {}

  /**
   * A reel on the shelf.
   *
   * @param id of the workshop's
   * @param size label of its wire
   * @param colour of its insulation
   * @param metres left on it
   */
  public record Reel(long id, String size, WireColour colour, double metres) {}

  /**
   * @param size label of the wire
   * @param colour empty for a free choice
   * @param pieces the longest first
   * @param metres all of them together
   * @param cuts what each reel gives, m, by its id
   * @param offcut what is left on the reels that were cut, m
   * @param buy metres that no reel gives
   * @param remark that no reel is long enough; else empty
   */
  public record Line(
      String size,
      Optional<WireColour> colour,
      List<Piece> pieces,
      double metres,
      Map<Long, Double> cuts,
      double offcut,
      double buy,
      Optional<TooShort> remark) {}

  /**
   * No reel is long enough for a piece.
   *
   * @param longest reel that there is, m
   * @param piece m
   */
  public record TooShort(double longest, double piece) {
    public String words(UnitSystem units) {
      return "The longest reel has %s, shorter than the piece of %s: buy, do not splice."
          .formatted(Measure.LENGTH.text(longest, units), Measure.LENGTH.text(piece, units));
    }
  }

  public static CutList of(Scope scope, List<Reel> reels) {
    List<Piece> pieces = new ArrayList<>();
    for (Span span : scope.newSpans()) {
      pieces.add(new Piece(span, colour(scope.rig(), span), span.length() + 2 * EACH_END_M));
    }
    Map<List<Object>, List<Piece>> groups = new LinkedHashMap<>();
    pieces.forEach(
        piece ->
            groups
                .computeIfAbsent(
                    List.of(piece.span().size().label(), piece.colour()), k -> new ArrayList<>())
                .add(piece));
    List<Line> lines = new ArrayList<>();
    groups.values().forEach(group -> lines.add(line(group, reels)));
    return new CutList(List.copyOf(lines), List.copyOf(pieces));
  }

  private static Optional<WireColour> colour(Rig rig, Span span) {
    Segment segment =
        switch (span.duty()) {
          case VEHICLE -> Segment.VEHICLE;
          case CORD -> Segment.CORD;
          default -> Segment.TRAILER;
        };
    PinFunction function = span.function();
    return segment.convention(rig).colour(function);
  }

  private static Line line(List<Piece> group, List<Reel> reels) {
    List<Piece> longestFirst = new ArrayList<>(group);
    longestFirst.sort(Comparator.comparingDouble(Piece::length).reversed());
    Piece first = group.get(0);
    List<Reel> fitting =
        reels.stream()
            .filter(reel -> reel.size().equals(first.span().size().label()))
            .filter(reel -> first.colour().isEmpty() || first.colour().get() == reel.colour())
            .filter(reel -> reel.metres() > 0)
            .toList();
    Map<Long, Double> cuts = new LinkedHashMap<>();
    double buy = 0;
    Optional<TooShort> remark = Optional.empty();
    for (Piece piece : longestFirst) {
      Optional<Reel> from =
          fitting.stream()
              .filter(r -> r.metres() - cuts.getOrDefault(r.id(), 0.0) >= piece.length() - 1e-9)
              .findFirst();
      if (from.isPresent()) {
        cuts.merge(from.get().id(), piece.length(), Double::sum);
      } else {
        buy += piece.length();
        double longest = fitting.stream().mapToDouble(Reel::metres).max().orElse(0);
        if (longest > 0 && longest < piece.length()) {
          remark = Optional.of(new TooShort(longest, piece.length()));
        }
      }
    }
    double offcut =
        fitting.stream()
            .filter(reel -> cuts.containsKey(reel.id()))
            .mapToDouble(reel -> reel.metres() - Must.have(cuts, reel.id()))
            .sum();
    return new Line(
        first.span().size().label(),
        first.colour(),
        List.copyOf(longestFirst),
        longestFirst.stream().mapToDouble(Piece::length).sum(),
        Map.copyOf(cuts),
        offcut,
        buy,
        remark);
  }

  /** What a job takes from each reel, m. */
  public Map<Long, Double> cuts() {
    Map<Long, Double> all = new LinkedHashMap<>();
    lines.forEach(line -> line.cuts().forEach((reel, m) -> all.merge(reel, m, Double::sum)));
    return all;
  }
}
