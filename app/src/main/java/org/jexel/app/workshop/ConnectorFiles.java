package org.jexel.app.workshop;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.jexel.core.connector.Connector;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.connector.Convention;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/**
 * Reads the connector and convention files at start; a faulty file stops the start and is named.
 */
@Configuration
class ConnectorFiles {
  private static final String ROOT = "classpath*:org/jexel/core/connector/";

  @Bean
  ConnectorCatalog connectors(ObjectMapper json) throws IOException {
    return new ConnectorCatalog(
        read(json, "connectors/*.json", Connector.class),
        read(json, "conventions/*.json", Convention.class));
  }

  private static <T> List<T> read(ObjectMapper json, String pattern, Class<T> type)
      throws IOException {
    Resource[] files = new PathMatchingResourcePatternResolver().getResources(ROOT + pattern);
    Arrays.sort(files, Comparator.comparing(Resource::getFilename));
    List<T> all = new ArrayList<>();
    for (Resource file : files) {
      try (var in = file.getInputStream()) {
        all.add(json.readValue(in, type));
      } catch (IOException e) {
        throw new IllegalStateException(file.getFilename() + ": " + e.getMessage(), e);
      }
    }
    return all;
  }
}
