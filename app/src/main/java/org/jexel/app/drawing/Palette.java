package org.jexel.app.drawing;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jexel.core.connector.WireColour;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.Verdict;

/**
 * Colours of drawings, as the style sheet of the pages has them. Wire colours belong to wires
 * alone.
 */
public final class Palette {
  private static final String SHEET = "/static/css/tokens.css";
  private static final Map<String, String> TOKENS = read();

  public static final String INK = token("ink");
  public static final String PAPER = token("paper");
  public static final String RULE = token("rule");
  public static final String WORK = token("work");
  public static final String ACCENT = token("accent");
  public static final String QUIET = token("quiet");
  public static final String METAL = token("metal");
  public static final String GOOD = token("good");
  public static final String WATCH = token("watch");
  public static final String BAD = token("bad");
  public static final String RED_LEAD = token("lead-red");
  public static final String RED_LENS = token("lens-red");
  public static final String AMBER_LENS = token("lens-amber");
  public static final String CLEAR_LENS = token("lens-clear");
  public static final String GLOW = token("glow");

  public static final String LABEL_FONT = "Barlow Condensed";

  private Palette() {}

  /** The colours of the first {@code :root}: those of paper and of daylight. */
  private static Map<String, String> read() {
    try (InputStream sheet = Palette.class.getResourceAsStream(SHEET)) {
      String text = new String(sheet.readAllBytes(), StandardCharsets.UTF_8);
      int root = text.indexOf(":root {");
      return Pattern.compile("--([a-z-]+):\\s*(#[0-9a-f]{3,6});")
          .matcher(text.substring(root, text.indexOf('}', root)))
          .results()
          .collect(Collectors.toMap(found -> found.group(1), found -> found.group(2)));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Every colour by its name in the style sheet. */
  public static Map<String, String> tokens() {
    return TOKENS;
  }

  /**
   * @throws IllegalStateException if the style sheet has no such colour
   */
  private static String token(String name) {
    return Must.have(TOKENS, name);
  }

  public static String wire(WireColour colour) {
    return token("wire-" + colour.name().toLowerCase(Locale.ROOT));
  }

  public static String verdict(Verdict verdict) {
    return switch (verdict) {
      case NOT_YET -> INK;
      case HOLDS -> GOOD;
      case WATCH -> WATCH;
      case FAILS -> BAD;
    };
  }
}
