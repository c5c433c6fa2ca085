package org.jexel.app.harness;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.drawing.FaceDrawing;
import org.jexel.app.drawing.PlanDrawing;
import org.jexel.app.entry.FieldViews;
import org.jexel.app.entry.RigCards;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.StationPages;
import org.jexel.core.connector.Connector;
import org.jexel.core.connector.Convention;
import org.jexel.core.connector.Face;
import org.jexel.core.connector.WireColour;
import org.jexel.core.harness.Circuit;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Joint;
import org.jexel.core.harness.Loom;
import org.jexel.core.harness.Materials;
import org.jexel.core.harness.Segment;
import org.jexel.core.harness.Step;
import org.jexel.core.harness.StudPlan;
import org.jexel.core.job.Station;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;

/** Station 2, the harness: its cards, and what each one shows when it is open. */
@Component
class HarnessPages {
  private final StationPages pages;
  private final Stock stock;
  private final PlanMoves moves;
  private final OwnConnectors own;

  HarnessPages(StationPages pages, Stock stock, PlanMoves moves, OwnConnectors own) {
    this.pages = pages;
    this.stock = stock;
    this.moves = moves;
    this.own = own;
  }

  /** A card of the station. */
  record Card(String id, String title, String told) {}

  /** A circuit with the colour of its conductor. */
  record Row(Circuit circuit, String colour, String code) {}

  /** A step with who ticked it, as a whole or in its items. */
  record StepRow(
      Step step,
      boolean done,
      boolean current,
      @Nullable StepTick tick,
      boolean byItself,
      List<ItemRow> items) {}

  /**
   * An item of a step.
   *
   * @param tick null while it is not done
   */
  record ItemRow(Step.Item item, @Nullable StepTick tick) {}

  /** One view of a connector, drawn. */
  record FaceView(Face.View view, String drawing) {}

  /** What somebody asks for at the address of the station. */
  record Asked(String card, boolean again, List<String> state, String fault) {
    static Asked card(String card) {
      return new Asked(card, false, List.of(), "");
    }
  }

  ModelAndView page(JobFile file, Asked asked) {
    String card = asked.card();
    Harness harness = file.work().harness().plan();
    List<Card> cards = cards(file);
    String open =
        cards.stream().anyMatch(c -> c.id().equals(card))
            ? card
            : file.work().harness().openStep().isPresent() ? "steps" : "plan";
    Map<String, Object> view = new LinkedHashMap<>();
    view.put("cards", cards);
    view.put("again", asked.again());
    view.put("problems", harness.problems());
    view.put("convention", file.rig().convention());
    view.put("towConvention", file.rig().towConvention());
    view.put("connector", file.rig().connector());
    view.put("rows", rows(file));
    if (List.of("choices", "plan", "circuits").contains(open)) {
      view.put("atTheMagnets", file.work().road().atTheMagnets());
    }
    switch (open) {
      case "choices" -> view.put("fields", FieldViews.of(RigCards.HARNESS, file));
      case "plan" -> plan(file, view);
      case "colours" -> {
        view.put("walk", file.work().harness().crosswalk());
        view.put("kit", file.work().harness().kit());
        view.put("segments", Segment.values());
        view.put("wireColours", WireColour.values());
      }
      case "box" -> {
        view.put("kit", file.work().harness().kit());
        view.put("studs", StudPlan.of(file.rig(), harness).studs());
        view.put("splices", harness.joints().stream().filter(HarnessPages::splice).count());
      }
      case "faces" -> faces(file, view);
      case "lists" -> {
        Stock.Issued issued = stock.issued(file);
        view.put("list", stock.cutList(file, issued.shelf()));
        view.put("issued", issued);
        view.put("materials", Materials.of(file.work().harness().scope(), file.units()));
      }
      case "whatif" -> view.put("whatif", WhatIf.of(file, asked.state(), asked.fault()));
      case "steps" -> view.put("steps", steps(file));
      default -> view.put("loom", Loom.of(file.rig(), harness));
    }
    return pages.page(file, Station.HARNESS, open, view);
  }

  private static boolean splice(Joint joint) {
    return joint.kind() == Joint.Kind.SPLICE;
  }

  private static List<Card> cards(JobFile file) {
    List<Step> steps = file.work().harness().steps();
    long done = steps.stream().filter(file.work().harness()::done).count();
    int wires = file.work().harness().scope().newSpans().size();
    List<Card> cards = new ArrayList<>();
    cards.add(
        new Card(
            "steps",
            "Steps",
            steps.isEmpty() ? "nothing to wire" : done + " of " + steps.size() + " done"));
    cards.add(new Card("choices", "How it is to be wired", "schools, box, slack"));
    cards.add(new Card("plan", "Plan drawing", "move lamps, box, entry, switch"));
    cards.add(
        new Card(
            "circuits",
            "Circuits and holes",
            file.work().harness().plan().circuits().size() + " circuits"));
    cards.add(
        new Card(
            "colours",
            "Colours, end to end",
            file.rig().towConvention().label() + " to " + file.rig().convention().label()));
    cards.add(new Card("box", "Junction box", "stud by stud"));
    cards.add(new Card("faces", "Connector faces", file.rig().connector().label()));
    cards.add(
        new Card(
            "lists",
            "Cut list, materials, tools",
            wires == 0 ? "nothing to cut" : wires + " pieces"));
    cards.add(new Card("whatif", "What if", "lamps in any state, with any fault"));
    return cards;
  }

  private void plan(JobFile file, Map<String, Object> view) {
    List<PlanDrawing.Part> parts =
        file.person().role().mayChange() ? PlanMoves.parts(file) : List.of();
    view.put("plan", PlanDrawing.draw(file.work().harness().scope(), parts, file.units()));
    view.put("canUndo", moves.canUndo(file));
  }

  private void faces(JobFile file, Map<String, Object> view) {
    Connector connector = file.rig().connector();
    view.put("faces", faces(connector, file.rig().convention()));
    view.put("round", connector.id().equals("round-6"));
    OwnConnectors.Given given = own.of(file.person());
    view.put("own", given);
    view.put(
        "ownFaces",
        given.connector() == null ? List.of() : faces(given.connector(), file.rig().convention()));
  }

  static List<FaceView> faces(Connector connector, Convention convention) {
    List<FaceView> faces = new ArrayList<>();
    for (Face.View view : Face.View.values()) {
      faces.add(new FaceView(view, FaceDrawing.draw(connector, convention, view)));
    }
    return faces;
  }

  static List<Row> rows(JobFile file) {
    Convention convention = file.rig().convention();
    return file.work().harness().plan().circuits().stream()
        .map(
            c ->
                new Row(
                    c,
                    convention.colour(c.function()).map(WireColour::label).orElse("own choice"),
                    convention.colour(c.function()).map(WireColour::code).orElse("–")))
        .toList();
  }

  private static List<StepRow> steps(JobFile file) {
    Step current = file.work().harness().openStep().orElse(null);
    List<StepRow> rows = new ArrayList<>();
    for (Step step : file.work().harness().steps()) {
      StepTick tick = HarnessRows.tick(file, step.id()).filter(StepTick::done).orElse(null);
      boolean done = file.work().harness().done(step);
      List<ItemRow> items =
          step.items().stream()
              .map(item -> new ItemRow(item, HarnessRows.tick(file, item.id()).orElse(null)))
              .toList();
      boolean byItself = done && tick == null && items.isEmpty();
      rows.add(new StepRow(step, done, step.equals(current), tick, byItself, items));
    }
    return rows;
  }
}
