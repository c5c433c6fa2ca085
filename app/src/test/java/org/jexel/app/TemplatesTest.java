package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What an engine of templates does without a word, and nobody meant. */
class TemplatesTest {
  private static final Path TEMPLATES = Path.of("src/main/resources/templates");

  private static final Pattern TAG =
      Pattern.compile("<[a-z][a-z0-9-]*(\\s+[^\\s=>]+(=\"[^\"]*\")?)*");

  private static final Pattern LOST = Pattern.compile("\\sth:(if|unless|each|with|case)=");

  /** The fragment takes the element's place before its condition is read: it is always shown. */
  @Test
  void noConditionStandsOnAnElementThatIsReplaced() throws IOException {
    List<String> lost = new ArrayList<>();
    int replaced = 0;
    try (Stream<Path> files = Files.walk(TEMPLATES)) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        for (String tag :
            TAG.matcher(Files.readString(file)).results().map(m -> m.group()).toList()) {
          if (tag.contains("th:replace=")) {
            replaced++;
            if (LOST.matcher(tag).find()) {
              lost.add(file.getFileName() + ": " + tag);
            }
          }
        }
      }
    }
    assertThat(replaced).isGreaterThan(100);
    assertThat(lost).isEmpty();
  }
}
