package org.jexel.app.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jexel.app.AppTest;
import org.jexel.app.Http;
import org.jexel.app.Walker;
import org.jexel.app.workshop.Workshop;
import org.jexel.app.workshop.WorkshopRepository;
import org.jexel.core.rig.TongueBand;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.security.crypto.password.PasswordEncoder;

/** The owner keeps the people; each keeps their own password, sessions and tokens. */
@AppTest
class PeopleTest {
  private static final Pattern ONCE = Pattern.compile("<code>([a-z0-9]{16,40})</code>");
  private static final Pattern SESSION = Pattern.compile("value=\"([0-9a-f]{64})\"");

  @Autowired private PersonRepository people;
  @Autowired private WorkshopRepository workshops;
  @Autowired private PasswordEncoder passwords;
  @Autowired private ApiTokenRepository tokens;
  @LocalServerPort private int port;

  private String ownerName;
  private Person boss;
  private Http owner;

  @BeforeEach
  void workshop() throws Exception {
    ownerName = "boss-" + UUID.randomUUID().toString().substring(0, 8);
    Workshop shop =
        workshops.save(
            new Workshop(
                "Upper Valley",
                ZoneOffset.UTC,
                TongueBand.NORTH_AMERICA,
                Workshop.WireStock.GAUGE));
    boss =
        people.save(
            new Person(shop, ownerName, "Bela Oss", passwords.encode("boss-long-1"), Role.OWNER));
    owner = signedIn(ownerName, "boss-long-1");
  }

  private Http signedIn(String name, String password) throws Exception {
    Http there = new Http(port);
    there.signIn(name, password);
    return there;
  }

  private static String post(Http who, String path, Map<String, String> fields) throws Exception {
    Map<String, String> all = new HashMap<>(fields);
    all.put("_csrf", Walker.hidden(who.get("/me").body(), "_csrf"));
    return who.post(path, all).body();
  }

  private static String once(String page) {
    Matcher shown = ONCE.matcher(page);
    assertThat(shown.find()).as("a secret shown once").isTrue();
    return shown.group(1);
  }

  private String[] added(String role) throws Exception {
    String name = "hand-" + UUID.randomUUID().toString().substring(0, 8);
    String page =
        post(owner, "/people", Map.of("name", "Hanno Velt", "signIn", name, "role", role));
    return new String[] {name, once(page)};
  }

  private long id(String signIn) {
    return people.findBySignIn(signIn).orElseThrow().id();
  }

  private static boolean in(Http who) throws Exception {
    return who.get("/").uri().getPath().equals("/");
  }

  @Test
  void theOwnerAddsAPersonWhoSignsInWithThePasswordShownOnce() throws Exception {
    String[] hand = added("ELECTRICIAN");
    assertThat(owner.get("/people").body()).contains("Hanno Velt").doesNotContain(hand[1]);
    Http there = new Http(port);
    assertThat(there.signIn(hand[0], hand[1]).body()).contains("Upper Valley");
    assertThat(there.get("/people").statusCode()).isEqualTo(403);
    Map<String, String> same =
        Map.of("name", "X", "signIn", hand[0].toUpperCase(), "role", "VIEWER");
    assertThat(post(owner, "/people", same)).contains("is taken");
    Map<String, String> nobody = Map.of("name", "", "signIn", "y", "role", "KING");
    assertThat(post(owner, "/people", nobody)).contains("Fill in");
  }

  @Test
  void aRoleIsChangedAndSomebodyLeavesAndComesBack() throws Exception {
    String[] hand = added("ELECTRICIAN");
    Http there = signedIn(hand[0], hand[1]);
    String token = once(post(there, "/me/tokens", Map.of("label", "lamp list", "days", "30")));
    assertThat(there.api("/api/jobs", token)).isEqualTo(200);
    post(owner, "/people/" + id(hand[0]) + "/role", Map.of("role", "VIEWER"));
    assertThat(there.get("/").body()).doesNotContain("id=\"new-job\"");
    post(owner, "/people/" + id(hand[0]) + "/end", Map.of());
    assertThat(in(there)).isFalse();
    assertThat(there.api("/api/jobs", token)).isEqualTo(401);
    assertThat(there.signIn(hand[0], hand[1]).uri().toString()).contains("refused");
    String fresh = once(post(owner, "/people/" + id(hand[0]) + "/back", Map.of()));
    assertThat(there.signIn(hand[0], fresh).body()).contains("Upper Valley");
  }

