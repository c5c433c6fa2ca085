package org.jexel.app.demo;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.ZoneId;
import java.util.HexFormat;
import org.jexel.app.security.ApiToken;
import org.jexel.app.security.ApiTokenRepository;
import org.jexel.app.security.Person;
import org.jexel.app.security.PersonRepository;
import org.jexel.app.security.Role;
import org.jexel.app.workshop.Workshop;
import org.jexel.app.workshop.WorkshopRepository;
import org.jexel.core.rig.TongueBand;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** Loads the demo workshop on the first start; does nothing once somebody works here. */
@Component
@ConditionalOnProperty(name = "jexel.demo", havingValue = "true")
class DemoWorkshop implements ApplicationRunner {
  private static final Logger LOG = LoggerFactory.getLogger(DemoWorkshop.class);

  /** Sign-in names of the demo; each one's password is the name and {@code -valley}. */
  private static final String[][] PEOPLE = {
    {"owner", "Runa Feldt", "OWNER"},
    {"electrician", "Tamo Berin", "ELECTRICIAN"},
    {"viewer", "Ilse Quand", "VIEWER"}
  };

  private final WorkshopRepository workshops;
  private final PersonRepository people;
  private final ApiTokenRepository tokens;
  private final PasswordEncoder passwords;
  private final DemoJobs jobs;
  private final Clock clock;
  private final Path data;

  DemoWorkshop(
      WorkshopRepository workshops,
      PersonRepository people,
      ApiTokenRepository tokens,
      PasswordEncoder passwords,
      DemoJobs jobs,
      Clock clock,
      @Value("${jexel.data}") String data) {
    this.workshops = workshops;
    this.people = people;
    this.tokens = tokens;
    this.passwords = passwords;
    this.jobs = jobs;
    this.clock = clock;
    this.data = Path.of(data);
  }

  @Override
  public void run(ApplicationArguments arguments) throws IOException {
    if (people.count() > 0) {
      jobs.complete(people.findBySignIn("electrician"));
      return;
    }
    Workshop workshop =
        workshops.save(
            new Workshop(
                "Valley Trailer Workshop",
                ZoneId.of("UTC"),
                TongueBand.NORTH_AMERICA,
                Workshop.WireStock.GAUGE));
    for (String[] one : PEOPLE) {
      Person person =
          new Person(
              workshop, one[0], one[1], passwords.encode(one[0] + "-valley"), Role.valueOf(one[2]));
      people.save(person);
      if (one[0].equals("electrician")) {
        token(person);
      }
    }
    jobs.complete(people.findBySignIn("electrician"));
    LOG.info("The demo workshop is loaded.");
  }

  private void token(Person person) throws IOException {
    byte[] random = new byte[24];
    new SecureRandom().nextBytes(random);
    String token = HexFormat.of().formatHex(random);
    tokens.save(new ApiToken(person, token, "demo", clock.instant(), null));
    Files.createDirectories(data);
    Path file = data.resolve("demo-token");
    Files.deleteIfExists(file);
    Files.createFile(
        file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
    Files.writeString(file, token + "\n");
  }
}
