package org.jexel.core.quantity;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Text as people may type it, without what no paper can show: control characters, halves of
 * surrogate pairs, code points that are no characters (Unicode 15, section 23.7), marks that turn
 * the direction of what stands around them (Unicode Annex 9), and more combining marks on one
 * letter than any script has.
 *
 * @param text what is left
 * @param takenOut what was taken out, in words; empty if nothing was
 */
public record CleanText(String text, List<String> takenOut) {
  /** Vietnamese and Hebrew put three on a letter; four leave room. */
  private static final int MOST_MARKS = 4;

  private static final String CONTROLS = "control characters";
  private static final String HALVES = "halves of characters";
  private static final String NONE = "code points that are no characters";
  private static final String TURNS = "marks that turn the direction of reading";
  private static final String MARKS = "marks heaped on one letter";

  public CleanText {
    takenOut = List.copyOf(takenOut);
  }

  /** The same text where it is clean already, which it nearly always is. */
  public static CleanText of(String typed) {
    return plain(typed) ? new CleanText(typed, List.of()) : cleaned(typed);
  }

  private static boolean plain(String typed) {
    for (int i = 0; i < typed.length(); i++) {
      char c = typed.charAt(i);
      if (c >= 0x7F || c < ' ' && !space(c)) {
        return false;
      }
    }
    return true;
  }

  private static boolean space(int c) {
    return c == '\n' || c == '\r' || c == '\t';
  }

  private static CleanText cleaned(String typed) {
    StringBuilder text = new StringBuilder(typed.length());
    Set<String> out = new LinkedHashSet<>();
    int marks = 0;
    for (int i = 0; i < typed.length(); ) {
      int c = typed.codePointAt(i);
      i += Character.charCount(c);
      marks = combines(c) ? marks + 1 : 0;
      String why = refused(c, marks);
      if (why == null) {
        text.appendCodePoint(c);
      } else {
        out.add(why);
      }
    }
    return new CleanText(text.toString(), new ArrayList<>(out));
  }

  private static boolean combines(int c) {
    int type = Character.getType(c);
    return type == Character.NON_SPACING_MARK || type == Character.ENCLOSING_MARK;
  }

  private static @Nullable String refused(int c, int marks) {
    if (Character.getType(c) == Character.SURROGATE) {
      return HALVES;
    }
    if (Character.isISOControl(c) && !space(c)) {
      return CONTROLS;
    }
    if ((c & 0xFFFE) == 0xFFFE || c >= 0xFDD0 && c <= 0xFDEF) {
      return NONE;
    }
    boolean turns =
        c == 0x200E
            || c == 0x200F
            || c == 0x061C
            || c >= 0x202A && c <= 0x202E
            || c >= 0x2066 && c <= 0x2069;
    if (turns || c == 0x2028 || c == 0x2029) {
      return TURNS;
    }
    return marks > MOST_MARKS ? MARKS : null;
  }
}
