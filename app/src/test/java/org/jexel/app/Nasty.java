package org.jexel.app;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;

/** What no form expects, drawn by a seed. */
final class Nasty {
  private static final List<String> KNOWN =
      List.of(
          "",
          " ",
          "\u0000",
          "a\u0001\u001f\u007f",
          "\uFFFE\uFFFF",
          "\u202Eolleh\u202C",
          "e" + "\u0301".repeat(2000),
          "🚜".repeat(300),
          "١٢٫٥",
          "12.4.4",
          "12,4,4",
          "-0",
          "1e308",
          "-1e308",
          "1e-320",
          "NaN",
          "Infinity",
          "0x1p3",
          "99999999999999999999999999",
          "-99999999999999999999",
          "7/0",
          "3/0 in",
          "0/0",
          "1 1/0",
          "' or 1=1 --",
          "\"; drop table job; --",
          "<script>alert(1)</script>",
          "]]><!--",
          "${7*7}",
          "#{T(java.lang.Runtime)}",
          "__${7*7}__::x",
          "../../../etc/passwd",
          "..%2f..%2f",
          "%zz",
          "%",
          "\\",
          "\r\nSet-Cookie: x=y",
          "null",
          "undefined",
          "true",
          "[]",
          "{}",
          "ELECTRIC",
          "OVERALL_LENGTH.99",
          "live",
          "open",
          "12.4 furlongs",
          "12.4V12.4V",
          "K".repeat(300),
          "9".repeat(1500),
          "x".repeat(9000),
          "ж".repeat(4000),
          "=cmd|' /C calc'!A0",
          "a&b=c;d",
          "-12.6",
          "24",
          "0",
          "1000000");

  private final Random dice;

  Nasty(long seed) {
    this.dice = new Random(seed);
  }

  int below(int n) {
    return dice.nextInt(n);
  }

  <T> T one(List<T> of) {
    return of.get(dice.nextInt(of.size()));
  }

  String text() {
    if (dice.nextInt(4) > 0) {
      return one(KNOWN);
    }
    StringBuilder text = new StringBuilder();
    int length = dice.nextInt(60);
    for (int i = 0; i < length; i++) {
      text.append((char) (dice.nextInt(8) == 0 ? dice.nextInt(0x10000) : 32 + dice.nextInt(95)));
    }
    return text.toString();
  }

  byte[] bytes() {
    if (dice.nextBoolean()) {
      byte[] random = new byte[dice.nextInt(4000)];
      dice.nextBytes(random);
      return random;
    }
    StringBuilder csv = new StringBuilder(one(List.of("value,unit,check", "value;unit", "x", "")));
    for (int i = 0; i < dice.nextInt(40); i++) {
      csv.append('\n').append(text()).append(one(List.of(",", ";"))).append(text());
    }
    return csv.toString().getBytes(StandardCharsets.UTF_8);
  }

  /** JSON that may be anything but what is asked for. */
  String json(int depth) {
    return switch (depth > 3 ? dice.nextInt(4) : dice.nextInt(7)) {
      case 0 -> "null";
      case 1 -> String.valueOf(dice.nextGaussian() * Math.pow(10, dice.nextInt(300)));
      case 2 -> quoted(text());
      case 3 -> one(List.of("true", "[", "{", "nul", "\"", "1e999", ""));
      case 4 -> "[" + json(depth + 1) + "," + json(depth + 1) + "]";
      case 5 -> "{\"readings\":" + json(depth + 1) + "}";
      default ->
          "{\"readings\":[{\"check\":"
              + one(List.of("\"supply.battery\"", "null", "7", quoted(text())))
              + ",\"value\":"
              + json(depth + 1)
              + "}]}";
    };
  }

  private static String quoted(String text) {
    StringBuilder out = new StringBuilder("\"");
    for (char c : text.toCharArray()) {
      out.append(c < ' ' || c == '"' || c == '\\' ? "\\u%04x".formatted((int) c) : c);
    }
    return out.append('"').toString();
  }
}
