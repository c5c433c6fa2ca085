package org.jexel.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What becomes of the picture of a camera. */
class DarkroomTest {
  private final Darkroom darkroom = new Darkroom();

  private Darkroom.Picture develop(byte[] taken) throws Unreadable {
    return darkroom.develop(new ByteArrayInputStream(taken));
  }

  private static BufferedImage image(byte[] jpeg) throws IOException {
    return ImageIO.read(new ByteArrayInputStream(jpeg));
  }

  /** The colour in the middle of a quarter, as far as JPEG keeps it. */
  private static void shows(BufferedImage image, double x, double y, Color wanted) {
    Color seen =
        new Color(image.getRGB((int) (x * image.getWidth()), (int) (y * image.getHeight())));
    assertThat(Math.abs(seen.getRed() - wanted.getRed())).as(seen + "").isLessThan(40);
    assertThat(Math.abs(seen.getGreen() - wanted.getGreen())).as(seen + "").isLessThan(40);
    assertThat(Math.abs(seen.getBlue() - wanted.getBlue())).as(seen + "").isLessThan(40);
  }

  private static void isUpright(byte[] jpeg) throws IOException {
    BufferedImage image = image(jpeg);
    shows(image, 0.25, 0.25, Color.RED);
    shows(image, 0.75, 0.25, Color.GREEN);
    shows(image, 0.25, 0.75, Color.BLUE);
    shows(image, 0.75, 0.75, Color.WHITE);
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
  void howeverTheCameraWasHeldThePictureStandsUpright(int orientation) throws Exception {
    Darkroom.Picture kept = develop(Shot.jpeg(orientation, 640, 480));
    isUpright(kept.large());
    isUpright(kept.small());
    assertThat(kept.width()).isEqualTo(640);
    assertThat(kept.height()).isEqualTo(480);
  }

  @Test
  void neitherPlaceNorDeviceIsKept() throws Exception {
    byte[] sent = Shot.jpeg(6, 640, 480);
    assertThat(text(sent)).contains("Exif", Shot.CAMERA);
    assertThat(PlainJpeg.is(sent, Darkroom.LARGE)).isFalse();
    Darkroom.Picture kept = develop(sent);
    for (byte[] jpeg : new byte[][] {kept.large(), kept.small()}) {
      assertThat(text(jpeg)).doesNotContain("Exif", Shot.CAMERA);
    }
    assertThat(PlainJpeg.is(kept.large(), Darkroom.LARGE)).isTrue();
    assertThat(PlainJpeg.is(kept.small(), Darkroom.SMALL)).isTrue();
  }

  private static String text(byte[] bytes) {
    return new String(bytes, StandardCharsets.ISO_8859_1);
  }

  @Test
  void whatIsLargeIsMadeSmallerAndWhatIsSmallStays() throws Exception {
    Darkroom.Picture large = develop(Shot.jpeg(8, 4000, 3000));
    assertThat(large.width()).isEqualTo(1600);
    assertThat(large.height()).isEqualTo(1200);
    isUpright(large.large());
    assertThat(image(large.small()).getWidth()).isEqualTo(480);
    Darkroom.Picture small = develop(Shot.jpeg(96, 64));
    assertThat(image(small.large()).getWidth()).isEqualTo(96);
    assertThat(image(small.small()).getWidth()).isEqualTo(96);
  }

  /** By that a picture is known again that was sent before. */
  @Test
  void theSamePictureGivesTheSameBytes() throws Exception {
    byte[] sent = Shot.jpeg(3, 800, 600);
    assertThat(develop(sent).large()).isEqualTo(develop(sent).large());
    assertThat(develop(sent).sha256()).isNotEqualTo(develop(Shot.jpeg(801, 600)).sha256());
  }

  @Test
  void whatIsSeenThroughStandsOnWhite() throws Exception {
    BufferedImage glass = new BufferedImage(80, 60, BufferedImage.TYPE_INT_ARGB);
    BufferedImage kept = image(develop(Shot.encoded(glass, "png")).large());
    shows(kept, 0.5, 0.5, Color.WHITE);
  }

  /** A few bytes that would unpack to gigabytes. */
  @Test
  void aPictureThatIsATrapIsNotUnpacked() throws Exception {
    ByteArrayOutputStream head = new ByteArrayOutputStream();
    DataOutputStream data = new DataOutputStream(head);
    data.write("IHDR".getBytes(StandardCharsets.US_ASCII));
    data.writeInt(60_000);
    data.writeInt(60_000);
    data.write(new byte[] {8, 2, 0, 0, 0});
    CRC32 sum = new CRC32();
    sum.update(head.toByteArray());
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    DataOutputStream png = new DataOutputStream(out);
    png.writeLong(0x89504e470d0a1a0aL);
    png.writeInt(13);
    png.write(head.toByteArray());
    png.writeInt((int) sum.getValue());
    assertThatThrownBy(() -> develop(out.toByteArray()))
        .isInstanceOf(Unreadable.class)
        .hasMessageContaining("60000 by 60000 points");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "hello",
        "<svg xmlns='http://www.w3.org/2000/svg'><script>1</script></svg>",
        "<html><script>alert(1)</script></html>",
        "GIF89a\u0001\u0000\u0001\u0000\u0000\u0000\u0000;",
        "\u00ff\u00d8\u00ff\u00e1<script>"
      })
  void whatIsNoPictureIsRefused(String sent) {
    assertThatThrownBy(() -> develop(sent.getBytes(StandardCharsets.ISO_8859_1)))
        .isInstanceOf(Unreadable.class)
        .hasMessage("This is no picture of the kind JPEG or PNG.");
  }

  @Test
  void aPictureThatIsCutOffIsRefused() throws Exception {
    for (byte[] whole :
        new byte[][] {Shot.jpeg(640, 480), Shot.encoded(Shot.held(1, 640, 480), "png")}) {
      byte[] half = Arrays.copyOf(whole, whole.length * 6 / 10);
      assertThatThrownBy(() -> develop(half)).isInstanceOf(Unreadable.class);
    }
  }

  /** Whoever brings a file may call anything a picture. */
  @Test
  void aPictureWithAnythingBesideItIsNotPlain() throws Exception {
    byte[] plain = develop(Shot.jpeg(320, 240)).large();
    assertThat(PlainJpeg.is(plain, 320)).isTrue();
    assertThat(PlainJpeg.is(plain, 319)).as("larger than it may be").isFalse();
    assertThat(PlainJpeg.is(plus(plain, plain.length, "<script>"), 320)).as("behind").isFalse();
    String comment = "\u00ff\u00fe\u0000\u0004hi";
    assertThat(PlainJpeg.is(plus(plain, 2, comment), 320)).as("a comment").isFalse();
    assertThat(PlainJpeg.is(plus(plain, plain.length - 2, comment), 320)).as("within").isFalse();
    for (int length : new int[] {0, 3, 20, plain.length / 2, plain.length - 1}) {
      assertThat(PlainJpeg.is(Arrays.copyOf(plain, length), 320)).as("cut " + length).isFalse();
    }
  }

  private static byte[] plus(byte[] bytes, int at, String more) {
    byte[] between = more.getBytes(StandardCharsets.ISO_8859_1);
    byte[] all = new byte[bytes.length + between.length];
    System.arraycopy(bytes, 0, all, 0, at);
    System.arraycopy(between, 0, all, at, between.length);
    System.arraycopy(bytes, at, all, at + between.length, bytes.length - at);
    return all;
  }
}
