package org.jexel.app.job;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jexel.app.exchange.JobDocument;
import org.jexel.app.exchange.Sha256;
import org.jexel.app.exchange.Sheet;
import org.jexel.app.exchange.SheetNames;
import org.jexel.app.exchange.Unreadable;
import org.jexel.app.library.ControllerLibrary;
import org.jexel.app.security.Elsewhere;
import org.jexel.app.security.Person;
import org.jexel.app.workshop.Words;
import org.jexel.core.quantity.Must;
import org.jexel.core.rig.Subject;
import org.jexel.core.rig.Wish;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.UncategorizedSQLException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * A whole job as one file, and back. Everything that was recorded of it goes, by whom and when;
 * what is worked out from that is worked out anew where it arrives. Left behind is what means
 * something to this server alone: what somebody has typed and not given, links and pages for other
 * devices, and what the simulated meter hides.
 */
@Service
public class JobDocuments {
  private final JobRepository jobs;
  private final RigPartRepository parts;
  private final JobStart start;
  private final JobFiles files;
  private final Elsewhere elsewhere;
  private final ControllerLibrary library;
  private final Clock clock;
  private final TransactionTemplate transaction;
  private final JobSheets sheets;

  JobDocuments(
      JobRepository jobs,
      RigPartRepository parts,
      JobStart start,
      JobFiles files,
      Elsewhere elsewhere,
      ControllerLibrary library,
      Clock clock,
      PlatformTransactionManager transactions,
      JobSheets sheets) {
    this.jobs = jobs;
    this.parts = parts;
    this.start = start;
    this.files = files;
    this.elsewhere = elsewhere;
    this.library = library;
    this.clock = clock;
    this.transaction = new TransactionTemplate(transactions);
    this.sheets = sheets;
  }

  /**
   * A job that came in a file.
   *
   * @param anew whether it came now, and not with the same file before
   */
  public record Brought(String ref, boolean anew) {}

  /** The file of a job, or 404. */
  public byte[] write(String ref, Person person) {
    return Objects.requireNonNull(
        transaction.execute(
            status -> {
              return JobDocument.write(told(files.find(ref, person)));
            }));
  }

  private ObjectNode told(Job job) {
    SheetNames names = new SheetNames();
    ObjectNode file = JsonNodeFactory.instance.objectNode();
    file.putObject("begun")
        .put("workshop", job.begun().map(Begun::workshop).orElse(job.workshop().name()))
        .put("ref", job.begun().map(Begun::ref).orElse(job.ref()));
    file.put("title", job.title());
    file.put("customer", job.customer());
    file.put("wish", job.wish().name());
    file.put("alone", job.alone());
    file.put("createdAt", job.createdAt().toString());
    file.put("updatedAt", job.updatedAt().toString());
    job.signedAt().ifPresent(at -> file.put("signedAt", at.toString()));
    ArrayNode people = file.putArray("people");
    for (Subject subject : Subject.values()) {
      RigPart part = job.part(subject);
      ObjectNode told = file.putObject(member(subject));
      told.put("label", part.label());
      part.model().ifPresent(model -> told.set("model", library.told(model)));
      sheets.tell(part, names, told);
    }
    sheets.tell(job, names, file);
    Map<Long, String> called = elsewhere.names(names.people());
    long number = 0;
    for (Long id : names.people()) {
      people.addObject().put("number", ++number).put("name", Must.have(called, id));
    }
    return file;
  }

  private static String member(Subject subject) {
    return switch (subject) {
      case TOW -> "tow";
      case TRAILER -> "trailer";
      case CONTROLLER -> "controller";
    };
  }

