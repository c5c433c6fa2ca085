package org.jexel.app.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.xml.parsers.DocumentBuilderFactory;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.JobRepository;
import org.jexel.app.job.Looked;
import org.jexel.app.job.Towline;
import org.jexel.app.security.Person;
import org.jexel.app.security.PersonRepository;
import org.jexel.core.breakaway.Coupling;
import org.jexel.core.breakaway.Point;
import org.jexel.core.job.Station;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.TrailerKind;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.data.domain.Limit;
import org.springframework.test.web.servlet.MockMvc;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;

/** The Towline is well-formed, to scale, and shows what is there. */
@AppTest
class TowlineTest {
  @Autowired private MockMvc mvc;
  @Autowired private JobRepository jobs;
  @Autowired private JobFiles files;
  @Autowired private PersonRepository people;
  @Autowired private Towline towline;

  private Person person;

  @BeforeEach
  void someone() {
    person = people.findBySignIn("viewer").orElseThrow();
  }

  static Document parse(String svg) throws Exception {
    return DocumentBuilderFactory.newInstance()
        .newDocumentBuilder()
        .parse(new InputSource(new StringReader(svg)));
  }

  static List<Element> all(Document document, String name) {
    NodeList nodes = document.getElementsByTagName(name);
    List<Element> elements = new ArrayList<>();
    for (int i = 0; i < nodes.getLength(); i++) {
      elements.add((Element) nodes.item(i));
    }
    return elements;
  }

  private static double number(Element element, String attribute) {
    return Double.parseDouble(element.getAttribute(attribute));
  }

  @Test
  void everyLayerOfEveryJobIsWellFormedAndStaysOnTheSheet() throws Exception {
    for (Job job :
        jobs.findByWorkshopIdAndIdGreaterThanOrderById(person.workshop().id(), 0L, Limit.of(200))) {
      JobFile file = files.open(job.ref(), person);
      for (Station station : Station.values()) {
        Document drawing = parse(towline.draw(file, station, Looked.at("")));
        for (Element rect : all(drawing, "rect")) {
          assertThat(number(rect, "x")).as(job.ref() + station).isBetween(-1.0, PlanScale.WIDTH);
          assertThat(number(rect, "y")).isBetween(-1.0, PlanScale.HEIGHT);
        }
        for (Element text : all(drawing, "text")) {
          assertThat(number(text, "y")).isBetween(0.0, PlanScale.HEIGHT);
          assertThat(text.getTextContent()).isNotBlank().doesNotContain("NaN");
        }
      }
    }
  }

  @Test
  void lengthsOnTheSheetHaveTheProportionsOfTheRig() throws Exception {
    JobFile file = files.open("J1003", person);
    PlanScale at = PlanScale.of(file.rig());
    var sheet = file.rig().sheet();
    assertThat(at.x(sheet.si(RigField.OVERALL_LENGTH)) - at.x(0))
        .isCloseTo(at.px(sheet.si(RigField.OVERALL_LENGTH)), within(1e-9));
    Document drawing = parse(towline.draw(file, Station.RIG, Looked.at("")));
    double bed = sheet.si(RigField.OVERALL_LENGTH) - sheet.si(RigField.DRAWBAR_LENGTH);
    assertThat(all(drawing, "rect"))
        .anySatisfy(
            rect -> {
              assertThat(number(rect, "width")).isCloseTo(at.px(bed), within(0.1));
              assertThat(number(rect, "height"))
                  .isCloseTo(at.px(sheet.si(RigField.OVERALL_WIDTH)), within(0.1));
            });
  }

  @Test
  void everyLampThatIsThereIsDrawnAndLeftOutOnesAreNot() throws Exception {
    JobFile file = files.open("J1006", person);
    long lenses = lenses(parse(towline.draw(file, Station.RIG, Looked.at(""))));
    assertThat(lenses).isEqualTo(file.rig().lamps().stream().filter(Lamp::counts).count());
    Walker electrician = new Walker(mvc, "electrician");
    String ref = electrician.newJob("Lamp count", "NONE", "1");
    long before = lenses(parse(towline.draw(files.open(ref, person), Station.RIG, Looked.at(""))));
    electrician.post("/jobs/" + ref + "/rig/lamps", Map.of("plate.state", "LEFT_OUT"));
    assertThat(lenses(parse(towline.draw(files.open(ref, person), Station.RIG, Looked.at("")))))
        .isEqualTo(before - 1);
  }

  private static long lenses(Document drawing) {
    List<Element> shapes = all(drawing, "rect");
    shapes.addAll(all(drawing, "circle"));
    return shapes.stream().filter(e -> e.getAttribute("class").equals("lens")).count();
  }

