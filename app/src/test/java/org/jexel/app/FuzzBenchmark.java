package org.jexel.app;

import java.io.ByteArrayOutputStream;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jexel.app.job.JobRepository;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.web.util.HtmlUtils;

/**
 * Bad inputs over every form, parameter, path, upload and body of one job, which is then opened in
 * full; run by {@code ./bench fuzz [seed]}, not with the tests. Prints what answered 5xx.
 *
 * <p>The forms are read off the pages as a browser gets them, so that a new form is tried too.
 */
@AppTest
class FuzzBenchmark {
  private static final int INPUTS = 10_500;
  private static final int HANDS = 3;
  private static final Pattern FORM =
      Pattern.compile("<form[^>]*method=\"post\"[^>]*>.*?</form>", Pattern.DOTALL);
  private static final Pattern ACTION = Pattern.compile("action=\"([^\"]+)\"");
  private static final Pattern NAME = Pattern.compile("name=\"([^\"]+)\"");
  private static final Pattern NAMED =
      Pattern.compile("name=\"([^\"]+)\"[^>]*? value=\"([^\"]*)\"");

  @LocalServerPort private int port;
  @Autowired private MockMvc mvc;
  @Autowired private JobRepository jobs;

  private final Map<String, Integer> kinds = new TreeMap<>();
  private final Map<String, String> broken = new TreeMap<>();
  private final Map<Integer, Integer> statuses = new TreeMap<>();

  private record Form(String action, Map<String, String> fields) {}

  @Test
  void badInputs() throws Exception {
    long seed = Long.getLong("jexel.seed", 1);
    Walker walker = new Walker(mvc, "electrician");
    String ref = walker.newJob("Fuzzed", "ELECTRIC", "2");
    List<Form> forms = forms(ref);
    long start = System.nanoTime();
    List<Thread> hands = new ArrayList<>();
    for (int i = 0; i < HANDS; i++) {
      int hand = i;
      Thread thread = new Thread(() -> attack(ref, forms, new Nasty(31 * seed + hand)));
      hands.add(thread);
      thread.start();
    }
    for (Thread hand : hands) {
      hand.join();
    }
    int n = kinds.values().stream().mapToInt(Integer::intValue).sum();
    System.out.printf(
        Locale.ROOT,
        "%n%d bad inputs, seed %d, %d forms, %.0f s: %s%nanswers by status: %s%nanswers of 5xx: %d%n",
        n,
        seed,
        forms.size(),
        (System.nanoTime() - start) / 1e9,
        kinds,
        statuses,
        broken.size());
    broken.forEach((what, told) -> System.out.println("  " + told + "  " + what));
    Map<String, Integer> pages = new TreeMap<>(walker.broken(ref));
    for (String other : List.of("J1001", "J1003", "J1006")) {
      pages.putAll(walker.broken(other));
    }
    System.out.println("pages and papers that do not open afterwards: " + pages);
    System.out.println("jobs now: " + jobs.count());
  }

  private List<Form> forms(String ref) throws Exception {
    Http http = signedIn();
    Map<String, Form> forms = new LinkedHashMap<>();
    List<String> pages = new ArrayList<>(Walker.whole(ref));
    pages.addAll(List.of("/jobs/new", "/me", "/workshop/controllers?open=0"));
    for (String page : pages) {
      if (page.contains(".") || page.startsWith("/api")) {
        continue;
      }
      Matcher form = FORM.matcher(http.get(page).body());
      while (form.find()) {
        Matcher action = ACTION.matcher(form.group());
        if (action.find() && !action.group(1).matches(".*(sign-out|/me/.*)")) {
          Map<String, String> fields = new LinkedHashMap<>();
          Matcher name = NAME.matcher(form.group());
          while (name.find()) {
            fields.putIfAbsent(HtmlUtils.htmlUnescape(name.group(1)), "");
          }
          Matcher named = NAMED.matcher(form.group());
          while (named.find()) {
            fields.put(
                HtmlUtils.htmlUnescape(named.group(1)), HtmlUtils.htmlUnescape(named.group(2)));
          }
          forms.put(action.group(1) + fields.keySet(), new Form(action.group(1), fields));
        }
      }
    }
    return List.copyOf(forms.values());
  }

  private Http signedIn() throws Exception {
    Http http = new Http(port);
    http.signIn("electrician", "electrician-valley");
    return http;
  }

