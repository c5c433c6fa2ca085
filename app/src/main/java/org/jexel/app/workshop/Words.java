package org.jexel.app.workshop;

/** Stored words of a known set, read without trust in who wrote them. */
public final class Words {
  private Words() {}

  /**
   * @param otherwise what an unknown word stands for
   */
  public static <E extends Enum<E>> E of(Class<E> type, String word, E otherwise) {
    for (E value : type.getEnumConstants()) {
      if (value.name().equals(word)) {
        return value;
      }
    }
    return otherwise;
  }

  /**
   * Whether a stored row still says something to this version.
   *
   * @param digest reads all of it
   */
  public static boolean known(Runnable digest) {
    try {
      digest.run();
      return true;
    } catch (IllegalArgumentException unknown) {
      return false;
    }
  }
}
