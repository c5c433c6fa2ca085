package org.jexel.app.handover;

import java.time.Clock;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.drawing.Shapes;
import org.jexel.app.exchange.Pdf;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Photographed;
import org.jexel.core.report.Report;
import org.springframework.stereotype.Service;

/** The report on paper: as it stands, and as it was signed, kept to the byte. */
@Service
class ReportPapers {
  private final ReportPaperRepository papers;
  private final ReportOfNow report;
  private final Photographed photographed;
  private final Pdf pdf;
  private final Shapes shapes;
  private final Clock clock;

  ReportPapers(
      ReportPaperRepository papers,
      ReportOfNow report,
      Photographed photographed,
      Pdf pdf,
      Shapes shapes,
      Clock clock) {
    this.papers = papers;
    this.report = report;
    this.photographed = photographed;
    this.pdf = pdf;
    this.shapes = shapes;
    this.clock = clock;
  }

  /**
   * Keeps the sheet that a signature stands on.
   *
   * @param before the edition before it
   * @param names everybody who signed it so far, this one last
   */
  void keep(
      JobFile file,
      ReportEdition edition,
      Optional<ReportEdition> before,
      List<ReportSignature> names) {
    ZoneId zone = file.job().workshop().zone();
    Frozen frozen = edition.frozen().orElseThrow();
    Map<String, Object> model = model(file, frozen);
    model.put("number", edition.number());
    model.put("hash", edition.hash());
    model.put("signatures", names.stream().map(one -> one.words(zone)).toList());
    model.put("before", before.map(ReportEdition::number).orElse(0));
    model.put("differences", frozen.since(before));
    ReportSignature last = names.get(names.size() - 1);
    papers.save(new ReportPaper(last.id(), pdf.bytes("report-pdf", model)));
  }

  /** The report as it stands, on a sheet that nobody signed. */
  byte[] draft(JobFile file) {
    Map<String, Object> model = model(file, report.of(file));
    model.put("number", 0);
    model.put("signatures", List.of());
    model.put("differences", List.of());
    model.put(
        "today", ReportOfNow.WHEN.format(clock.instant().atZone(file.job().workshop().zone())));
    return pdf.bytes("report-pdf", model);
  }

  private Map<String, Object> model(JobFile file, Frozen frozen) {
    Map<String, Object> model = new HashMap<>();
    model.put("ref", file.job().ref());
    model.put("report", frozen.report());
    model.put("towline", frozen.drawing());
    model.put("wiring", frozen.wiring());
    model.put("shapes", shapes);
    model.put("pictures", pictures(file, frozen.report()));
    return model;
  }

  /** The pictures of a report as a sheet holds them, by their hashes. */
  private Map<String, String> pictures(JobFile file, Report report) {
    List<String> hashes = report.prints().stream().map(Report.Print::sha256).distinct().toList();
    Map<String, String> pictures = new HashMap<>();
    photographed
        .small(file, hashes)
        .forEach((sha256, jpeg) -> pictures.put(sha256, Pdf.picture(jpeg)));
    return pictures;
  }

  /** The sheet of an edition with as many names as it has, or with the first alone. */
  byte[] of(ReportEdition edition, boolean first) {
    List<ReportSignature> names = edition.signatures();
    ReportSignature signature = names.get(first ? 0 : names.size() - 1);
    return papers.findById(signature.id()).orElseThrow().pdf();
  }
}
