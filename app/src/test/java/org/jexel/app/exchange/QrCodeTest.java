package org.jexel.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.LuminanceSource;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is drawn is read back by the library's reader. */
class QrCodeTest {
  private static final int MODULE = 6;

  @ParameterizedTest
  @ValueSource(strings = {"http://127.0.0.1:8080/h/ABC2345", "http://yard.valley/h/ZZZ9999"})
  void theDrawingReadsAsItsText(String text) throws Exception {
    String svg = QrCode.svg(text);
    Matcher size = Pattern.compile("viewBox=\"0 0 (\\d+) ").matcher(svg);
    assertThat(size.find()).isTrue();
    BitMatrix drawn = new BitMatrix(Integer.parseInt(size.group(1)) * MODULE);
    Matcher dot = Pattern.compile("M(\\d+) (\\d+)h1v1h-1z").matcher(svg);
    while (dot.find()) {
      drawn.setRegion(
          Integer.parseInt(dot.group(1)) * MODULE,
          Integer.parseInt(dot.group(2)) * MODULE,
          MODULE,
          MODULE);
    }
    BinaryBitmap picture = new BinaryBitmap(new HybridBinarizer(new Drawn(drawn)));
    assertThat(new QRCodeReader().decode(picture).getText()).isEqualTo(text);
  }

  private static final class Drawn extends LuminanceSource {
    private final BitMatrix bits;

    Drawn(BitMatrix bits) {
      super(bits.getWidth(), bits.getHeight());
      this.bits = bits;
    }

    @Override
    public byte[] getRow(int y, byte[] row) {
      byte[] out = row == null || row.length < getWidth() ? new byte[getWidth()] : row;
      for (int x = 0; x < getWidth(); x++) {
        out[x] = (byte) (bits.get(x, y) ? 0 : 255);
      }
      return out;
    }

    @Override
    public byte[] getMatrix() {
      byte[] out = new byte[getWidth() * getHeight()];
      for (int y = 0; y < getHeight(); y++) {
        System.arraycopy(getRow(y, null), 0, out, y * getWidth(), getWidth());
      }
      return out;
    }
  }
}
