package org.jexel.app.handover;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.jexel.app.drawing.PlainSvg;
import org.jexel.app.exchange.Sha256;
import org.jexel.core.report.Difference;
import org.jexel.core.report.Report;
import org.jspecify.annotations.Nullable;

/**
 * What a signature is put to: a report and the drawing of its rig, as one text that is the same
 * whenever the two are.
 *
 * @param units in which its figures are written
 * @param drawing SVG
 * @param wiring as built, SVG; none in editions from before it was drawn
 */
record Frozen(String units, Report report, String drawing, @Nullable String wiring) {
  private static final ObjectMapper JSON = JsonMapper.builder().build();

  Frozen leavingBecause(String reason) {
    return new Frozen(units, report.leavingBecause(reason), drawing, wiring);
  }

  /** The same, with the reason of an edition: nobody gave another since. */
  Frozen leavingAs(ReportEdition edition) {
    return edition.frozen().map(old -> leavingBecause(old.report.leaves())).orElse(this);
  }

  /** Whether its drawings are such as this program makes. */
  boolean isDrawn() {
    return PlainSvg.is(drawing) && (wiring == null || PlainSvg.is(wiring));
  }

  /** What it says otherwise than an earlier edition; of one in other units, or none, nothing. */
  List<Difference> since(Optional<ReportEdition> earlier) {
    return earlier
        .flatMap(ReportEdition::frozen)
        .filter(old -> old.units.equals(units))
        .map(old -> Difference.between(old.report, report))
        .orElse(List.of());
  }

  /** The drawing on the page of an edition: it shows what was, and leads nowhere. */
  public String picture() {
    return PlainSvg.withoutLinks(drawing);
  }

  /** The wiring likewise; null in editions from before it was drawn. */
  public @Nullable String wiringPicture() {
    return wiring == null ? null : PlainSvg.withoutLinks(wiring);
  }

  /** As it is kept: JSON, its fields in the order of the records. */
  String text() {
    try {
      return JSON.writeValueAsString(this);
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }

  String hash() {
    return hash(text());
  }

  /** SHA-256 of the kept text in UTF-8, hexadecimal. */
  static String hash(String text) {
    return Sha256.of(text.getBytes(StandardCharsets.UTF_8));
  }

  @SuppressWarnings("NullAway") // what is read may lack anything
  private boolean isWhole() {
    return units != null && report != null && drawing != null;
  }

  /** Empty where this version does not understand it any more; its sheets stand all the same. */
  static Optional<Frozen> of(String text) {
    try {
      return Optional.of(JSON.readValue(text, Frozen.class)).filter(Frozen::isWhole);
    } catch (JsonProcessingException | IllegalArgumentException unknown) {
      return Optional.empty();
    }
  }
}
