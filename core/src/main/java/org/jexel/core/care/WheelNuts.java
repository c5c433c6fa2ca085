package org.jexel.core.care;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.StudSize;

/**
 * How the nuts of a wheel are drawn up: torque by stud, as usual handbooks have it for dry threads
 * and steel wheels (the wheel maker's figure replaces it), crosswise, and once more after 80 km.
 *
 * @param count nuts on a wheel
 * @param size their thread
 * @param least N·m
 * @param greatest N·m
 * @param order in which they are drawn up, numbered round the wheel from 1
 */
public record WheelNuts(
    int count, StudSize size, double least, double greatest, List<Integer> order) {
  /** After this way they are drawn up again, m. */
  public static final double AGAIN_AFTER_METRES = 80_000;

  /** Of every axle from the front; axles that are alike stand once. */
  public static List<WheelNuts> of(Rig rig) {
    return IntStream.range(0, rig.axleCount()).mapToObj(axle -> of(rig, axle)).distinct().toList();
  }

  /**
   * @param axle from the front, 0 first
   */
  static WheelNuts of(Rig rig, int axle) {
    int count = (int) rig.sheet().si(new FieldKey(RigField.STUD_COUNT, axle));
    StudSize size = rig.sheet().choice(new FieldKey(RigField.STUD_SIZE, axle), StudSize.class);
    return switch (size) {
      case M12 -> new WheelNuts(count, size, 90, 110, crosswise(count));
      case M14 -> new WheelNuts(count, size, 135, 160, crosswise(count));
      case HALF_INCH -> new WheelNuts(count, size, 120, 160, crosswise(count));
      case NINE_SIXTEENTHS -> new WheelNuts(count, size, 160, 190, crosswise(count));
    };
  }

  /** Each nut as far from the one before as the wheel allows: opposite pairs, or every second. */
  static List<Integer> crosswise(int count) {
    List<Integer> order = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      boolean even = count % 2 == 0;
      order.add(1 + (even ? i / 2 + i % 2 * count / 2 : 2 * i % count));
    }
    return order;
  }
}
