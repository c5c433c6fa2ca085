package org.jexel.app.exchange;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;
import org.jexel.core.quantity.Phrase;

/** A text as a QR code (ISO/IEC 18004), drawn as SVG. */
public final class QrCode {
  private static final int QUIET = 4;

  private QrCode() {}

  public static String svg(String text) {
    BitMatrix bits = bits(text);
    StringBuilder path = new StringBuilder();
    for (int y = 0; y < bits.getHeight(); y++) {
      for (int x = 0; x < bits.getWidth(); x++) {
        if (bits.get(x, y)) {
          path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
        }
      }
    }
    return Phrase.of(
        "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %d %d\" shape-rendering=\"crispEdges\"><path fill=\"#FFFFFF\" d=\"M0 0h%dv%dH0z\"/><path d=\"%s\"/></svg>",
        bits.getWidth(), bits.getHeight(), bits.getWidth(), bits.getHeight(), path);
  }

  static BitMatrix bits(String text) {
    try {
      // No size: one unit for each module.
      return new QRCodeWriter()
          .encode(
              text,
              BarcodeFormat.QR_CODE,
              0,
              0,
              Map.of(
                  EncodeHintType.ERROR_CORRECTION,
                  ErrorCorrectionLevel.M,
                  EncodeHintType.MARGIN,
                  QUIET));
    } catch (WriterException e) {
      throw new IllegalArgumentException("Too long for a code: " + text, e);
    }
  }
}
