package org.jexel.app.exchange;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SchemaRegistryConfig;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import org.jexel.core.quantity.Phrase;

/** One of Jexel's open formats: JSON, with a published schema by which it is read. */
final class OpenFormat {
  private static final int MOST_COMPLAINTS = 5;
  private static final int LONGEST_TEXT = 1 << 26;

  /** No member stands twice, and nothing stands behind the end. */
  static final JsonMapper JSON =
      JsonMapper.builder(
              JsonFactory.builder()
                  .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                  .streamReadConstraints(
                      StreamReadConstraints.builder().maxStringLength(LONGEST_TEXT).build())
                  .build())
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .build();

  private final Schema rules;

  /**
   * @param schema where the schema lies on the class path
   */
  OpenFormat(String schema) {
    this.rules =
        SchemaRegistry.withDefaultDialect(
                SpecificationVersion.DRAFT_2020_12,
                registry ->
                    registry.schemaRegistryConfig(
                        SchemaRegistryConfig.builder().locale(Locale.ENGLISH).build()))
            .getSchema(OpenFormat.class.getResourceAsStream(schema));
  }

  /**
   * @throws Unreadable with the line of what is no JSON
   */
  static JsonNode parse(byte[] file) throws Unreadable {
    try {
      return JSON.readTree(file);
    } catch (JsonProcessingException e) {
      throw new Unreadable(
          Phrase.of(
              "This is no JSON: %s, line %d.",
              e.getOriginalMessage().lines().findFirst().orElse("unreadable"),
              e.getLocation() == null ? 1 : e.getLocation().getLineNr()));
    } catch (IOException e) {
      throw new Unreadable("This is no JSON: it breaks off.");
    }
  }

  /**
   * @throws Unreadable with the first few places that are not as the schema says
   */
  void check(JsonNode tree) throws Unreadable {
    List<String> complaints =
        rules.validate(tree).stream()
            .map(m -> m.getInstanceLocation() + " " + m.getMessage())
            .limit(MOST_COMPLAINTS)
            .toList();
    if (!complaints.isEmpty()) {
      throw new Unreadable("Not in the open format. " + String.join("; ", complaints) + ".");
    }
  }
}
