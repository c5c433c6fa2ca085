package org.jexel.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;

/** What may stand on paper, and nothing else. */
class CleanTextTest {
  @Test
  void namesOfPeopleStayAsTheyAreTyped() {
    for (String name :
        new String[] {
          "Ólafur Þórðarson",
          "Nguyễn Thị Ngọc",
          "Мария",
          "שָׁלוֹם",
          "山田 太郎",
          "Zoë 🚜",
          "a\tb\nc\r\n",
          ""
        }) {
      assertThat(CleanText.of(name).text()).isEqualTo(name);
      assertThat(CleanText.of(name).takenOut()).isEmpty();
    }
  }

  @Test
  void whatNoPaperShowsIsTakenOutAndNamed() {
    assertThat(CleanText.of("a\u0000b\u0007c\u001fd\u007fe").text()).isEqualTo("abcde");
    assertThat(CleanText.of("a\u0085b").takenOut()).containsExactly("control characters");
    assertThat(CleanText.of("a\uFFFEb\uFFFFc\uFDD0d").text()).isEqualTo("abcd");
    assertThat(CleanText.of("a\uD83Db").text()).isEqualTo("ab");
    assertThat(CleanText.of("\uDE9Ca").takenOut()).containsExactly("halves of characters");
    assertThat(CleanText.of("pay \u202E001\u202C \u200Fnow").text()).isEqualTo("pay 001 now");
    assertThat(CleanText.of("a" + "\u0301".repeat(10_000)).text()).hasSize(5);
    assertThat(CleanText.of("a" + "\u0301".repeat(10_000)).takenOut())
        .containsExactly("marks heaped on one letter");
  }

  /** Whatever was typed: what is left is text of XML, and cleaning it again changes nothing. */
  @Property(tries = 2000)
  void whatIsLeftIsTextOfXml(@ForAll @StringLength(max = 40) String typed) {
    String text = CleanText.of(typed).text();
    assertThat(CleanText.of(text).text()).isEqualTo(text);
    assertThat(
            text.codePoints()
                .allMatch(
                    c ->
                        c == 9
                            || c == 10
                            || c == 13
                            || c >= 0x20 && c <= 0xD7FF
                            || c >= 0xE000 && c <= 0xFFFD
                            || c >= 0x10000))
        .isTrue();
  }
}