  private void attack(String ref, List<Form> forms, Nasty nasty) {
    try {
      Http http = signedIn();
      String token = Walker.hidden(http.get("/me").body(), "_csrf");
      String bearer =
          java.nio.file.Files.readString(
                  java.nio.file.Path.of(System.getenv("JEXEL_TEST_DATA"), "demo-token"))
              .strip();
      for (int i = 0; i < INPUTS / HANDS; i++) {
        switch (nasty.below(10)) {
          case 0 -> got(http, "path", path(ref, nasty));
          case 1, 2 -> got(http, "parameter", parameters(ref, nasty));
          case 3 -> upload(http, ref, token, nasty);
          case 4 -> body(http, ref, bearer, nasty);
          default -> form(http, nasty.one(forms), token, nasty);
        }
      }
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
  }

  private static String encoded(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }

  private static String path(String ref, Nasty nasty) {
    String odd = encoded(nasty.text()).replace("+", "%20");
    return nasty.one(
        List.of(
            "/jobs/" + odd,
            "/jobs/" + odd + "/rig",
            "/jobs/" + ref + "/" + odd,
            "/jobs/" + ref + "/bench/log/" + odd,
            "/h/" + odd,
            "/h?code=" + odd,
            "/api/jobs/" + odd + "/checks",
            "/static/" + odd,
            "/workshop/" + odd,
            "/" + odd));
  }

  private static String parameters(String ref, Nasty nasty) {
    String page =
        nasty.one(
            List.of(
                "/jobs/" + ref + "/rig?card=",
                "/jobs/" + ref + "/harness?again=true&card=plan&state=",
                "/jobs/" + ref + "/harness?card=what-if&fault=",
                "/jobs/" + ref + "/cab?card=",
                "/jobs/" + ref + "/bench?card=",
                "/jobs/" + ref + "/bench?card=finder&start=",
                "/jobs/" + ref + "/bench?card=tester&plugged=true&state=",
                "/jobs/" + ref + "/road?corrects=",
                "/?page=",
                "/?q=",
                "/sign-in?wait=",
                "/workshop/controllers?open=",
                "/workshop/controllers?taken=",
                "/api/jobs/" + ref + "/network?state=tail&fault="));
    return page + encoded(nasty.text());
  }

  private void form(Http http, Form form, String token, Nasty nasty) throws Exception {
    Map<String, String> fields = new HashMap<>(form.fields());
    for (String name : form.fields().keySet()) {
      if (nasty.below(3) > 0) {
        fields.put(name, nasty.text());
      }
      if (nasty.below(20) == 0) {
        fields.remove(name);
      }
    }
    if (nasty.below(10) == 0) {
      fields.put(nasty.text(), nasty.text());
    }
    fields.put("_csrf", token);
    told("form", form.action() + " " + fields, http.post(form.action(), fields).statusCode());
  }

  private void upload(Http http, String ref, String token, Nasty nasty) throws Exception {
    String path =
        nasty.one(
            List.of(
                "/jobs/" + ref + "/bench/log",
                "/jobs/" + ref + "/harness/connector",
                "/workshop/controllers/file"));
    ByteArrayOutputStream body = new ByteArrayOutputStream();
    String line = "--xyz\r\nContent-Disposition: form-data; name=\"";
    body.write((line + "_csrf\"\r\n\r\n" + token + "\r\n").getBytes());
    String name = nasty.text().replaceAll("[\"\\p{Cntrl}]", "");
    body.write(
        (line + "file\"; filename=\"" + name + "\"\r\n\r\n").getBytes(StandardCharsets.UTF_8));
    body.write(nasty.bytes());
    body.write("\r\n--xyz--\r\n".getBytes());
    told(
        "upload",
        path,
        http.send(path, "multipart/form-data; boundary=xyz", body.toByteArray(), null));
  }

  private void body(Http http, String ref, String bearer, Nasty nasty) throws Exception {
    String json = nasty.json(0);
    int status =
        http.send(
            "/api/jobs/" + ref + "/diagnosis",
            nasty.one(List.of("application/json", "application/json", "text/plain")),
            json.getBytes(StandardCharsets.UTF_8),
            bearer);
    told("body", json, status);
  }

  private void got(Http http, String kind, String path) throws Exception {
    told(kind, path, http.get(path).statusCode());
  }

  private synchronized void told(String kind, String what, int status) {
    kinds.merge(kind, 1, Integer::sum);
    statuses.merge(status, 1, Integer::sum);
    if (status >= 500) {
      broken.putIfAbsent(what.length() > 400 ? what.substring(0, 400) : what, kind + " " + status);
    }
  }
}
