package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrlPattern;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jexel.app.job.JobRepository;
import org.jexel.app.security.Person;
import org.jexel.app.security.PersonRepository;
import org.jexel.app.security.Role;
import org.jexel.app.workshop.Workshop;
import org.jexel.app.workshop.WorkshopRepository;
import org.jexel.core.rig.TongueBand;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.data.domain.Limit;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.test.web.servlet.MockMvc;

/** Who may see and change what. */
@AppTest
class AccessTest {
  private static final List<String> CHANGES =
      List.of(
          "/jobs",
          "/jobs/J1001/figures/vehicle",
          "/jobs/J1001/rig/lamps",
          "/jobs/J1001/rig/lamps/add",
          "/jobs/J1001/rig/load",
          "/jobs/J1001/rig/load/1/remove",
          "/jobs/J1001/cab/signal",
          "/jobs/J1001/cab/plug",
          "/jobs/J1001/cab/mounting",
          "/jobs/J1001/cab/panel",
          "/jobs/J1001/cab/power",
          "/jobs/J1001/harness/steps",
          "/jobs/J1001/harness/colours",
          "/jobs/J1001/harness/move",
          "/jobs/J1001/harness/undo",
          "/jobs/J1001/harness/issue",
          "/jobs/J1001/harness/connector",
          "/jobs/J1001/bench/supply.battery",
          "/jobs/J1001/bench/supply.battery/draft",
          "/jobs/J1001/bench/mended",
          "/jobs/J1001/bench/log",
          "/jobs/J1001/bench/meter/hide",
          "/jobs/J1001/helper",
          "/jobs/J1001/alone",
          "/people",
          "/people/1/role",
          "/people/1/end",
          "/people/1/password",
          "/jobs/J1001/road/stops",
          "/jobs/J1001/road/draft",
          "/jobs/J1001/road/gate",
          "/jobs/J1001/road/volts",
          "/jobs/J1001/road/curve",
          "/jobs/J1001/road/simulated",
          "/jobs/J1001/road/settle-even",
          "/jobs/J1001/road/settle",
          "/jobs/J1001/before",
          "/jobs/J1001/photographs",
          "/jobs/J1001/photographs/1",
          "/jobs/J1001/driver");

  @Autowired private MockMvc mvc;
  @Autowired private JobRepository jobs;
  @Autowired private PersonRepository people;
  @Autowired private WorkshopRepository workshops;
  @Autowired private PasswordEncoder passwords;

  @Value("${jexel.data}")
  private String data;

  private String token() throws Exception {
    return Files.readString(Path.of(data, "demo-token")).strip();
  }

  @Test
  void aViewerChangesNothingByRequest() throws Exception {
    Walker viewer = new Walker(mvc, "viewer");
    for (String path : CHANGES) {
      assertThat(viewer.post(path, Map.of("requestKey", "v")).getStatus()).as(path).isEqualTo(403);
    }
  }

  @Test
  void aViewersPagesOfferNoForms() throws Exception {
    Walker viewer = new Walker(mvc, "viewer");
    assertThat(viewer.page("/")).doesNotContain("id=\"new-job\"");
    assertThat(viewer.page("/jobs/J1003/rig?card=vehicle")).contains("<fieldset disabled");
    assertThat(viewer.page("/jobs/J1003/bench")).doesNotContain("name=\"reading\"");
    assertThat(viewer.page("/jobs/J1003/road")).doesNotContain("Record the stop");
  }

  @Test
  void nobodyPostsWithoutTheFormsOwnToken() throws Exception {
    Walker electrician = new Walker(mvc, "electrician");
    for (String path : CHANGES) {
      assertThat(electrician.postWithoutCsrf(path)).as(path).isEqualTo(403);
    }
  }

  @Test
  void aStrangerIsSentToTheSignIn() throws Exception {
    for (String path : List.of("/", "/jobs/J1001/rig", "/jobs/J1001/report.pdf", "/jobs/new")) {
      mvc.perform(get(path)).andExpect(redirectedUrlPattern("**/sign-in"));
    }
  }

