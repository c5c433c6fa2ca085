package org.jexel.app.exchange;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.security.MessageDigest;
import java.util.List;
import java.util.zip.GZIPInputStream;
import org.springframework.stereotype.Component;

/** Files of instruments from which something was recorded, as they were sent. */
@Component
class KeptSheets implements Sheets {
  @Override
  public String place() {
    return "instruments";
  }

  @Override
  public List<Sheet> sheets() {
    return List.of(
        Sheet.ofJob("files", "meter_log")
            .named()
            .where("recorded_at is not null")
            .checked(KeptSheets::whole)
            .with(Sheet.of("parts", "meter_log_part", "log_id").by("n")));
  }

  /** What unpacks to more than the file claims is let go at the first byte too many. */
  private static void whole(ObjectNode file) {
    long bytes = file.path("bytes").longValue();
    try (InputStream content = new GZIPInputStream(packed(file.path("parts")))) {
      MessageDigest hash = Sha256.fresh();
      byte[] some = new byte[1 << 16];
      long length = 0;
      for (int n = content.read(some); n >= 0 && length <= bytes; n = content.read(some)) {
        hash.update(some, 0, n);
        length += n;
      }
      if (length != bytes || !Sha256.text(hash.digest()).equals(file.path("sha256").textValue())) {
        throw new Sheet.CannotStand("what it holds is not what was sent; its hash is another one.");
      }
    } catch (IOException broken) {
      throw new Sheet.CannotStand("its parts cannot be unpacked.");
    }
  }

  private static InputStream packed(JsonNode parts) throws IOException {
    ByteArrayOutputStream all = new ByteArrayOutputStream();
    for (JsonNode part : parts) {
      all.write(part.path("content").binaryValue());
    }
    return new ByteArrayInputStream(all.toByteArray());
  }
}
