package org.jexel.app.exchange;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/**
 * Tells a picture such as {@link Darkroom} makes from what a file may call one. A JPEG is a row of
 * segments (ITU-T T.81, annex B): two bytes of marker and, but for the first and the last, two of
 * length. Those that a camera or anybody else writes beside the picture, APP1 to APP15 and COM, are
 * not in one of ours, nor is anything behind its end.
 */
public final class PlainJpeg {
  private static final int MARK = 0xff;
  private static final int BEGIN = 0xd8;
  private static final int SCAN = 0xda;
  private static final int END = 0xd9;

  /** APP0, tables of quantisation, frame, tables of Huffman codes, interval of restarts. */
  private static final Set<Integer> SEGMENTS = Set.of(0xe0, 0xdb, 0xc0, 0xc4, 0xdd);

  private PlainJpeg() {}

  /**
   * @param longest of its sides, px
   */
  public static boolean is(byte[] bytes, int longest) {
    return isPlain(bytes) && isNoLarger(bytes, longest);
  }

  private static boolean isPlain(byte[] bytes) {
    if (bytes.length < 4 || at(bytes, 0) != MARK || at(bytes, 1) != BEGIN) {
      return false;
    }
    int place = 2;
    while (place + 4 < bytes.length && at(bytes, place) == MARK) {
      int kind = at(bytes, place + 1);
      place += 2 + (at(bytes, place + 2) << 8) + at(bytes, place + 3);
      if (kind == SCAN) {
        return endsWith(bytes, place);
      }
      if (!SEGMENTS.contains(kind)) {
        return false;
      }
    }
    return false;
  }

  /** In the picture itself the only marks are that of a byte 255, restarts, and the end. */
  private static boolean endsWith(byte[] bytes, int from) {
    for (int i = from; i + 1 < bytes.length; i++) {
      if (at(bytes, i) == MARK) {
        int kind = at(bytes, i + 1);
        if (kind == END) {
          return i + 2 == bytes.length;
        }
        if (kind != 0 && (kind < 0xd0 || kind > 0xd7)) {
          return false;
        }
      }
    }
    return false;
  }

  private static int at(byte[] bytes, int place) {
    return bytes[place] & MARK;
  }

  private static boolean isNoLarger(byte[] bytes, int longest) {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
      ImageReader reader = ImageIO.getImageReadersByFormatName("jpeg").next();
      try {
        reader.setInput(in, true, true);
        return reader.getWidth(0) <= longest && reader.getHeight(0) <= longest;
      } finally {
        reader.dispose();
      }
    } catch (IOException | RuntimeException none) {
      return false;
    }
  }
}
