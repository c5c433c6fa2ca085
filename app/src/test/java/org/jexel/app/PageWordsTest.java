package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jexel.core.Wording;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/**
 * Every page of the demo jobs, read for what no person would write. Papers are made from the same
 * templates as their pages.
 */
@AppTest
class PageWordsTest {
  private static final List<String> JOBS =
      List.of("J1001", "J1002", "J1003", "J1004", "J1005", "J1006");

  /** Tags that stand within a sentence. */
  private static final Pattern WITHIN =
      Pattern.compile("</?(a|b|em|i|kbd|label|legend|span|sub|sup|summary)\\b[^>]*>");

  private static final Pattern NO_WORDS =
      Pattern.compile("(?s)<(script|style|head|svg|textarea)\\b.*?</\\1>");

  private static final Pattern LABEL = Pattern.compile("(aria-label|placeholder)=\"([^\"]*)\"");

  @Autowired private MockMvc mvc;

  private static Stream<String> sentences(String html) {
    String words = NO_WORDS.matcher(html).replaceAll("\n");
    Stream<String> labels = LABEL.matcher(words).results().map(found -> found.group(2));
    return Stream.concat(
        labels, WITHIN.matcher(words).replaceAll("").replaceAll("<[^>]*>", "\n").lines());
  }

  @Test
  void noPageShowsARawIdALostPluralOrAWordTwice() throws Exception {
    Walker walker = new Walker(mvc, "electrician");
    Set<String> wrong = new LinkedHashSet<>();
    int read = 0;
    for (String job : JOBS) {
      for (String path : Walker.whole(job)) {
        // The board lists what other tests call their jobs.
        if (path.matches("/|.*\\.(pdf|svg|csv)|/api.*")) {
          continue;
        }
        for (String sentence : sentences(walker.page(path)).toList()) {
          read++;
          wrong.addAll(Wording.wrong(sentence.strip()));
        }
      }
    }
    assertThat(read).isGreaterThan(10_000);
    assertThat(wrong).isEmpty();
  }
}