  /**
   * Begins a job with everything that a file tells; the same file again gives the same job.
   *
   * @throws Unreadable if any of it cannot be taken; then nothing is
   */
  public Brought bring(byte[] file, Person person) throws Unreadable {
    ObjectNode told = JobDocument.read(file);
    String hash = Sha256.of(file);
    try {
      return known(person, hash)
          .orElseGet(
              () -> Objects.requireNonNull(transaction.execute(any -> taken(told, hash, person))));
    } catch (Sheet.CannotStand cannot) {
      throw new Unreadable("Nothing was taken. " + cannot.getMessage());
    } catch (DataIntegrityViolationException | UncategorizedSQLException refused) {
      Optional<Brought> meanwhile = known(person, hash);
      if (meanwhile.isPresent()) {
        return meanwhile.get();
      }
      throw new Unreadable(
          "Nothing was taken: the database has no place for a value of this file. "
              + refused.getMostSpecificCause().getMessage());
    }
  }

  private Optional<Brought> known(Person person, String hash) {
    return jobs.findByWorkshopIdAndBegunSha256(person.workshop().id(), hash)
        .map(job -> new Brought(job.ref(), false));
  }

  private Brought taken(ObjectNode told, String hash, Person person) {
    SheetNames names = new SheetNames();
    for (JsonNode one : told.path("people")) {
      names.person(
          one.path("number").longValue(),
          elsewhere.person(person.workshop(), one.path("name").textValue()));
    }
    Job job = begun(told, hash, person);
    for (Subject subject : Subject.values()) {
      sheets.take(job.part(subject), told.path(member(subject)), names);
    }
    sheets.take(job, told, names);
    List<LeftOut> leftOut = files.brought(job.ref(), person);
    if (!leftOut.isEmpty()) {
      throw new Sheet.CannotStand(leftOut.get(0).row() + ": " + leftOut.get(0).why());
    }
    return new Brought(job.ref(), true);
  }

  private Job begun(ObjectNode told, String hash, Person person) {
    String wished = told.path("wish").textValue();
    if (!Words.known(() -> Wish.valueOf(wished))) {
      throw new Sheet.CannotStand("wish: “" + wished + "” is no word of this version.");
    }
    Job job =
        new Job(
            person.workshop(),
            told.path("title").textValue(),
            told.path("customer").textValue(),
            Wish.valueOf(wished),
            "file " + hash.substring(0, 32),
            moment(told, "createdAt"));
    job.brought(
        new Begun(
            told.at("/begun/workshop").textValue(),
            told.at("/begun/ref").textValue(),
            clock.instant().truncatedTo(ChronoUnit.MILLIS),
            hash));
    job.work(told.path("alone").booleanValue());
    job.changed(moment(told, "updatedAt"));
    if (told.has("signedAt")) {
      job.sign(signed(told));
    }
    job.join(
        part(Subject.TOW, told, person),
        part(Subject.TRAILER, told, person),
        part(Subject.CONTROLLER, told, person));
    return start.numbered(job);
  }

  /** A job is signed by a name under its newest edition, and by nothing that says so. */
  private static Instant signed(ObjectNode told) {
    JsonNode editions = told.at("/handover/editions");
    for (JsonNode one : editions.path(editions.size() - 1).path("signatures")) {
      if (one.path("signedAt").equals(told.get("signedAt"))) {
        return moment(told, "signedAt");
      }
    }
    throw new Sheet.CannotStand("signedAt: nobody signed the newest edition at that moment.");
  }

  private RigPart part(Subject subject, ObjectNode told, Person person) {
    JsonNode said = told.get(member(subject));
    RigPart part = new RigPart(person.workshop(), subject, said.path("label").textValue());
    if (said.has("model")) {
      try {
        part.is(library.like(said.get("model"), person));
      } catch (IllegalArgumentException cannot) {
        throw new Sheet.CannotStand(member(subject) + ": its model cannot be read.");
      }
    }
    return parts.saveAndFlush(part);
  }

  private static Instant moment(ObjectNode told, String member) {
    try {
      return Instant.parse(told.path(member).textValue());
    } catch (java.time.DateTimeException e) {
      throw new Sheet.CannotStand(member + " cannot be read: " + told.path(member));
    }
  }
}