  @Test
  void aJobOfAnotherWorkshopDoesNotExist() throws Exception {
    Workshop other =
        workshops.save(
            new Workshop(
                "Hill Workshop",
                ZoneOffset.UTC,
                TongueBand.LIGHT_COUPLINGS,
                Workshop.WireStock.METRIC));
    people.save(
        new Person(other, "owner-hill", "Orla Venn", passwords.encode("owner-hill-1"), Role.OWNER));
    Walker stranger = new Walker(mvc, "owner-hill");
    String rig = new Walker(mvc, "electrician").page("/jobs/J1001/rig?card=job");
    String picture = rig.replaceFirst("(?s).*(/jobs/J1001/pictures/[0-9a-f]{64}).*", "$1");
    assertThat(new Walker(mvc, "viewer").answer(picture + ".jpg").getStatus()).isEqualTo(200);
    for (String path :
        List.of(
            "/jobs/J1001/rig",
            "/jobs/J1006/report.pdf",
            "/jobs/J1003/road",
            "/jobs/J1001/photographs",
            picture + ".jpg",
            picture + "-small.jpg")) {
      assertThat(stranger.answer(path).getStatus()).as(path).isEqualTo(404);
    }
    assertThat(stranger.post("/jobs/J1001/figures/vehicle", Map.of("KERB_MASS.0", "1")).getStatus())
        .isEqualTo(404);
    assertThat(stranger.page("/")).doesNotContain("J1001").contains("No job yet");
  }

  @Test
  void theRightPasswordLeadsToTheBoard() throws Exception {
    assertThat(signIn("owner", "owner-valley")).isEqualTo("/");
    assertThat(signIn("owner", "owner-Valley")).isEqualTo("/sign-in?refused");
  }

  private String signIn(String name, String password) throws Exception {
    return mvc.perform(
            post("/sign-in").with(csrf()).param("username", name).param("password", password))
        .andReturn()
        .getResponse()
        .getRedirectedUrl();
  }

  @Test
  void theFirstOwnerPageWorksOnlyOnAnEmptyInstallation() throws Exception {
    mvc.perform(get("/first-owner")).andExpect(redirectedUrl("/sign-in"));
    long before = people.count();
    mvc.perform(
            post("/first-owner")
                .with(csrf())
                .param("workshop", "Mine")
                .param("name", "Me")
                .param("signIn", "me")
                .param("password", "long-enough-1"))
        .andExpect(redirectedUrl("/sign-in"));
    assertThat(people.count()).isEqualTo(before);
  }

  @Test
  void theProgrammingInterfaceTakesABearerTokenAlone() throws Exception {
    mvc.perform(get("/api/jobs"))
        .andExpect(status().isUnauthorized())
        .andExpect(header().string("WWW-Authenticate", "Bearer"));
    mvc.perform(get("/api/jobs").header("Authorization", "Bearer nonsense"))
        .andExpect(status().isUnauthorized());
    mvc.perform(get("/api/jobs").header("Authorization", "Bearer " + token()))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$[0].ref").value("J1001"))
        .andExpect(jsonPath("$[0].title").exists())
        .andExpect(jsonPath("$[0].stations.rig").exists())
        .andExpect(jsonPath("$[5].stations.handover").value("holds"));
  }

  @Test
  void jobsComeInPagesThatLeadToEachOther() throws Exception {
    List<String> refs = new ArrayList<>();
    String next = "/api/jobs?limit=4";
    while (next != null) {
      MockHttpServletResponse page =
          mvc.perform(get(next).header("Authorization", "Bearer " + token()))
              .andExpect(status().isOk())
              .andReturn()
              .getResponse();
      List<String> told = JsonPath.read(page.getContentAsString(), "$[*].ref");
      assertThat(told).hasSizeBetween(1, 4);
      refs.addAll(told);
      String link = page.getHeader("Link");
      next = link == null ? null : link.substring(1, link.indexOf('>'));
    }
    assertThat(refs).startsWith("J1001", "J1002", "J1003", "J1004", "J1005", "J1006");
    assertThat(refs).doesNotHaveDuplicates().hasSize(ofTheValley());
    for (String asked : List.of("limit=0", "limit=501", "after=J9999")) {
      mvc.perform(get("/api/jobs?" + asked).header("Authorization", "Bearer " + token()))
          .andExpect(status().isBadRequest());
    }
  }

  private int ofTheValley() {
    return jobs.findByWorkshopIdAndIdGreaterThanOrderById(1L, 0L, Limit.unlimited()).size();
  }

  @Test
  void theTokenFileIsForItsOwnerOnly() throws Exception {
    assertThat(
            PosixFilePermissions.toString(
                Files.getPosixFilePermissions(Path.of(data, "demo-token"))))
        .isEqualTo("rw-------");
    assertThat(token()).hasSizeGreaterThanOrEqualTo(32);
  }

  @Test
  void theProgrammingInterfaceDescribesItself() throws Exception {
    mvc.perform(get("/api/openapi")).andExpect(redirectedUrlPattern("**/sign-in"));
    mvc.perform(get("/api/openapi").header("Authorization", "Bearer " + token()))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.paths['/api/jobs'].get.summary").exists())
        .andExpect(jsonPath("$.components.securitySchemes.token.scheme").value("bearer"));
  }
}