  @Test
  void theLastOwnerStays() throws Exception {
    assertThat(post(owner, "/people/" + boss.id() + "/end", Map.of()))
        .contains("last owner cannot");
    assertThat(post(owner, "/people/" + boss.id() + "/role", Map.of("role", "VIEWER")))
        .contains("at least one owner");
    String[] second = added("OWNER");
    post(owner, "/people/" + boss.id() + "/role", Map.of("role", "VIEWER"));
    assertThat(owner.get("/people").statusCode()).isEqualTo(403);
    Http other = signedIn(second[0], second[1]);
    assertThat(post(other, "/people/" + id(second[0]) + "/end", Map.of()))
        .contains("last owner cannot");
    assertThat(in(other)).isTrue();
  }

  @Test
  void nobodyOfAnotherWorkshopIsTouched() throws Exception {
    Map<String, String> fields =
        Map.of("role", "OWNER", "_csrf", Walker.hidden(owner.get("/me").body(), "_csrf"));
    for (String act : List.of("role", "end", "password", "back")) {
      String path = "/people/" + id("viewer") + "/" + act;
      assertThat(owner.post(path, fields).statusCode()).as(path).isEqualTo(404);
    }
    assertThat(people.findBySignIn("viewer").orElseThrow().role()).isEqualTo(Role.VIEWER);
  }

  private String change(String old, String fresh, String again) throws Exception {
    return post(owner, "/me/password", Map.of("old", old, "fresh", fresh, "again", again));
  }

  @Test
  void aPasswordIsChangedWithTheOldOneAndEndsTheOtherSessions() throws Exception {
    Http phone = signedIn(ownerName, "boss-long-1");
    assertThat(change("not this one", "boss-long-2", "boss-long-2")).contains("another one");
    assertThat(change("boss-long-1", "boss-long-2", "boss-long-3")).contains("two ways");
    assertThat(change("boss-long-1", "brief", "brief")).contains("10 characters");
    assertThat(change("boss-long-1", "ж".repeat(40), "ж".repeat(40))).contains("72 plain letters");
    assertThat(in(phone)).isTrue();
    assertThat(change("boss-long-1", "boss-long-2", "boss-long-2")).contains("is changed");
    assertThat(in(phone)).isFalse();
    assertThat(in(owner)).isTrue();
    assertThat(in(signedIn(ownerName, "boss-long-1"))).isFalse();
    assertThat(in(signedIn(ownerName, "boss-long-2"))).isTrue();
  }

  @Test
  void sessionsAreSeenAndEnded() throws Exception {
    Http phone = signedIn(ownerName, "boss-long-1");
    String page = owner.get("/me").body();
    assertThat(page).contains("this one", "Computer or tablet at 127.0.0.1", "End all others");
    Matcher other = SESSION.matcher(page);
    assertThat(other.find()).isTrue();
    post(owner, "/me/sessions", Map.of("session", other.group(1)));
    assertThat(in(phone)).isFalse();
    phone.signIn(ownerName, "boss-long-1");
    post(owner, "/me/sessions", Map.of("session", "others"));
    assertThat(in(phone)).isFalse();
    assertThat(in(owner)).isTrue();
  }

  @Test
  void aTokenHasAnEndAndIsTakenBack() throws Exception {
    assertThat(post(owner, "/me/tokens", Map.of("label", "x", "days", "0"))).contains("1 to 365");
    assertThat(post(owner, "/me/tokens", Map.of("label", " ", "days", "5"))).contains("Name the");
    String token = once(post(owner, "/me/tokens", Map.of("label", "stock list", "days", "5")));
    assertThat(owner.get("/me").body()).contains("stock list").doesNotContain(token);
    assertThat(owner.api("/api/jobs", token)).isEqualTo(200);
    ApiToken kept = tokens.findByTokenHash(ApiToken.hash(token)).orElseThrow();
    assertThat(kept.works(kept.endsAt().minusSeconds(1))).isTrue();
    assertThat(kept.works(kept.endsAt())).isFalse();
    post(owner, "/me/tokens/" + kept.id() + "/revoke", Map.of());
    assertThat(owner.api("/api/jobs", token)).isEqualTo(401);
  }
}
