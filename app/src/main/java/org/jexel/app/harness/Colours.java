package org.jexel.app.harness;

import java.time.Clock;
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

  /** Name of a colour's field in the form. */
  static String code(Segment segment, PinFunction function) {
    return segment.name() + "." + function.name();
  }

  /** Takes every {@code SEGMENT.FUNCTION} that differs from what stood; empty is the plan's. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void take(JobFile file, Map<String, String> typed) {
    Map<Crosswalk.Seen, WireColour> built = file.record().colours();
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
