package org.jexel.app.security;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What each person keeps of their own: password and tokens. */
@Service
class Own {
  private static final int MOST_DAYS = 365;
  private static final int LONGEST_LABEL = 60;
  private static final int MOST_TOKENS = 20;

  private final PersonRepository people;
  private final ApiTokenRepository tokens;
  private final Passwords passwords;
  private final Sessions sessions;
  private final SignInTries tries;
  private final Clock clock;

  Own(
      PersonRepository people,
      ApiTokenRepository tokens,
      Passwords passwords,
      Sessions sessions,
      SignInTries tries,
      Clock clock) {
    this.people = people;
    this.tokens = tokens;
    this.passwords = passwords;
    this.sessions = sessions;
    this.tries = tries;
    this.clock = clock;
  }

  /**
   * Changes the password of somebody who knows the old one; every other session of theirs ends.
   *
   * @param here the session that stays
   * @return why it was not changed; null if it was
   */
  @Transactional
  @Nullable String password(
      Person person, String old, String fresh, String again, @Nullable String here) {
    String limit = "old " + person.id();
    Duration wait = tries.take(limit, SignInTries.KNOWN);
    if (!wait.isZero()) {
      return "Too many tries. The next one is looked at in " + (wait.toSeconds() + 1) + " s.";
    }
    Person stored = people.findById(person.id()).orElseThrow();
    if (!passwords.right(stored, old)) {
      return "The old password is another one.";
    }
    tries.giveBack(limit, SignInTries.KNOWN);
    if (!fresh.equals(again)) {
      return "The new password was typed in two ways.";
    }
    String problem = Passwords.problem(fresh);
    if (problem != null) {
      return problem;
    }
    if (fresh.equals(old)) {
      return "This is the old password.";
    }
    stored.password(passwords.hash(fresh), clock.instant());
    sessions.endAll(stored, here);
    return null;
  }

  /** The tokens that work now. */
  @Transactional(readOnly = true)
  List<ApiToken> tokens(Person person) {
    Instant now = clock.instant();
    return tokens.findByPersonIdAndRevokedAtIsNullOrderById(person.id()).stream()
        .filter(token -> token.works(now))
        .toList();
  }

  /**
   * A new token, or why there is none.
   *
   * @param token shown once; null if there is none
   */
  record Made(@Nullable String token, @Nullable String problem) {}

  @Transactional
  Made token(Person person, String label, String days) {
    String name = label.strip();
    if (name.isEmpty() || name.length() > LONGEST_LABEL) {
      return new Made(null, "Name the program that gets it, in at most 60 letters.");
    }
    int lasts = days.matches("\\d{1,4}") ? Integer.parseInt(days) : 0;
    if (lasts < 1 || lasts > MOST_DAYS) {
      return new Made(null, "A token ends after 1 to 365 days.");
    }
    if (tokens(person).size() >= MOST_TOKENS) {
      return new Made(null, "Twenty tokens are in use. Revoke one first.");
    }
    String token = passwords.token();
    Instant now = clock.instant();
    tokens.save(new ApiToken(person, token, name, now, now.plus(Duration.ofDays(lasts))));
    return new Made(token, null);
  }

  /** Takes a token of one's own back. */
  @Transactional
  void revoke(Person person, long id) {
    tokens.findByPersonIdAndRevokedAtIsNullOrderById(person.id()).stream()
        .filter(token -> token.id() == id)
        .forEach(token -> token.revoke(clock.instant()));
  }
}
