package org.jexel.app.handover;

import static java.nio.charset.StandardCharsets.ISO_8859_1;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.List;
import org.jexel.app.drawing.Canvas;
import org.jexel.app.exchange.Sheet;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Looked;
import org.jexel.app.job.StationRoom;
import org.jexel.core.job.Aim;
import org.jexel.core.job.Station;
import org.springframework.stereotype.Component;

/** The handover among the stations. */
@Component
class HandoverRoom implements StationRoom {
  @Override
  public Station station() {
    return Station.HANDOVER;
  }

  @Override
  public String card(Aim aim) {
    return "report";
  }

  @Override
  public void paint(JobFile file, Looked looked, Canvas canvas) {
    new HandoverLayer(file, canvas).paint();
  }

  @Override
  public List<Sheet> sheets() {
    return List.of(
        Sheet.ofJob("journeys", "before_tow")
            .with(Sheet.of("parts", "before_tow_part", "list_id").by("part")),
        Sheet.ofJob("editions", "report_edition")
            .named()
            .checked(HandoverRoom::sound)
            .with(
                Sheet.of("signatures", "report_signature", "edition_id")
                    .by("place")
                    .with(
                        Sheet.of("papers", "report_paper", "signature_id")
                            .by("signature_id")
                            .checked(HandoverRoom::paper))));
  }

  /** An edition of a file is what its hash says and what this program writes, or stays outside. */
  private static void sound(ObjectNode edition) {
    String content = edition.path("content").asText();
    if (!Frozen.hash(content).equals(edition.path("sha256").asText())) {
      throw new Sheet.CannotStand("what it holds is not what was signed; its hash is another one.");
    }
    if (!Frozen.of(content).map(Frozen::isDrawn).orElse(true)) {
      throw new Sheet.CannotStand("its drawing holds more than a drawing.");
    }
  }

  private static void paper(ObjectNode row) {
    try {
      if (!new String(row.path("pdf").binaryValue(), ISO_8859_1).startsWith("%PDF-")) {
        throw new Sheet.CannotStand("it is no PDF.");
      }
    } catch (IOException broken) {
      throw new Sheet.CannotStand("it cannot be read.");
    }
  }
}
