package org.jexel.app.rig;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.jexel.app.entry.LampEntries;
import org.jexel.app.job.Drafts;
import org.jexel.app.job.JobFile;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Parsed;
import org.jexel.core.quantity.QuantityParser;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.LampOffer;
import org.jexel.core.rig.LampRole;
import org.jexel.core.rig.LampTechnology;
import org.jexel.core.rig.Plan;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Side;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Takes what people say of the lamps that were offered, and adds others. */
@Service
public class LampCards {
  private static final String FORM = "lamps";

  /** Form of a lamp that is added. */
  static final String ADDED = "lamp";

  private final LampEntries lamps;
  private final Drafts drafts;
  private final Clock clock;

  LampCards(LampEntries lamps, Drafts drafts, Clock clock) {
    this.lamps = lamps;
    this.drafts = drafts;
    this.clock = clock;
  }

  /**
   * A lamp with what stands in its fields.
   *
   * @param lamp as it is
   * @param x behind the ball, as typed or as it is
   * @param y left of the middle, as typed or as it is
   * @param problem why the typed place cannot be taken, or that the lamp hangs in the air; or null
   */
  public record Row(Lamp lamp, String x, String y, @Nullable String problem) {}

  /** Every lamp of the trailer. */
  List<Row> rows(JobFile file) {
    return file.rig().lamps().stream().map(lamp -> row(file, lamp)).toList();
  }

  private static Row row(JobFile file, Lamp lamp) {
    String x = Measure.LENGTH.number(lamp.x(), file.units());
    String y = Measure.LENGTH.number(lamp.y(), file.units());
    String typedX = file.typed().text(FORM, lamp.slot() + ".x");
    String typedY = file.typed().text(FORM, lamp.slot() + ".y");
    if (typedX.isEmpty() && typedY.isEmpty()) {
      return new Row(lamp, x, y, lamp.counts() ? offTheFrame(file, lamp.x(), lamp.y()) : null);
    }
    x = typedX.isEmpty() ? x : typedX;
    y = typedY.isEmpty() ? y : typedY;
    return new Row(lamp, x, y, place(file, x, y).problem());
  }

  /** A typed place, or why it is none. */
  private record Place(double x, double y, @Nullable String problem) {}

  private static Place place(JobFile file, String x, String y) {
    double[] si = new double[2];
    String[] typed = {x, y};
    for (int i = 0; i < 2; i++) {
      Parsed parsed = QuantityParser.parse(typed[i], Measure.LENGTH, file.units());
      if (parsed instanceof Parsed.Misread misread) {
        return new Place(0, 0, misread.message());
      }
      si[i] = ((Parsed.Value) parsed).si();
    }
    return new Place(si[0], si[1], offTheFrame(file, si[0], si[1]));
  }

  private static @Nullable String offTheFrame(JobFile file, double x, double y) {
    Plan plan = Plan.of(file.rig().sheet());
    return plan.carries(x, y)
        ? null
        : "That is off the frame. It ends %s behind the ball, and at this place %s to each side."
            .formatted(
                Measure.LENGTH.text(plan.length(), file.units()),
                Measure.LENGTH.text(plan.halfAt(x), file.units()));
  }

  /**
   * Takes {@code SLOT.state}, {@code SLOT.technology}, {@code SLOT.x} and {@code SLOT.y} of every
   * lamp that was changed; a place that cannot be taken stays as it was typed.
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void take(JobFile file, Map<String, String> typed) {
    for (Lamp lamp : file.rig().lamps()) {
      Lamp said =
          lamp.with(
              valueOr(Lamp.State.class, typed.get(lamp.slot() + ".state"), lamp.state()),
              valueOr(
                  LampTechnology.class, typed.get(lamp.slot() + ".technology"), lamp.technology()));
      said = moved(file, said, typed);
      if (!said.equals(lamp)) {
        lamps.enter(file, said);
      }
    }
    file.changed();
  }

  private Lamp moved(JobFile file, Lamp lamp, Map<String, String> typed) {
    String codeX = lamp.slot() + ".x";
    String codeY = lamp.slot() + ".y";
    String x = typed.getOrDefault(codeX, "").strip();
    String y = typed.getOrDefault(codeY, "").strip();
    boolean touched =
        !x.equals(typed.getOrDefault(codeX + ".was", x))
            || !y.equals(typed.getOrDefault(codeY + ".was", y));
    if (x.isEmpty() || y.isEmpty() || !touched) {
      return lamp;
    }
    Place place = place(file, x, y);
    if (place.problem() != null) {
      drafts.keep(file.job(), file.person(), FORM, codeX, x, 0);
      drafts.keep(file.job(), file.person(), FORM, codeY, y, 0);
      return lamp;
    }
    drafts.drop(file.job(), file.person(), FORM, codeX);
    drafts.drop(file.job(), file.person(), FORM, codeY);
    return lamp.at(place.x(), place.y());
  }

  /** Adds a lamp, or keeps what was typed with the reason why not. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void add(JobFile file, String role, String side, String place) {
    String problem = added(file, role, side, place);
    if (problem == null) {
      drafts.dropForm(file.job(), file.person(), ADDED);
    } else {
      drafts.keep(file.job(), file.person(), ADDED, "place", place, 0);
      drafts.keep(file.job(), file.person(), ADDED, "problem", problem, 0);
    }
  }

  private @Nullable String added(JobFile file, String role, String side, String place) {
    Parsed parsed =
        place.isBlank()
            ? new Parsed.Misread("Say how far behind the ball it sits.")
            : QuantityParser.parse(place, Measure.LENGTH, file.units());
    if (parsed instanceof Parsed.Misread misread) {
      return misread.message();
    }
    double x = ((Parsed.Value) parsed).si();
    Plan plan = Plan.of(file.rig().sheet());
    if (x < plan.bed() || x > plan.length()) {
      return "That is off the frame. Between %s and %s behind the ball."
          .formatted(
              Measure.LENGTH.number(plan.bed(), file.units()),
              Measure.LENGTH.text(plan.length(), file.units()));
    }
    LampRole what = valueOr(LampRole.class, role, LampRole.SIDE_MARKER);
    Side where = valueOr(Side.class, side, Side.LEFT);
    String stem = "extra-" + where.label() + "-" + Math.round(x * 100);
    if (file.rig().lamps().stream().anyMatch(lamp -> lamp.slot().equals(stem))) {
      return "There is a lamp at that place already.";
    }
    double y = where.sign() * (plan.half() - LampOffer.INSET_M);
    lamps.enter(
        file,
        new Lamp(
            stem,
            what,
            where,
            x,
            y,
            file.rig().sheet().choice(RigField.LAMP_TECHNOLOGY, LampTechnology.class),
            Lamp.State.WANTED,
            "entered by hand",
            true));
    file.changed();
    return null;
  }

  private static <E extends Enum<E>> E valueOr(Class<E> type, @Nullable String name, E otherwise) {
    for (E value : type.getEnumConstants()) {
      if (value.name().equals(name)) {
        return value;
      }
    }
    return otherwise;
  }
}
