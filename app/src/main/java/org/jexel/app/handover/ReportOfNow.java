package org.jexel.app.handover;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jexel.app.entry.FirstEntries;
import org.jexel.app.job.Cared;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Looked;
import org.jexel.app.job.Photographed;
import org.jexel.app.job.Towline;
import org.jexel.core.job.Station;
import org.jexel.core.report.Report;
import org.jexel.core.report.ReportWriter;
import org.springframework.stereotype.Service;

/** Writes the report of a job as everything stands. */
@Service
class ReportOfNow {
  static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.UK);

  private final BeforeTowService beforeTow;
  private final FirstEntries first;
  private final Cared cared;
  private final Photographed photographed;
  private final Towline towline;

  ReportOfNow(
      BeforeTowService beforeTow,
      FirstEntries first,
      Cared cared,
      Photographed photographed,
      Towline towline) {
    this.beforeTow = beforeTow;
    this.first = first;
    this.cared = cared;
    this.photographed = photographed;
    this.towline = towline;
  }

  Frozen of(JobFile file) {
    Job job = file.job();
    List<String> head = new ArrayList<>();
    head.add(job.ref() + " · " + job.title() + " · for " + job.customer());
    head.add(job.tow().label() + " with " + job.trailer().label() + ", " + job.workshop().name());
    begun(job).ifPresent(head::add);
    Report report =
        ReportWriter.of(
            head,
            file.work(),
            new ReportWriter.Beside(
                beforeTow.newest(file),
                first.asFound(file),
                cared.plan(file),
                photographed.of(file)),
            file.units(),
            job.workshop().zone());
    String drawing = towline.draw(file, Station.HANDOVER, Looked.at(""));
    String wiring = towline.draw(file, Station.HARNESS, Looked.at(""));
    return new Frozen(file.units().name(), report, drawing, wiring);
  }

  /** Where a job was begun that came in a file; its entries from before that prove nothing here. */
  static Optional<String> begun(Job job) {
    return job.begun()
        .map(
            from ->
                "Begun as %s at %s, and taken in from a file on %s: what was recorded before that is what the file tells."
                    .formatted(
                        from.ref(),
                        from.workshop(),
                        WHEN.format(from.at().atZone(job.workshop().zone()))));
  }
}
