package org.jexel.app.security;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ThreadLocalRandom;
import java.util.stream.IntStream;
import javax.sql.DataSource;
import org.jexel.app.AppTest;
import org.jexel.app.Http;
import org.jexel.app.Walker;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.test.web.servlet.MockMvc;

/** Guessing is slowed down whatever road it takes, and keeps nobody out who knows the password. */
@AppTest
class SignInTest {
  private static final String RIGHT = "right-and-long-1";

  @Autowired private MockMvc mvc;
  @Autowired private JdbcTemplate sql;
  @Autowired private PersonRepository people;
  @Autowired private PasswordEncoder passwords;
  @Autowired private DataSource database;
  @LocalServerPort private int port;

  private Person person;
  private String name;
  private int address;

  @BeforeEach
  void somebody() {
    name = "Ruben" + UUID.randomUUID().toString().substring(0, 6);
    person =
        people.save(
            new Person(
                people.findBySignIn("owner").orElseThrow().workshop(),
                name,
                "Ruben Orsk",
                passwords.encode(RIGHT),
                Role.VIEWER));
    address = ThreadLocalRandom.current().nextInt(60_000);
  }

  /** Every test of this application signs in from here. */
  @AfterEach
  void forget() {
    sql.update("delete from sign_in_try");
  }

  /** An address of this test's own, so that no other test meets its limits. */
  private String address(int number) {
    return "10.77.%d.%d".formatted((address + number) / 250 % 250, (address + number) % 250);
  }

  private String signIn(String typed, String password, String from) throws Exception {
    return mvc.perform(
            post(URI.create("/sign-in"))
                .with(csrf())
                .with(
                    request -> {
                      request.setRemoteAddr(from);
                      return request;
                    })
                // Nobody configured a proxy: what this says is not believed.
                .header("X-Forwarded-For", "192.0.2." + ThreadLocalRandom.current().nextInt(250))
                .param("username", typed)
                .param("password", password))
        .andReturn()
        .getResponse()
        .getRedirectedUrl();
  }

  private boolean lookedAt(String leads) {
    return "/sign-in?refused".equals(leads);
  }

  @Test
  void aNameHasOneLimitHoweverItIsWrittenAndWhereverItIsTried() throws Exception {
    List<String> written =
        List.of(name, name.toUpperCase(), " " + name + " ", name.replace('u', 'ú'), name + "  ");
    int seen = 0;
    for (int i = 0; i < 60; i++) {
      // Each guess comes from another address, as a net of many machines would send it.
      seen += lookedAt(signIn(written.get(i % 5), "guess-" + i, address(i))) ? 1 : 0;
    }
    assertThat(seen).isBetween(8, 14);
    assertThat(signIn(name, RIGHT, address(999))).startsWith("/sign-in?wait=");
  }

  /** What the server decodes is one address, however it is written. */
  @Test
  void noOtherWayOfWritingTheAddressLeadsRoundTheLimit() throws Exception {
    Http attacker = new Http(port);
    int seen = 0;
    for (int i = 0; i < 40; i++) {
      String token = Walker.hidden(attacker.get("/sign-in").body(), "_csrf");
      String path = List.of("/sign-in", "/sign%2Din", "/%73ign-in", "/sign-in;x=1").get(i % 4);
      String leads = attacker.postAs(path, name, "guess-" + i, token);
      seen += leads.contains("refused") ? 1 : 0;
      assertThat(leads).doesNotStartWith("5");
    }
    assertThat(seen).isBetween(5, 14);
  }

  @Test
  void anAddressThatSpraysNamesHasALimitToo() throws Exception {
    int seen = 0;
    for (int i = 0; i < 80; i++) {
      seen += lookedAt(signIn("nobody-" + name + i, "guess", address(0))) ? 1 : 0;
    }
    assertThat(seen).isBetween(28, 50);
  }

  @Test
  void whoKnowsThePasswordIsNotKeptOutByOthersGuesses() throws Exception {
    String home = address(500);
    assertThat(signIn(name, RIGHT, home)).isEqualTo("/");
    for (int i = 0; i < 40; i++) {
      signIn(name, "guess-" + i, address(i));
    }
    assertThat(signIn(name, RIGHT, address(600))).startsWith("/sign-in?wait=");
    assertThat(signIn(name, RIGHT, home)).isEqualTo("/");
    assertThat(signIn(name, "slip of the hand", home)).isEqualTo("/sign-in?refused");
    assertThat(signIn(name, RIGHT, home)).isEqualTo("/");
  }

  /** Buckets lie in the database: a new server, or this one after a restart, counts on. */
  @Test
  void anotherServerKnowsTheTriesAndThePausesGrow() {
    String key = "test " + name;
    SignInTries one = new SignInTries(database);
    for (int i = 0; i < 10; i++) {
      assertThat(one.take(key, SignInTries.NAME)).isZero();
    }
    assertThat(new SignInTries(database).take(key, SignInTries.NAME)).isPositive();
    assertThat(
            SignInTries.NAME.get(0).getRefillPeriodNanos() / SignInTries.NAME.get(0).getCapacity())
        .isLessThan(
            SignInTries.NAME.get(2).getRefillPeriodNanos() / SignInTries.NAME.get(2).getCapacity());
  }

