package org.jexel.app;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.servlet.ServletException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.RequestPostProcessor;
import org.springframework.web.util.HtmlUtils;

/** Walks the pages as one person, without a browser. */
public final class Walker {
  private static final Pattern SPACES =
      Pattern.compile("(?s)<textarea.*?</textarea>|\\s+|\\s*(/?>)");

  private final MockMvc mvc;
  private final RequestPostProcessor person;

  public Walker(MockMvc mvc, String signIn) {
    this.mvc = mvc;
    this.person = user(signIn).roles(signIn.startsWith("owner") ? "OWNER" : signIn.toUpperCase());
  }

  /** What somebody reads who signed in nowhere, from an address of the network. */
  public static MockHttpServletResponse stranger(MockMvc mvc, String path, String from)
      throws Exception {
    return mvc.perform(
            get(path)
                .with(
                    request -> {
                      request.setRemoteAddr(from);
                      return request;
                    }))
        .andReturn()
        .getResponse();
  }

  public MockHttpServletResponse answer(String path) throws Exception {
    return mvc.perform(get(java.net.URI.create(path)).with(person)).andReturn().getResponse();
  }

  public String page(String path) throws Exception {
    MockHttpServletResponse response = answer(path);
    if (response.getStatus() != 200) {
      throw new AssertionError(path + " answered " + response.getStatus());
    }
    return HtmlUtils.htmlUnescape(oneLine(response.getContentAsString()));
  }

  /** As a browser reads it: how a template breaks its lines means nothing, but in a text area. */
  public static String oneLine(String html) {
    return SPACES
        .matcher(html)
        .replaceAll(
            found ->
                found.group().startsWith("<textarea")
                    ? Matcher.quoteReplacement(found.group())
                    : found.group(1) == null ? " " : found.group(1))
        .replaceAll(" (/?>)", "$1");
  }

  /** Every page and paper of a job. */
  public static List<String> whole(String ref) {
    String job = "/jobs/" + ref;
    List<String> paths = new ArrayList<>();
    for (String station :
        List.of("rig", "harness", "cab", "bench", "breakaway", "road", "handover")) {
      paths.add(job + "/" + station);
    }
    for (String card : List.of("lamps", "load", "axles", "connection")) {
      paths.add(job + "/rig?card=" + card);
    }
    for (String card :
        List.of("steps", "choices", "plan", "circuits", "colours", "box", "faces", "lists")) {
      paths.add(job + "/harness?card=" + card);
    }
    for (String card : List.of("supply", "signal", "plug", "mounting", "panel", "power")) {
      paths.add(job + "/cab?card=" + card);
    }
    for (String card : List.of("kit", "wiring", "cable", "pull")) {
      paths.add(job + "/breakaway?card=" + card);
    }
    for (String card : List.of("gate", "stop", "volts", "trace", "trial", "profiles")) {
      paths.add(job + "/road?card=" + card);
    }
    for (String card : List.of("finder", "helper", "tester", "meter", "supply.battery")) {
      paths.add(job + "/bench?card=" + card);
    }
    for (String paper :
        List.of(
            "report.pdf",
            "harness.pdf",
            "harness.svg",
            "harness/sheet",
            "harness/cut-list.csv",
            "harness/materials.csv",
            "bench.pdf",
            "road/card",
            "before",
            "photographs",
            "photographs?about=RIG",
            "care",
            "care/TREAD",
            "care.csv",
            "life",
            "readings.csv",
            "stops.csv",
            "steps.csv",
            "driver",
            "driver.pdf",
            "road.pdf",
            "bench/sheet")) {
      paths.add(job + "/" + paper);
    }
    paths.add("/");
    paths.add("/workshop/controllers");
    paths.add("/workshop/breakaway");
    paths.add("/workshop/care");
    paths.add("/workshop/signatures");
    paths.add("/api/jobs/" + ref + "/checks");
    return paths;
  }

  /** Opens every page and paper of a job; gives those that did not open, with their answer. */
  public Map<String, Integer> broken(String ref) throws Exception {
    Map<String, Integer> broken = new TreeMap<>();
    for (String path : whole(ref)) {
      int status;
      try {
        status = answer(path).getStatus();
      } catch (ServletException thrown) {
        status = 500;
        broken.put(path + " " + thrown.getCause(), status);
      }
      if (status != 200) {
        broken.putIfAbsent(path, status);
      }
    }
    return broken;
  }

  /** Posts fields and gives the answer, redirects not followed. */
  public MockHttpServletResponse post(String path, Map<String, String> fields) throws Exception {
    MockHttpServletRequestBuilder request =
        org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post(path)
            .with(person)
            .with(csrf());
    fields.forEach(request::param);
    return mvc.perform(request).andReturn().getResponse();
  }

  /** Posts as a page does that swaps itself, and gives what it swaps in. */
  public String swap(String path, Map<String, String> fields) throws Exception {
    MockHttpServletRequestBuilder request =
        MockHttp.post(path).with(person).with(csrf()).header("HX-Request", "true");
    fields.forEach(request::param);
    MockHttpServletResponse answer = mvc.perform(request).andReturn().getResponse();
    if (answer.getStatus() != 200) {
      throw new AssertionError(path + " answered " + answer.getStatus());
    }
    return HtmlUtils.htmlUnescape(answer.getContentAsString());
  }

