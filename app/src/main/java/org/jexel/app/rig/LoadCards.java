package org.jexel.app.rig;

import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jexel.app.entry.FieldText;
import org.jexel.app.entry.LoadLine;
import org.jexel.app.entry.LoadLineRepository;
import org.jexel.app.job.Drafts;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.RequestKey;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Parsed;
import org.jexel.core.quantity.QuantityParser;
import org.jexel.core.rig.LoadItem;
import org.jexel.core.rig.RigField;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The lines of the load sheet: by mass, or by volume and density. */
@Service
public class LoadCards {
  static final String FORM = "load";
  private static final double MOST_KG = 40_000;
  private static final double MOST_M3 = 100;
  private static final double MOST_DENSITY = 20_000;

  private final LoadLineRepository lines;
  private final Drafts drafts;
  private final Clock clock;

  LoadCards(LoadLineRepository lines, Drafts drafts, Clock clock) {
    this.lines = lines;
    this.drafts = drafts;
    this.clock = clock;
  }

  /** Why the typed fields cannot be taken, by field; empty if they can. */
  Map<String, String> problems(JobFile file, Map<String, String> typed) {
    Map<String, String> problems = new LinkedHashMap<>();
    if (typed.getOrDefault("name", "").isBlank()) {
      problems.put("name", "Say what it is.");
    } else if (typed.getOrDefault("name", "").length() > 80) {
      problems.put("name", "At most 80 letters.");
    }
    if (has(typed, "mass")) {
      number(file, typed, "mass", Measure.MASS, 0.1, MOST_KG, problems);
    } else if (has(typed, "volume") || has(typed, "density")) {
      number(file, typed, "volume", Measure.VOLUME, 0.001, MOST_M3, problems);
      number(file, typed, "density", Measure.DENSITY, 1, MOST_DENSITY, problems);
    } else {
      problems.put("mass", "Give its mass, or a volume and a density.");
    }
    double length = file.rig().sheet().si(RigField.OVERALL_LENGTH);
    number(file, typed, "place", Measure.LENGTH, 0, length, problems);
    return problems;
  }

  private static boolean has(Map<String, String> typed, String field) {
    return !typed.getOrDefault(field, "").isBlank();
  }

  private static double number(
      JobFile file,
      Map<String, String> typed,
      String field,
      Measure measure,
      double least,
      double greatest,
      Map<String, String> problems) {
    if (!has(typed, field)) {
      problems.put(field, "This is missing.");
      return Double.NaN;
    }
    Parsed parsed = QuantityParser.parse(typed.getOrDefault(field, ""), measure, file.units());
    if (parsed instanceof Parsed.Misread misread) {
      problems.put(field, misread.message());
      return Double.NaN;
    }
    double si = ((Parsed.Value) parsed).si();
    String range = FieldText.range(si, least, greatest, measure, file.units());
    if (range != null) {
      problems.put(field, range);
    }
    return si;
  }

  /**
   * Adds a line if everything is in order; else keeps what was typed. A repeated post adds none.
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void add(JobFile file, Map<String, String> typed, String requestKey) {
    Map<String, String> problems = problems(file, typed);
    if (!problems.isEmpty()) {
      typed.forEach((field, text) -> drafts.keep(file.job(), file.person(), FORM, field, text, 1));
      return;
    }
    String key = RequestKey.of(requestKey);
    if (lines.existsByJobIdAndRequestKey(file.job().id(), key)) {
      return;
    }
    Map<String, String> none = new LinkedHashMap<>();
    String name = typed.getOrDefault("name", "").strip();
    double x = number(file, typed, "place", Measure.LENGTH, 0, 100, none);
    if (has(typed, "mass")) {
      double mass = number(file, typed, "mass", Measure.MASS, 0, MOST_KG, none);
      enter(file, new LoadItem(name, mass, x), null, null, key);
    } else {
      double volume = number(file, typed, "volume", Measure.VOLUME, 0, MOST_M3, none);
      double density = number(file, typed, "density", Measure.DENSITY, 0, MOST_DENSITY, none);
      LoadItem item = LoadItem.ofVolume(name, volume, density, x);
      enter(file, item, volume, density, key);
    }
    drafts.dropForm(file.job(), file.person(), FORM);
    file.changed();
  }

  @Transactional(propagation = Propagation.MANDATORY)
  public void enter(
      JobFile file,
      LoadItem item,
      @Nullable Double volume,
      @Nullable Double density,
      String requestKey) {
    lines.save(
        new LoadLine(
            file.job(), item, volume, density, file.person(), clock.instant(), requestKey));
  }

  @Transactional(propagation = Propagation.MANDATORY)
  public void remove(JobFile file, long id) {
    lines
        .findById(id)
        .filter(line -> line.job().id().equals(file.job().id()))
        .ifPresent(
            line -> {
              line.remove();
              file.changed();
            });
  }
}
