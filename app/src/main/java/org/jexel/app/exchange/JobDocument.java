package org.jexel.app.exchange;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The open format of a whole job, {@code jexel-job 1}: a head that says the version and the hash,
 * and the job. The hash is SHA-256 over the member {@code job} as UTF-8 without white space, its
 * members in the order of the file; a file of another program may leave it out.
 */
public final class JobDocument {
  public static final int VERSION = 1;
  public static final String SCHEMA = "/static/schemas/job.schema.json";

  private static final String NAME = "jexel-job ";
  private static final Pattern FORMAT = Pattern.compile(NAME + "([1-9][0-9]{0,5})");
  private static final OpenFormat RULES = new OpenFormat(SCHEMA);
  private static final DefaultIndenter LINES = new DefaultIndenter("  ", "\n");

  private JobDocument() {}

  /** A job as the bytes of its file: the same job gives the same bytes. */
  public static byte[] write(ObjectNode job) {
    ObjectNode file = JsonNodeFactory.instance.objectNode();
    file.put("format", NAME + VERSION);
    file.put("sha256", hash(job));
    file.set("job", job);
    DefaultPrettyPrinter printer = new DefaultPrettyPrinter();
    printer.indentObjectsWith(LINES);
    printer.indentArraysWith(LINES);
    try {
      return OpenFormat.JSON.writer(printer).writeValueAsBytes(file);
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }

  /**
   * The job of a file.
   *
   * @throws Unreadable if it is none, of a newer version, or not what its hash says
   */
  public static ObjectNode read(byte[] file) throws Unreadable {
    JsonNode tree = OpenFormat.parse(file);
    Matcher format = FORMAT.matcher(tree.path("format").asText());
    if (!format.matches()) {
      throw new Unreadable("This is no job file: its “format” would be “" + NAME + VERSION + "”.");
    }
    if (Integer.parseInt(format.group(1)) > VERSION) {
      throw new Unreadable(
          "This file is of version %s, and this Jexel reads version %d: a newer one reads it."
              .formatted(format.group(1), VERSION));
    }
    RULES.check(tree);
    ObjectNode job = (ObjectNode) tree.get("job");
    if (tree.has("sha256") && !tree.get("sha256").textValue().equals(hash(job))) {
      throw new Unreadable("The file is not as it was written: its hash is another one.");
    }
    return job;
  }

  /** Over the bytes as they pass: with its photographs a job has many. */
  private static String hash(JsonNode job) {
    MessageDigest hash = Sha256.fresh();
    try {
      OpenFormat.JSON.writeValue(
          new DigestOutputStream(OutputStream.nullOutputStream(), hash), job);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return Sha256.text(hash.digest());
  }
}
