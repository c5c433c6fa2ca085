package org.jexel.app.exchange;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Iterator;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.Semaphore;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import net.coobird.thumbnailator.util.exif.ExifFilterUtils;
import net.coobird.thumbnailator.util.exif.ExifUtils;
import net.coobird.thumbnailator.util.exif.Orientation;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Makes pictures to keep of those that a camera took: upright, of a size that a screen shows, and
 * drawn anew, so that nothing comes along that the camera wrote beside the picture: neither place
 * nor device, nor anything that is no picture at all. The same picture gives the same bytes. Shared
 * by all threads; one picture is made at a time, for each takes tens of megabytes.
 */
@Component
public class Darkroom {
  /** The longer side of what is kept, px. */
  public static final int LARGE = 1600;

  /** The longer side of what stands on a page, and on paper at about 180 dots per inch, px. */
  public static final int SMALL = 480;

  /** A picture of more is a trap, or is scaled by its owner first. */
  static final long MOST_PIXELS = 64_000_000;

  private static final double QUALITY_LARGE = 0.8;
  private static final double QUALITY_SMALL = 0.7;
  private static final Set<String> KINDS = Set.of("JPEG", "PNG");
  private static final String NONE = "This is no picture of the kind JPEG or PNG.";

  private final Semaphore desk = new Semaphore(1, true);

  /**
   * A picture as it is kept, twice as JPEG.
   *
   * @param width of the large one, px
   * @param height of the large one, px
   */
  public record Picture(byte[] large, byte[] small, int width, int height) {
    /** By which it is known: SHA-256 of the large one, hexadecimal. */
    public String sha256() {
      return Sha256.of(large);
    }
  }

  /**
   * @throws Unreadable if it is no whole picture of a kind and size that is taken
   */
  public Picture develop(InputStream taken) throws Unreadable {
    desk.acquireUninterruptibly();
    try {
      return prints(upright(taken));
    } catch (IOException | RuntimeException broken) {
      throw new Unreadable(NONE);
    } finally {
      desk.release();
    }
  }

  /** A picture that stands upright already. */
  public Picture keep(BufferedImage upright) {
    try {
      return prints(opaque(scaled(upright, LARGE)));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Picture prints(BufferedImage large) throws IOException {
    return new Picture(
        jpeg(large, QUALITY_LARGE),
        jpeg(scaled(large, SMALL), QUALITY_SMALL),
        large.getWidth(),
        large.getHeight());
  }

  private static BufferedImage upright(InputStream taken) throws IOException, Unreadable {
    try (ImageInputStream in = ImageIO.createImageInputStream(taken)) {
      ImageReader reader = reader(in);
      try {
        reader.setInput(in, true, false);
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        if ((long) width * height > MOST_PIXELS) {
          throw new Unreadable(
              "%d by %d points are more than is taken. Take it smaller.".formatted(width, height));
        }
        BufferedImage image = whole(reader, Math.max(width, height));
        return opaque(turned(scaled(image, LARGE), orientation(reader)));
      } finally {
        reader.dispose();
      }
    }
  }

  private static ImageReader reader(ImageInputStream in) throws IOException, Unreadable {
    Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
    while (readers.hasNext()) {
      ImageReader reader = readers.next();
      if (KINDS.contains(reader.getFormatName().toUpperCase(Locale.ROOT))) {
        return reader;
      }
      reader.dispose();
    }
    throw new Unreadable(NONE);
  }

  /** Of a large picture every second point is read, or every third: as many as are wanted twice. */
  private static BufferedImage whole(ImageReader reader, int longer)
      throws IOException, Unreadable {
    boolean[] cut = new boolean[1];
    reader.addIIOReadWarningListener(
        (source, warning) -> cut[0] |= warning.toLowerCase(Locale.ROOT).contains("premature"));
    ImageReadParam how = reader.getDefaultReadParam();
    int step = Math.max(1, longer / (2 * LARGE));
    how.setSourceSubsampling(step, step, 0, 0);
    BufferedImage image = reader.read(0, how);
    if (cut[0]) {
      throw new Unreadable("The picture is cut off. Send it again.");
    }
    return image;
  }

  /** Never larger than it is. */
  private static BufferedImage scaled(BufferedImage image, int longer) throws IOException {
    int most = Math.min(longer, Math.max(image.getWidth(), image.getHeight()));
    return Thumbnails.of(image).size(most, most).asBufferedImage();
  }

  private static BufferedImage turned(BufferedImage image, @Nullable Orientation how) {
    return how == null ? image : ExifFilterUtils.getFilterForOrientation(how).apply(image);
  }

  /** What cannot be read of a camera's notes does not keep the picture out. */
  private static @Nullable Orientation orientation(ImageReader reader) {
    try {
      return ExifUtils.getExifOrientation(reader, 0);
    } catch (IOException | RuntimeException unknown) {
      return null;
    }
  }

  /** What is seen through stands on white. */
  private static BufferedImage opaque(BufferedImage image) {
    BufferedImage paper =
        new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = paper.createGraphics();
    pen.drawImage(image, 0, 0, Color.WHITE, null);
    pen.dispose();
    return paper;
  }

  private static byte[] jpeg(BufferedImage image, double quality) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    Thumbnails.of(image).scale(1).outputFormat("jpg").outputQuality(quality).toOutputStream(out);
    return out.toByteArray();
  }
}