  /** A morning: everybody of a workshop signs in at the same moment, from one address. */
  @Test
  void manyFirstTriesAtOnceStandInNobodysWay() throws Exception {
    SignInTries tries = new SignInTries(database);
    for (int round = 0; round < 5; round++) {
      String key = "round " + round + name;
      List<CompletableFuture<Boolean>> all =
          IntStream.range(0, 16)
              .mapToObj(
                  i ->
                      CompletableFuture.supplyAsync(
                          () -> tries.take(key, SignInTries.ADDRESS).isZero()))
              .toList();
      for (CompletableFuture<Boolean> one : all) {
        assertThat(one.get()).isTrue();
      }
    }
  }

  @Test
  void thePauseIsTold() throws Exception {
    assertThat(page("/sign-in?wait=37")).contains("looked at in 37 s");
    assertThat(page("/sign-in?wait=x")).doesNotContain("Too many");
  }

  private String page(String path) throws Exception {
    return mvc.perform(get(path)).andReturn().getResponse().getContentAsString();
  }

  /**
   * That a visitor has none at all is seen in RunCommandIT: MockMvc keeps form tokens in sessions.
   */
  @Test
  void aSessionHoldsNeitherPasswordNorRole() throws Exception {
    new Http(port).signIn(name, RIGHT);
    for (byte[] kept :
        sql.queryForList(
            "select ATTRIBUTE_BYTES from SPRING_SESSION_ATTRIBUTES a join SPRING_SESSION s"
                + " on a.SESSION_PRIMARY_ID = s.PRIMARY_ID where PRINCIPAL_NAME = ?",
            byte[].class,
            name)) {
      assertThat(new String(kept, StandardCharsets.ISO_8859_1))
          .doesNotContain("$2a$")
          .doesNotContain("ROLE_");
    }
  }

  @Test
  void aRoleHoldsFromTheNextClickAndWhoLeftIsSignedOut() throws Exception {
    Http there = new Http(port);
    there.signIn(name, RIGHT);
    assertThat(there.get("/").body()).doesNotContain("id=\"new-job\"");
    sql.update("update person set role = 'ELECTRICIAN' where id = ?", person.id());
    assertThat(there.get("/").body()).contains("id=\"new-job\"");
    sql.update("update person set ended_at = now(3) where id = ?", person.id());
    assertThat(there.get("/").uri().getPath()).isEqualTo("/sign-in");
    assertThat(there.signIn(name, RIGHT).uri().toString()).contains("refused");
  }

  /** A page of a browser that asks the programming interface without a token stays signed in. */
  @Test
  void whatAProgramMayNotDoesNotEndASession() throws Exception {
    Http there = new Http(port);
    there.signIn(name, RIGHT);
    assertThat(there.get("/api/jobs").statusCode()).isEqualTo(401);
    assertThat(there.get("/").uri().getPath()).isEqualTo("/");
  }

  @Test
  void aSessionEndsAfterAWorkingDay() throws Exception {
    Http there = new Http(port);
    there.signIn(name, RIGHT);
    assertThat(there.get("/").uri().getPath()).isEqualTo("/");
    sql.update(
        "update SPRING_SESSION set CREATION_TIME = CREATION_TIME - 43200000 - 1000"
            + " where PRINCIPAL_NAME = ?",
        name);
    assertThat(there.get("/").uri().getPath()).isEqualTo("/sign-in");
  }

  @Test
  void onlyTheConfiguredAddressIsAnswered() throws Exception {
    MockHttpServletResponse stranger =
        mvc.perform(
                get("/sign-in")
                    .with(
                        request -> {
                          request.setServerName("evil.example");
                          return request;
                        }))
            .andReturn()
            .getResponse();
    assertThat(stranger.getStatus()).isEqualTo(421);
  }

  @Test
  void overHttpsTransportIsStrictAndCookiesAreSecure() throws Exception {
    MockHttpServletResponse answer =
        mvc.perform(get("/sign-in").secure(true)).andReturn().getResponse();
    assertThat(answer.getHeader("Strict-Transport-Security")).contains("max-age");
    assertThat(answer.getHeaders("Set-Cookie")).allMatch(cookie -> cookie.contains("Secure"));
    MockHttpServletResponse api = mvc.perform(get("/api/jobs")).andReturn().getResponse();
    assertThat(api.getStatus()).isEqualTo(401);
    assertThat(api.getHeader("Content-Security-Policy")).contains("default-src 'self'");
    assertThat(api.getHeader("X-Content-Type-Options")).isEqualTo("nosniff");
  }

  @Test
  void aViewerOpensEveryPageByHeadToo() throws Exception {
    Http viewer = new Http(port);
    viewer.signIn(name, RIGHT);
    assertThat(viewer.head("/jobs/J1001/rig")).isEqualTo(200);
    assertThat(viewer.head("/")).isEqualTo(200);
  }
}
