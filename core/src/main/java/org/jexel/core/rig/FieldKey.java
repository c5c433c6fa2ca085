package org.jexel.core.rig;

/**
 * A field of the rig, with the axle it belongs to.
 *
 * @param field which figure
 * @param index the axle from the front, 0 for the first; 0 for figures that exist once
 */
public record FieldKey(RigField field, int index) {
  public FieldKey {
    if (index < 0 || index > 0 && !field.perAxle()) {
      throw new IllegalArgumentException(field + " has no place " + index);
    }
  }

  public static FieldKey of(RigField field) {
    return new FieldKey(field, 0);
  }

  /** Stored form: {@code AXLE_RATING.1}. */
  public String code() {
    return field.name() + "." + index;
  }

  /** Reads the stored form. */
  public static FieldKey of(String code) {
    int dot = code.lastIndexOf('.');
    if (dot < 0) {
      throw new IllegalArgumentException("no such field: " + code);
    }
    return new FieldKey(
        RigField.valueOf(code.substring(0, dot)), Integer.parseInt(code.substring(dot + 1)));
  }
}
