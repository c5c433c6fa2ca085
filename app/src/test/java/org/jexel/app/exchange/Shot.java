package org.jexel.app.exchange;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import javax.imageio.ImageIO;

/**
 * Pictures as cameras write them: four fields of colour, red at the upper left, green at the upper
 * right, blue below red and white below green, stored as the camera was held.
 */
public final class Shot {
  public static final String CAMERA = "Pocketcam 7";

  private Shot() {}

  /** Upright, and in the middle of each field its colour. */
  private static int colour(int x, int y, int width, int height) {
    boolean left = x < width / 2;
    boolean top = y < height / 2;
    return (top ? left ? Color.RED : Color.GREEN : left ? Color.BLUE : Color.WHITE).getRGB();
  }

  /**
   * TIFF 6.0, tag 274: what the first row and the first column of the stored picture are of the
   * upright one. 1 top and left, 2 top and right, 3 bottom and right, 4 bottom and left, 5 left and
   * top, 6 right and top, 7 right and bottom, 8 left and bottom.
   */
  public static BufferedImage held(int orientation, int width, int height) {
    boolean lying = orientation > 4;
    boolean fromRight = lying ? orientation == 6 || orientation == 7 : orientation % 4 > 1;
    boolean fromBottom = lying ? orientation > 6 : orientation > 2;
    BufferedImage stored =
        new BufferedImage(
            lying ? height : width, lying ? width : height, BufferedImage.TYPE_INT_RGB);
    for (int row = 0; row < stored.getHeight(); row++) {
      for (int column = 0; column < stored.getWidth(); column++) {
        int across = lying ? row : column;
        int down = lying ? column : row;
        int x = fromRight ? width - 1 - across : across;
        int y = fromBottom ? height - 1 - down : down;
        stored.setRGB(column, row, colour(x, y, width, height));
      }
    }
    return stored;
  }

  /** As a phone sends it, with its name and a place on earth. */
  public static byte[] jpeg(int orientation, int width, int height) throws IOException {
    byte[] plain = encoded(held(orientation, width, height), "jpg");
    byte[] notes = notes(orientation);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    DataOutputStream data = new DataOutputStream(out);
    data.writeShort(0xffd8);
    data.writeShort(0xffe1);
    data.writeShort(notes.length + 2);
    data.write(notes);
    // A phone writes no APP0: 18 bytes with its marker.
    data.write(plain, 20, plain.length - 20);
    return out.toByteArray();
  }

  public static byte[] jpeg(int width, int height) throws IOException {
    return jpeg(1, width, height);
  }

  public static byte[] encoded(BufferedImage image, String kind) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, kind, out);
    return out.toByteArray();
  }

  /** Exif 2.3: a TIFF head, an IFD of three entries, and one of GPS with the latitude N 46. */
  private static byte[] notes(int orientation) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    DataOutputStream data = new DataOutputStream(out);
    data.write("Exif\0\0MM\0*".getBytes(StandardCharsets.US_ASCII));
    data.writeInt(8);
    data.writeShort(3);
    int texts = 8 + 2 + 3 * 12 + 4;
    entry(data, 0x010f, 2, CAMERA.length() + 1, texts);
    entry(data, 0x0112, 3, 1, orientation << 16);
    int gps = texts + CAMERA.length() + 1;
    entry(data, 0x8825, 4, 1, gps);
    data.writeInt(0);
    data.write((CAMERA + "\0").getBytes(StandardCharsets.US_ASCII));
    data.writeShort(1);
    entry(data, 0x0001, 2, 2, 'N' << 24);
    data.writeInt(0);
    return out.toByteArray();
  }

  private static void entry(DataOutputStream data, int tag, int type, int count, int value)
      throws IOException {
    data.writeShort(tag);
    data.writeShort(type);
    data.writeInt(count);
    data.writeInt(value);
  }
}
