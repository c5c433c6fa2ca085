package org.jexel.app.bench;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.job.JobFile;
import org.jexel.core.check.Check;
import org.jexel.core.check.Round;
import org.jexel.core.quantity.Measure;
import org.jspecify.annotations.Nullable;

/** Where a search may begin: with what somebody came for. */
final class Noticed {
  private Noticed() {}

  /** What somebody may have noticed on the way here: rounds by eye, ear and hand, and the pins. */
  static Map<String, String> starts(JobFile file) {
    Map<String, String> starts = new LinkedHashMap<>();
    for (Check.Group group :
        List.of(
            Check.Group.SEEN,
            Check.Group.BREAKAWAY,
            Check.Group.SOCKET,
            Check.Group.FUSES,
            Check.Group.BRAKES,
            Check.Group.DRIVEN,
            Check.Group.WHEELS,
            Check.Group.TOLD)) {
      file.work().bench().checks().stream()
          .filter(Noticed::isNoticed)
          .filter(c -> c.group() == group && !file.work().bench().newest().containsKey(c.id()))
          .forEach(c -> starts.putIfAbsent(start(c), noticed(c)));
    }
    return starts;
  }

  /** Lamps are looked at on one walk; of a wheel one thing is noticed, and that is tried. */
  private static String start(Check check) {
    return check.measure() == Measure.GLOW ? check.walk() : check.round();
  }

  /** What nobody looks for before something is wrong is no way to begin. */
  private static boolean isNoticed(Check check) {
    return switch (check.group()) {
      case BRAKES -> !check.measure().words().isEmpty();
      case SEEN ->
          switch (check.measure()) {
            case GLOW -> check.walk().equals(Round.LAMPS);
            case KIND -> false;
            default -> true;
          };
      case WHEELS -> check.measure() == Measure.GRIPPING;
      default -> true;
    };
  }

  private static @Nullable String noticed(Check check) {
    return switch (check.measure()) {
      case TURNING -> "A wheel drags or is hard to turn";
      case FUSE -> "A fuse is blown, or blows again";
      case WAKING -> "The controller sleeps through the pedal";
      case HUMMING -> "A wheel does not brake";
      case GRIPPING -> "A wheel hums and does not hold";
      case PRESSING -> "The pump runs and the trailer hardly brakes";
      case PULLING -> "The trailer pulls to one side when it brakes";
      case HEAT -> "One wheel gets hotter than the others, or stays cold";
      case COMING -> "It comes and goes";
      case GLOW -> "Lamps glow wrongly";
      default -> "Nothing on one pin. " + check.title();
    };
  }
}
