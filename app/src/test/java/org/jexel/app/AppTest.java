package org.jexel.app;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.test.autoconfigure.web.servlet.AutoConfigureMockMvc;
import org.springframework.boot.test.context.SpringBootTest;

/** A test against the whole application on a real MariaDB; {@code ./test} starts it. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@SpringBootTest(
    webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
    properties = {
      "jexel.demo=true",
      "jexel.data=${JEXEL_TEST_DATA:target/test-data}",
      // Each process of the tests has a database of its own (see the pom), and makes it.
      "spring.flyway.url=jdbc:mariadb://127.0.0.1:${JEXEL_DB_PORT:33306}/${JEXEL_DB:jexel}"
          + "?createDatabaseIfNotExist=true",
      "spring.datasource.hikari.maximum-pool-size=8",
      "spring.jpa.properties.hibernate.generate_statistics=true",
      "logging.level.org.hibernate.engine.internal.StatisticalLoggingSessionEventListener=warn"
    })
@AutoConfigureMockMvc
@ExtendWith(SameChance.class)
public @interface AppTest {}
