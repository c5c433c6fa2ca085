package org.jexel.app.cab;

import org.jexel.app.entry.FigureCards;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.RigPartRepository;
import org.jexel.app.library.ControllerEntry;
import org.jexel.app.library.ControllerLibrary;
import org.jexel.core.cab.ControllerModel;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.Entry;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.RigField;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Says which model of the library a job's controller is. */
@Service
public class CabModels {
  private final ControllerLibrary library;
  private final RigPartRepository parts;
  private final FigureCards figures;

  CabModels(ControllerLibrary library, RigPartRepository parts, FigureCards figures) {
    this.library = library;
    this.parts = parts;
    this.figures = figures;
  }

  /**
   * Takes kind and scale from the model; its limits, leads and plug are read from the library
   * itself.
   *
   * @param id of the entry; 0 to take it back
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void take(JobFile file, long id) {
    ControllerEntry entry = id == 0 ? null : library.entry(file.person(), id);
    parts.findById(file.job().controller().id()).orElseThrow().is(entry);
    if (entry != null && entry.readable()) {
      ControllerModel model = entry.model();
      figures.enter(
          file,
          FieldKey.of(RigField.CONTROLLER_KIND),
          Entry.choice(model.kind().name(), Provenance.PLATE));
      number(file, RigField.GAIN_LEAST, model.least());
      number(file, RigField.GAIN_GREATEST, model.greatest());
      number(file, RigField.GAIN_STEP, model.step());
    }
    parts.flush();
    file.changed();
  }

  private void number(JobFile file, RigField field, double value) {
    figures.enter(file, FieldKey.of(field), Entry.number(value, Provenance.PLATE));
  }
}
