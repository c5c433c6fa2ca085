package org.jexel.app.demo;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RadialGradientPaint;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Arc2D;
import java.awt.geom.CubicCurve2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.RoundRectangle2D;
import java.awt.image.BufferedImage;
import java.util.Random;

/**
 * Pictures of the demo's work, painted here: nobody's trailer, and the same each time. Coordinates
 * are points of a picture of 1280 by 960.
 */
final class DemoPictures {
  private static final int WIDTH = 1280;
  private static final int HEIGHT = 960;
  private static final int GRAIN = 14;

  private final BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
  private final Graphics2D pen = image.createGraphics();
  private final Random dice;

  private DemoPictures(long seed) {
    this.dice = new Random(seed);
    pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
  }

  /** A round rear lamp off its bracket: the screw that is its only return is rusted through. */
  static BufferedImage lamp() {
    DemoPictures it = new DemoPictures(1);
    it.ground(new Color(0xb7b2a4), new Color(0x77736a));
    it.bar(240, 90, 800, 780, 30, new Color(0x8f9496));
    it.bar(262, 112, 756, 736, 20, new Color(0xa4a9ab));
    it.disc(640, 430, 300, new Color(0x2a2c2e), new Color(0x0d0e0f));
    it.disc(640, 430, 272, new Color(0xe0402c), new Color(0x5c0f0a));
    it.pen.setStroke(new BasicStroke(3));
    it.pen.setColor(new Color(0x7d1a12));
    for (int ring = 60; ring < 272; ring += 34) {
      it.pen.draw(new Ellipse2D.Double(640 - ring, 430 - ring, 2 * ring, 2 * ring));
    }
    it.wire(360, 790, 300, 860, 180, 840, 60, 960, 0xe9e6dc);
    it.screw(930, 770, new Color(0xd2d5d3), new Color(0x6f7573));
    it.screw(360, 770, new Color(0x9a5a2c), new Color(0x4a2410));
    it.specks(new Ellipse2D.Double(290, 700, 150, 150), new Color(0x8a4a20), 420);
    it.specks(new Ellipse2D.Double(320, 730, 90, 90), new Color(0x5d2c12), 160);
    return it.grained();
  }

  private void screw(double x, double y, Color light, Color dark) {
    disc(x, y, 44, light, dark);
    pen.setColor(dark.darker());
    pen.setStroke(new BasicStroke(9));
    pen.draw(new Line2D.Double(x - 24, y - 10, x + 24, y + 10));
  }

  /** An open junction box: seven studs, each with its wire. */
  static BufferedImage box() {
    DemoPictures it = new DemoPictures(2);
    it.ground(new Color(0xa9a59b), new Color(0x6d6a62));
    it.bar(150, 170, 980, 620, 40, new Color(0x24282a));
    it.bar(190, 210, 900, 540, 26, new Color(0x3a3f42));
    int[] colours = {0xe9e6dc, 0x2b62b0, 0x7a4a22, 0x1c1e20, 0xd8b41c, 0x2f7a3e, 0x6b3f8f};
    for (int i = 0; i < colours.length; i++) {
      int x = 270 + 123 * i;
      it.wire(x, 480, x - 40, 640, 500 + 40 * i, 760, 420 + 70 * i, 960, colours[i]);
      it.wire(x, 480, x + 30, 330, 560 + 20 * i, 250, 560 + 24 * i, 0, colours[i]);
      it.disc(x, 480, 36, new Color(0xd2d5d3), new Color(0x6f7573));
      it.disc(x, 480, 19, new Color(0xb9a878), new Color(0x6a5a34));
    }
    return it.grained();
  }

  /** The side of a tyre, fine cracks along its bead. */
  static BufferedImage tyre() {
    DemoPictures it = new DemoPictures(3);
    it.ground(new Color(0x8b8474), new Color(0x5a5446));
    it.disc(640, 1240, 1130, new Color(0x34373a), new Color(0x101214));
    it.pen.setColor(new Color(0x23262a));
    for (int ring = 1080; ring > 700; ring -= 58) {
      it.pen.setStroke(new BasicStroke(5));
      it.pen.draw(new Arc2D.Double(640 - ring, 1240 - ring, 2 * ring, 2 * ring, 30, 120, 0));
    }
    it.disc(640, 1240, 640, new Color(0xc9cbc8), new Color(0x767a78));
    it.pen.setColor(new Color(0x050505));
    for (int i = 0; i < 46; i++) {
      double turn = -0.55 + 1.1 * i / 46 + 0.01 * it.dice.nextGaussian();
      AffineTransform at = AffineTransform.getRotateInstance(turn, 640, 1240);
      int from = 545 - it.dice.nextInt(20);
      Path2D crack = new Path2D.Double();
      crack.moveTo(640, from);
      crack.lineTo(640 + 8 * it.dice.nextGaussian(), from - 20);
      crack.lineTo(640 + 8 * it.dice.nextGaussian(), from - 30 - it.dice.nextInt(30));
      it.pen.setStroke(new BasicStroke(1.5f + it.dice.nextInt(3)));
      it.pen.draw(at.createTransformedShape(crack));
    }
    return it.grained();
  }

