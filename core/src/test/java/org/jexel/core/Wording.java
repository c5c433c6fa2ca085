package org.jexel.core;

import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/** What no person would write, found in a sentence. */
public final class Wording {
  /** What is wrong with a sentence, and how it shows. */
  private static final Map<String, Pattern> WRONG =
      Map.of(
          "a word twice", Pattern.compile("(?i)\\b([a-z]{2,})[,:]? \\1\\b"),
          "a raw id", Pattern.compile("[a-z0-9]_[a-z0-9]|\\bbret\\b|\\b[a-z]+\\d+ (left|right)\\b"),
          "an enum's name", Pattern.compile("\\b[A-Z]{2,}_[A-Z]+"),
          "a lost plural",
              Pattern.compile("(?<![\\d.,/])\\b1 (?!(?:s|stands)\\b)[a-z]{2,}[^s ]s\\b"),
          "a lost singular",
              Pattern.compile("(?<![\\d.,/])\\b[2-9] (conductor|ring|lamp|branch)\\b"),
          "a hole", Pattern.compile("null|  |\\s,|\\(\\)|%s|\\bNaN\\b"),
          "two prepositions", Pattern.compile("\\b(on|to|at|from) (in|at(?! once)|on)\\b"));

  private Wording() {}

  /** What is wrong with a sentence, the sentence behind it; empty if nothing is. */
  public static List<String> wrong(String sentence) {
    return WRONG.entrySet().stream()
        .filter(entry -> entry.getValue().matcher(sentence).find())
        .map(entry -> entry.getKey() + ": " + sentence)
        .toList();
  }
}
