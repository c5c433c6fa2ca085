package org.jexel.app.exchange;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import org.jexel.core.cab.ControllerLead;
import org.jexel.core.cab.ControllerModel;
import org.jexel.core.cab.Mounting;
import org.jexel.core.connector.WireColour;
import org.jexel.core.rig.ControllerKind;
import org.jspecify.annotations.Nullable;

/**
 * The open format of controller models, {@code jexel-controllers 1}: read by its published schema
 * first and by the rules of {@link ControllerModel} after that.
 */
public final class ControllerFile {
  public static final String FORMAT = "jexel-controllers 1";
  public static final String SCHEMA = "/static/schemas/controllers.schema.json";
  private static final int LONGEST = 400_000;
  private static final JsonMapper JSON = OpenFormat.JSON;
  private static final OpenFormat RULES = new OpenFormat(SCHEMA);

  private record Scale(double least, double greatest, double step) {}

  private record Supply(double leastVolts, double greatestVolts) {}

  private record Angles(
      @Nullable Double yawDegrees,
      @Nullable Double pitchDegrees,
      @Nullable Double rollDegrees,
      boolean findsLevel) {}

  private record Cavity(int number, String job) {}

  @JsonInclude(JsonInclude.Include.NON_EMPTY)
  private record Entry(
      String label,
      ControllerKind kind,
      Scale scale,
      Supply supply,
      double outputAmps,
      Angles mounting,
      List<String> assist,
      Map<ControllerLead, WireColour> leads,
      List<Cavity> cavities,
      List<ControllerModel.Point> curve,
      String notes) {

    static Entry of(ControllerModel m) {
      return new Entry(
          m.label(),
          m.kind(),
          new Scale(m.least(), m.greatest(), m.step()),
          new Supply(m.supplyLeast(), m.supplyGreatest()),
          m.outputAmps(),
          new Angles(
              degrees(m.limits().yaw()),
              degrees(m.limits().pitch()),
              degrees(m.limits().roll()),
              m.limits().levels()),
          m.assist(),
          m.leads().isEmpty() ? Map.of() : new EnumMap<>(m.leads()),
          m.cavities().entrySet().stream().map(e -> new Cavity(e.getKey(), e.getValue())).toList(),
          m.curve(),
          m.notes());
    }

    /** Degrees as a person would write them: the way to radians and back leaves no tail. */
    private static double degrees(double radians) {
      return Math.round(Math.toDegrees(radians) * 1e6) / 1e6;
    }

    ControllerModel model() throws Unreadable {
      SortedMap<Integer, String> places = new TreeMap<>();
      for (Cavity cavity : or(cavities, List.<Cavity>of())) {
        if (places.put(cavity.number(), cavity.job()) != null) {
          throw new Unreadable("“" + label + "”: cavity " + cavity.number() + " stands twice.");
        }
      }
      Mounting.Limits usual = Mounting.Limits.UNSTATED;
      Angles angles = or(mounting, new Angles(null, null, null, false));
      return new ControllerModel(
          label.strip(),
          kind,
          scale.least(),
          scale.greatest(),
          scale.step(),
          supply.leastVolts(),
          supply.greatestVolts(),
          outputAmps,
          new Mounting.Limits(
              radians(angles.yawDegrees(), usual.yaw()),
              radians(angles.pitchDegrees(), usual.pitch()),
              radians(angles.rollDegrees(), usual.roll()),
              angles.findsLevel()),
          or(assist, List.<String>of()),
          or(leads, Map.<ControllerLead, WireColour>of()),
          places,
          or(curve, List.<ControllerModel.Point>of()),
          or(notes, ""));
    }

    private static double radians(@Nullable Double degrees, double otherwise) {
      return degrees == null ? otherwise : Math.toRadians(degrees);
    }

    private static <T> T or(@Nullable T value, T otherwise) {
      return value == null ? otherwise : value;
    }
  }

  private record Document(String format, List<Entry> controllers) {}

  private ControllerFile() {}

  public static String write(List<ControllerModel> models) {
    try {
      return JSON.writerWithDefaultPrettyPrinter()
          .writeValueAsString(new Document(FORMAT, models.stream().map(Entry::of).toList()));
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }

  /**
   * @throws Unreadable at the first model that cannot stand, with its place
   */
  public static List<ControllerModel> read(String text) throws Unreadable {
    if (text.length() > LONGEST) {
      throw new Unreadable("This file is longer than any library of controllers.");
    }
    JsonNode tree = OpenFormat.parse(text.getBytes(StandardCharsets.UTF_8));
    RULES.check(tree);
    try {
      return models(JSON.treeToValue(tree, Document.class));
    } catch (JsonProcessingException e) {
      throw new Unreadable("Not in the open format. " + e.getOriginalMessage());
    }
  }

  private static List<ControllerModel> models(Document document) throws Unreadable {
    Set<String> labels = new HashSet<>();
    List<ControllerModel> models = new java.util.ArrayList<>();
    for (Entry entry : document.controllers()) {
      ControllerModel model = entry.model();
      for (ControllerModel.Problem problem : model.problems()) {
        throw new Unreadable(
            "“%s”, %s: %s".formatted(model.label(), problem.field(), problem.message()));
      }
      if (!labels.add(model.label())) {
        throw new Unreadable("“" + model.label() + "” stands twice.");
      }
      models.add(model);
    }
    return models;
  }

  /** A model as one entry of the open format, as the database keeps it. */
  public static String stored(ControllerModel model) {
    try {
      return JSON.writeValueAsString(Entry.of(model));
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }

  /** A stored entry as it stands in a file. */
  public static JsonNode told(String stored) {
    try {
      return JSON.readTree(stored);
    } catch (JsonProcessingException e) {
      throw new IllegalArgumentException("A stored controller cannot be read: " + stored, e);
    }
  }

  /** What a file says of a model, as the database keeps it. */
  public static String content(JsonNode told) {
    return told.toString();
  }

  /**
   * The model of a stored entry.
   *
   * @throws IllegalArgumentException if it cannot be read
   */
  public static ControllerModel stored(String text) {
    try {
      return JSON.readValue(text, Entry.class).model();
    } catch (JsonProcessingException | Unreadable e) {
      throw new IllegalArgumentException("A stored controller cannot be read: " + text, e);
    }
  }
}
