package org.jexel.core.check;

import java.util.Arrays;

/**
 * What a logging meter wrote down for one check, row by row. It stands for one reading: the median,
 * which a few wild rows at the start or the end do not move, and which is a value that really was
 * read (the lower one of the two in the middle). Least and greatest tell how steady it was.
 */
public final class Series {
  private static final int ROOM = 16;

  private double[] values = new double[ROOM];
  private int count;
  private boolean sorted;

  /**
   * @param value SI
   */
  public void add(double value) {
    if (count == values.length) {
      values = Arrays.copyOf(values, 2 * count);
    }
    values[count++] = value;
    sorted = false;
  }

  public int count() {
    return count;
  }

  public double median() {
    return at((count - 1) / 2);
  }

  public double least() {
    return at(0);
  }

  public double greatest() {
    return at(count - 1);
  }

  private double at(int place) {
    if (count == 0) {
      throw new IllegalStateException("nothing was read");
    }
    if (!sorted) {
      Arrays.sort(values, 0, count);
      sorted = true;
    }
    return values[place];
  }
}
