package org.jexel.app.rig;

import java.time.Clock;
import java.util.Map;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Parsed;
import org.jexel.core.quantity.QuantityParser;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.LampRole;
import org.jexel.core.rig.LampTechnology;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Side;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes what people say of the lamps that were offered, and adds others. */
@Service
public class LampCards {
  private final LampEntryRepository lamps;
  private final JobFiles files;
  private final Clock clock;

  LampCards(LampEntryRepository lamps, JobFiles files, Clock clock) {
    this.lamps = lamps;
    this.files = files;
    this.clock = clock;
  }

  /** Takes {@code SLOT.state} and {@code SLOT.technology} of every lamp that was changed. */
  @Transactional
  public void take(JobFile file, Map<String, String> typed) {
    for (Lamp lamp : file.rig().lamps()) {
      Lamp said =
          lamp.with(
              valueOr(Lamp.State.class, typed.get(lamp.slot() + ".state"), lamp.state()),
              valueOr(
                  LampTechnology.class, typed.get(lamp.slot() + ".technology"), lamp.technology()));
      if (!said.equals(lamp)) {
        enter(file, said);
      }
    }
    files.refresh(file.job().ref(), file.person());
  }

  @Transactional
  public void enter(JobFile file, Lamp lamp) {
    lamps.save(new LampEntry(file.job().trailer(), lamp, file.person(), clock.instant()));
  }

  /** Adds a lamp; returns why not, or null. */
  @Transactional
  public String add(JobFile file, String role, String side, String place) {
    Parsed parsed =
        place.isBlank()
            ? new Parsed.Misread("Say how far behind the ball it sits.")
            : QuantityParser.parse(place, Measure.LENGTH, file.units());
    if (parsed instanceof Parsed.Misread misread) {
      return misread.message();
    }
    double x = ((Parsed.Value) parsed).si();
    double length = file.rig().sheet().si(RigField.OVERALL_LENGTH);
    double front = file.rig().sheet().si(RigField.DRAWBAR_LENGTH);
    if (x < front || x > length) {
      return "That is off the frame. Between %s and %s behind the ball."
          .formatted(
              Measure.LENGTH.number(front, file.units()),
              Measure.LENGTH.text(length, file.units()));
    }
    LampRole what = valueOr(LampRole.class, role, LampRole.SIDE_MARKER);
    Side where = valueOr(Side.class, side, Side.LEFT);
    String stem = "extra-" + where.label() + "-" + Math.round(x * 100);
    if (file.rig().lamps().stream().anyMatch(lamp -> lamp.slot().equals(stem))) {
      return "There is a lamp at that place already.";
    }
    double y = where.sign() * (file.rig().sheet().si(RigField.OVERALL_WIDTH) / 2 - 0.08);
    enter(
        file,
        new Lamp(
            stem,
            what,
            where,
            x,
            y,
            file.rig().sheet().choice(RigField.LAMP_TECHNOLOGY, LampTechnology.class),
            Lamp.State.WANTED,
            "entered by hand"));
    files.refresh(file.job().ref(), file.person());
    return null;
  }

  private static <E extends Enum<E>> E valueOr(Class<E> type, String name, E otherwise) {
    for (E value : type.getEnumConstants()) {
      if (value.name().equals(name)) {
        return value;
      }
    }
    return otherwise;
  }
}
