package org.jexel.app.security;

import io.github.bucket4j.Bandwidth;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.Period;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Component;

/**
 * Looks at a password, unless too many were tried before. It stands where every sign-in passes,
 * under whatever address it was posted.
 *
 * <p>A name and an address have a limit each. Whoever guesses at a name from elsewhere does not
 * keep its owner out: where the right password was given before, that name has tries of its own.
 */
@Component
class ThrottledSignIn implements AuthenticationProvider {
  /** How long an address is known. */
  private static final Period REMEMBERED = Period.ofDays(180);

  private final PersonRepository people;
  private final SignInPlaceRepository places;
  private final SignInTries tries;
  private final Clock clock;
  private final DaoAuthenticationProvider passwords;

  ThrottledSignIn(
      PersonRepository people,
      SignInPlaceRepository places,
      SignInTries tries,
      Clock clock,
      UserDetailsService details,
      PasswordEncoder encoder) {
    this.people = people;
    this.places = places;
    this.tries = tries;
    this.clock = clock;
    this.passwords = new DaoAuthenticationProvider(details);
    this.passwords.setPasswordEncoder(encoder);
  }

  @Override
  public Authentication authenticate(Authentication given) {
    String address = address(given);
    Optional<Person> person = people.findBySignIn(SignInName.of(given.getName()));
    Map<String, List<Bandwidth>> limits = limits(given.getName(), person, address);
    for (Map.Entry<String, List<Bandwidth>> limit : limits.entrySet()) {
      Duration wait = tries.take(limit.getKey(), limit.getValue());
      if (!wait.isZero()) {
        throw new TooManyTries(wait);
      }
    }
    Authentication right = passwords.authenticate(given);
    limits.forEach(tries::giveBack);
    person.ifPresent(p -> remember(p, address));
    return right;
  }

  private Map<String, List<Bandwidth>> limits(
      String typed, Optional<Person> person, String address) {
    Map<String, List<Bandwidth>> limits = new LinkedHashMap<>();
    if (person.filter(p -> known(p, address)).isPresent()) {
      limits.put("known " + person.get().id() + " " + place(address), SignInTries.KNOWN);
      return limits;
    }
    // The person, where there is one: however the name is written, it is one name.
    String name =
        person
            .map(p -> "person " + p.id())
            .orElseGet(
                () -> "name " + ApiToken.hash(SignInName.of(typed).toLowerCase(Locale.ROOT)));
    limits.put("address " + place(address), SignInTries.ADDRESS);
    limits.put(name, SignInTries.NAME);
    return limits;
  }

  private boolean known(Person person, String address) {
    Instant since = clock.instant().atOffset(ZoneOffset.UTC).minus(REMEMBERED).toInstant();
    return places
        .findByPersonIdAndPlace(person.id(), place(address))
        .filter(place -> place.lastAt().isAfter(since))
        .isPresent();
  }

  private void remember(Person person, String address) {
    SignInPlace place =
        places
            .findByPersonIdAndPlace(person.id(), place(address))
            .orElseGet(() -> new SignInPlace(person.id(), place(address)));
    place.at(clock.instant());
    try {
      places.save(place);
    } catch (DataIntegrityViolationException together) {
      // Two sign-ins at the same moment: the other one has just written the same row.
      return;
    }
  }

  private static String place(String address) {
    return ApiToken.hash(address);
  }

  private static String address(Authentication given) {
    return given.getDetails() instanceof WebAuthenticationDetails web
        ? web.getRemoteAddress()
        : "unknown";
  }

  @Override
  public boolean supports(Class<?> type) {
    return passwords.supports(type);
  }
}