  @Test
  void eachStationPaintsItsOwnLayer() {
    JobFile file = files.open("J1003", person);
    assertThat(towline.draw(file, Station.RIG, Looked.at(""))).contains("tongue ", "axles ");
    assertThat(towline.draw(file, Station.HARNESS, Looked.at("")))
        .contains("BU brake", "nearest its limit");
    assertThat(towline.draw(file, Station.CAB, Looked.at(""))).contains("breaker 20 A");
    assertThat(towline.draw(file, Station.BENCH, Looked.at("")))
        .contains("Lamps and wheels, 10 of 10, holds");
    assertThat(towline.draw(file, Station.BREAKAWAY, Looked.at("")))
        .contains("cable 745 mm, may be 658 mm to 909 mm", "chains dashed");
    assertThat(towline.draw(file, Station.ROAD, Looked.at(""))).contains("last stop: gain 6");
    assertThat(towline.draw(file, Station.HANDOVER, Looked.at("")))
        .contains("36 of 36 checks read");
  }

  /** The arcs of the window stand about the cable's eye, to scale. */
  @Test
  void onItsOwnCardTheCableIsDrawnAtTheTurnWithItsWindow() throws Exception {
    JobFile file = files.open("J1003", person);
    Looked turned = Looked.at("cable", new Point.Turn(Math.toRadians(60), 0));
    Document drawing = parse(towline.draw(file, Station.BREAKAWAY, turned));
    assertThat(drawing.getDocumentElement().getTextContent())
        .contains("turned by 60°: 590 mm from eye to pin");
    Coupling coupling = file.work().breakaway().cable().window().coupling();
    PlanScale at = PlanScale.of(file.rig());
    double eyeX = at.x(-coupling.fixing().x());
    double eyeY = at.y(coupling.fixing().y());
    List<Double> radii =
        all(drawing, "path").stream()
            .map(path -> path.getAttribute("d").substring(1).split(" "))
            .map(d -> Math.hypot(Double.parseDouble(d[0]) - eyeX, Double.parseDouble(d[1]) - eyeY))
            .toList();
    assertThat(radii).anyMatch(r -> Math.abs(r - at.px(0.658)) < 0.2);
    assertThat(radii).anyMatch(r -> Math.abs(r - at.px(0.909)) < 0.2);
  }

  /** One lead on the pin or terminal that each is told to go to; none where words are said. */
  @Test
  void theLeadsOfTheOpenCheckAreOnTheTowline() throws Exception {
    JobFile file = files.open("J1003", person);
    assertThat(probes(file, "supply.battery")).hasSize(2);
    assertThat(probes(file, "look.tail.lamp_tail_rear_left")).isEmpty();
    assertThat(probes(file, "magnet.amps.magnet_axle1_left")).hasSize(1);
    List<Double> run = probes(file, "continuity.lamp_tail_rear_left");
    assertThat(run).hasSize(2);
    assertThat(Math.abs(run.get(0) - run.get(1))).isGreaterThan(100);
  }

  /** Where along the Towline the leads are, to the nearest lead's width, px. */
  private List<Double> probes(JobFile file, String check) throws Exception {
    return all(parse(towline.draw(file, Station.BENCH, Looked.at(check))), "circle").stream()
        .filter(e -> e.getAttribute("class").equals("probe"))
        .map(e -> 20.0 * Math.round(Double.parseDouble(e.getAttribute("cx")) / 20))
        .toList();
  }

  @Test
  void thePartOfTheOpenCardIsMarked() {
    JobFile file = files.open("J1001", person);
    assertThat(towline.draw(file, Station.RIG, Looked.at("axles")))
        .containsOnlyOnce("towpart marked");
    assertThat(towline.draw(file, Station.RIG, Looked.at(""))).doesNotContain("marked");
  }

  @Test
  void outlinesOfAllKindsAreOfOneScale() throws Exception {
    for (TrailerKind kind : TrailerKind.values()) {
      Document outline = parse(Outline.of(kind));
      assertThat(all(outline, "circle"))
          .as(kind.label())
          .anySatisfy(wheel -> assertThat(number(wheel, "r")).isEqualTo(9.5));
    }
  }

  @Test
  void namesThatLookLikeMarkupStayText() throws Exception {
    Walker electrician = new Walker(mvc, "electrician");
    String evil = "<script>alert(1)</script> & \"quoted\"";
    String ref = electrician.newJob(evil, "ELECTRIC", "1");
    JobFile file = files.open(ref, person);
    assertThat(towline.draw(file, Station.RIG, Looked.at(""))).doesNotContain("<script>");
    parse(towline.draw(file, Station.RIG, Looked.at("")));
    for (Station station : Station.values()) {
      assertThat(electrician.answer("/jobs/" + ref + "/" + station.path()).getContentAsString())
          .doesNotContain("<script>alert");
    }
    assertThat(electrician.answer("/").getContentAsString()).doesNotContain("<script>alert");
    assertThat(electrician.answer("/jobs/" + ref + "/report.pdf").getStatus()).isEqualTo(200);
  }
}