  /** Posts without the token that every form carries. */
  public int postWithoutCsrf(String path) throws Exception {
    return mvc.perform(MockHttp.post(path).with(person)).andReturn().getResponse().getStatus();
  }

  /** Starts a job and gives its reference. */
  public String newJob(String trailer, String brakes, String axles) throws Exception {
    return newJob(trailer, brakes, axles, UUID.randomUUID().toString());
  }

  public String newJob(String trailer, String brakes, String axles, String key) throws Exception {
    MockHttpServletResponse response =
        post(
            "/jobs",
            Map.ofEntries(
                Map.entry("requestKey", key),
                Map.entry("trailer", trailer),
                Map.entry("tow", "Test pick-up"),
                Map.entry("customer", "Test yard"),
                Map.entry("wish", "ANNUAL"),
                Map.entry("kind", "FLATBED"),
                Map.entry("axles", axles),
                Map.entry("brakes", brakes),
                Map.entry("towConnector", "blade-7"),
                Map.entry("trailerConnector", "blade-7"),
                Map.entry("controller", "UNDER_DASH")));
    String location = response.getRedirectedUrl();
    if (location == null) {
      throw new AssertionError("no job was started: " + response.getStatus());
    }
    return location.split("/")[2];
  }

  /** Records a reading the way the form does. */
  public void read(String ref, String check, String text) throws Exception {
    String page = page("/jobs/" + ref + "/bench?card=" + check);
    post(
        "/jobs/" + ref + "/bench/" + check,
        Map.of(
            "reading", text,
            "seen", hidden(page, "seen"),
            "requestKey", hidden(page, "requestKey")));
  }

  /**
   * Says what has to be said before a wheel turns: all sound, warm, and gone past with a reason.
   */
  public void lookRound(String ref) throws Exception {
    String page = page("/jobs/" + ref + "/road?card=gate");
    Map<String, String> said = new HashMap<>();
    for (String what : List.of("TYRES", "NUTS", "PLACE")) {
      said.put(what, "HOLDS");
    }
    Matcher why = Pattern.compile("name=\"(why[^\"]+)\"").matcher(page);
    while (why.find()) {
      said.put(why.group(1), "known to the owner");
    }
    said.put("warmed", "20");
    said.put("requestKey", UUID.randomUUID().toString());
    post("/jobs/" + ref + "/road/gate", said);
  }

  /** A job whose brakes are read at the connector, and whose gate is open. */
  public String readyForTheRoad(String trailer, String axles) throws Exception {
    String ref = brakesRead(trailer, axles);
    lookRound(ref);
    return ref;
  }

  /** A job whose brakes are read at the connector, each as a sound rig reads. */
  public String brakesRead(String trailer, String axles) throws Exception {
    String ref = newJob(trailer, "ELECTRIC", axles);
    for (String check :
        List.of(
            "supply.battery", "brake.resistance", "brake.unasked", "brake.volts", "brake.amps")) {
      read(ref, check, expected(ref, check));
    }
    post(
        "/jobs/" + ref + "/bench/round",
        Map.of("word.wakes.controller", "wakes", "requestKey", "wakes" + ref));
    return ref;
  }

  /** Takes every check of the proof, each as a sound rig reads. */
  public void prove(String ref) throws Exception {
    Map<String, String> words = new HashMap<>();
    String checks = answer("/api/jobs/" + ref + "/checks").getContentAsString();
    for (JsonNode check : new ObjectMapper().readTree(checks)) {
      String id = check.get("id").asText();
      String expected = String.format(Locale.ROOT, "%.2f", check.get("expected").asDouble());
      if (check.get("proves").asBoolean() && id.startsWith("lamp.")) {
        // Read in turn at a rear lamp: figures of one round.
        words.put("word." + id, expected);
      } else if (check.get("proves").asBoolean() && check.get("words").isEmpty()) {
        say(ref, words);
        read(ref, id, expected);
      } else if (check.get("proves").asBoolean()) {
        words.put("word." + id, check.get("words").get(check.get("expected").asInt()).asText());
      }
    }
    say(ref, words);
  }

  private void say(String ref, Map<String, String> words) throws Exception {
    if (!words.isEmpty()) {
      words.put("requestKey", UUID.randomUUID().toString());
      post("/jobs/" + ref + "/bench/round", words);
      words.clear();
    }
  }

  /** The expected value that a bench page shows for its open check. */
  public String expected(String ref, String check) throws Exception {
    Matcher matcher =
        Pattern.compile("class=\"expect\"><b class=\"num\">([^<]+)</b>")
            .matcher(page("/jobs/" + ref + "/bench?card=" + check));
    if (!matcher.find()) {
      throw new AssertionError("no expected value for " + check);
    }
    return matcher.group(1);
  }

  /** Value of the first hidden field of a name. */
  public static String hidden(String page, String name) {
    Matcher matcher =
        Pattern.compile(
                "<input type=\"hidden\" name=\"" + Pattern.quote(name) + "\" value=\"([^\"]*)\"")
            .matcher(oneLine(page));
    if (!matcher.find()) {
      throw new AssertionError("no hidden field " + name);
    }
    return matcher.group(1);
  }

  /** Short name for the static builder that the instance method hides. */
  private static final class MockHttp {
    static MockHttpServletRequestBuilder post(String path) {
      return org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post(path);
    }
  }
}