  /** A mudguard with a dent, as it came. */
  static BufferedImage dent() {
    DemoPictures it = new DemoPictures(4);
    it.ground(new Color(0x9aa0a0), new Color(0x596062));
    it.disc(640, 1020, 560, new Color(0x1a1c1e), new Color(0x060708));
    it.pen.setStroke(new BasicStroke(110, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND));
    it.pen.setColor(new Color(0xb9bfbe));
    it.pen.draw(new Arc2D.Double(60, 340, 1160, 1160, 12, 156, 0));
    it.pen.setStroke(new BasicStroke(12));
    it.pen.setColor(new Color(0xe4e8e7));
    it.pen.draw(new Arc2D.Double(96, 376, 1088, 1088, 20, 140, 0));
    it.disc(930, 470, 66, new Color(0x70777a), new Color(0xb4baba));
    it.disc(918, 458, 34, new Color(0x4d5457), new Color(0x868d90));
    it.specks(new Ellipse2D.Double(880, 420, 110, 110), new Color(0x8a4a20), 240);
    return it.grained();
  }

  private void ground(Color middle, Color edge) {
    pen.setPaint(
        new RadialGradientPaint(
            WIDTH / 2f, HEIGHT / 2f, WIDTH / 1.4f, new float[] {0, 1}, new Color[] {middle, edge}));
    pen.fillRect(0, 0, WIDTH, HEIGHT);
  }

  /** Lit from the upper left. */
  private void disc(double x, double y, double radius, Color light, Color dark) {
    pen.setPaint(
        new RadialGradientPaint(
            (float) (x - radius / 3),
            (float) (y - radius / 3),
            (float) (radius * 1.4),
            new float[] {0, 1},
            new Color[] {light, dark}));
    pen.fill(new Ellipse2D.Double(x - radius, y - radius, 2 * radius, 2 * radius));
  }

  private void bar(int x, int y, int width, int height, int round, Color colour) {
    pen.setPaint(colour);
    pen.fill(new RoundRectangle2D.Double(x, y, width, height, round, round));
  }

  private void wire(
      double x0,
      double y0,
      double x1,
      double y1,
      double x2,
      double y2,
      double x3,
      double y3,
      int rgb) {
    Shape way = new CubicCurve2D.Double(x0, y0, x1, y1, x2, y2, x3, y3);
    Color colour = new Color(rgb);
    Color[] coats = {colour.darker().darker(), colour, colour.brighter()};
    float[] widths = {34, 26, 6};
    for (int i = 0; i < coats.length; i++) {
      pen.setColor(coats[i]);
      pen.setStroke(new BasicStroke(widths[i], BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
      pen.draw(way);
    }
  }

  private void specks(Shape where, Color colour, int count) {
    pen.setColor(colour);
    var box = where.getBounds2D();
    for (int i = 0; i < count; i++) {
      double x = box.getX() + dice.nextDouble() * box.getWidth();
      double y = box.getY() + dice.nextDouble() * box.getHeight();
      double size = 2 + 6 * dice.nextDouble();
      if (where.contains(x, y)) {
        pen.fill(new Ellipse2D.Double(x, y, size, size));
      }
    }
  }

  /** No camera takes a picture without noise. */
  private BufferedImage grained() {
    pen.dispose();
    int[] row = new int[WIDTH];
    for (int y = 0; y < HEIGHT; y++) {
      image.getRGB(0, y, WIDTH, 1, row, 0, WIDTH);
      for (int x = 0; x < WIDTH; x++) {
        int more = (int) (GRAIN * dice.nextGaussian() / 2);
        row[x] = lit(row[x] >> 16, more) << 16 | lit(row[x] >> 8, more) << 8 | lit(row[x], more);
      }
      image.setRGB(0, y, WIDTH, 1, row, 0, WIDTH);
    }
    return image;
  }

  private static int lit(int value, int more) {
    return Math.max(0, Math.min(255, (value & 0xff) + more));
  }
}
