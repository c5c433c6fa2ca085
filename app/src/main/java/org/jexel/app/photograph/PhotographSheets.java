package org.jexel.app.photograph;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.List;
import org.jexel.app.exchange.Darkroom;
import org.jexel.app.exchange.PlainJpeg;
import org.jexel.app.exchange.Sha256;
import org.jexel.app.exchange.Sheet;
import org.jexel.app.exchange.Sheets;
import org.springframework.stereotype.Component;

/** Photographs of a job go with it, those of its trailer's care with the trailer. */
class PhotographSheets {
  private PhotographSheets() {}

  @Component
  static class OfJob implements Sheets {
    @Override
    public String place() {
      return "photographs";
    }

    @Override
    public List<Sheet> sheets() {
      return PhotographSheets.sheets("pictures", "prints", "job_id");
    }
  }

  @Component
  static class OfTrailer implements Sheets {
    @Override
    public String place() {
      return OF_LIFE;
    }

    @Override
    public List<Sheet> sheets() {
      return PhotographSheets.sheets("carePictures", "carePrints", "trailer_id");
    }
  }

  private static List<Sheet> sheets(String pictures, String prints, String owner) {
    return List.of(
        Sheet.of(pictures, "picture", owner)
            .named()
            .without("bytes")
            .checked(PhotographSheets::plain),
        Sheet.of(prints, "photograph", owner)
            .named()
            .naming("picture_id", "picture")
            .naming("corrects_id", "photograph"));
  }

  /** Pictures such as are made here, and the hash of the one that it says. */
  private static void plain(ObjectNode row) {
    byte[] large = bytes(row, "large");
    if (!PlainJpeg.is(large, Darkroom.LARGE)
        || !PlainJpeg.is(bytes(row, "small"), Darkroom.SMALL)) {
      throw new Sheet.CannotStand("more than a picture, or none.");
    }
    if (!Sha256.of(large).equals(row.path("sha256").textValue())) {
      throw new Sheet.CannotStand("its hash is another one.");
    }
  }

  private static byte[] bytes(ObjectNode row, String member) {
    try {
      byte[] bytes = row.path(member).binaryValue();
      return bytes == null ? new byte[0] : bytes;
    } catch (IOException none) {
      return new byte[0];
    }
  }
}
