package org.jexel.app.harness;

import java.time.Clock;
import java.util.HashMap;
import java.util.Map;
import org.jexel.app.job.JobFile;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.connector.WireColour;
import org.jexel.core.harness.Crosswalk;
import org.jexel.core.harness.Segment;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The colours that people found, beside those of the plan. */
@Service
class Colours {
  private final BuiltColourRepository colours;
  private final Clock clock;

  Colours(BuiltColourRepository colours, Clock clock) {
    this.colours = colours;
    this.clock = clock;
  }

  @Transactional(readOnly = true)
  Crosswalk crosswalk(JobFile file) {
    return Crosswalk.of(file.rig(), file.work().harness().plan(), built(file));
  }

  private Map<Crosswalk.Seen, WireColour> built(JobFile file) {
    Map<Crosswalk.Seen, WireColour> built = new HashMap<>();
    for (BuiltColour row : colours.ofJob(file.job().id())) {
      if (!row.readable()) {
        continue;
      }
      if (row.colour() == null) {
        built.remove(row.place());
      } else {
        built.put(row.place(), row.colour());
      }
    }
    return built;
  }

  /** Name of a colour's field in the form. */
  static String code(Segment segment, PinFunction function) {
    return segment.name() + "." + function.name();
  }

  /** Takes every {@code SEGMENT.FUNCTION} that differs from what stood; empty is the plan's. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void take(JobFile file, Map<String, String> typed) {
    Map<Crosswalk.Seen, WireColour> built = built(file);
    for (Segment segment : Segment.values()) {
      for (PinFunction function : PinFunction.values()) {
        String text = typed.get(code(segment, function));
        if (text == null) {
          continue;
        }
        Crosswalk.Seen place = new Crosswalk.Seen(segment, function);
        WireColour colour = colour(text);
        boolean known = text.isEmpty() || colour != null;
        if (known && colour != built.get(place)) {
          colours.save(new BuiltColour(file.job(), place, colour, file.person(), clock.instant()));
        }
      }
    }
  }

  private static @Nullable WireColour colour(String name) {
    for (WireColour colour : WireColour.values()) {
      if (colour.name().equals(name)) {
        return colour;
      }
    }
    return null;
  }
}
