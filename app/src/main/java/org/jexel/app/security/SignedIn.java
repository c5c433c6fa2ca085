package org.jexel.app.security;

import java.io.Serial;
import java.util.Collection;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.CredentialsContainer;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/**
 * Who is signed in. A session keeps the name alone: role, and whether this person still works here,
 * are read fresh for every request by {@link FreshRole}.
 */
public final class SignedIn implements UserDetails, CredentialsContainer {
  @Serial private static final long serialVersionUID = 2L;

  private final String signIn;
  private transient @Nullable String passwordHash;
  private transient boolean ended;

  SignedIn(Person person) {
    this.signIn = person.signIn();
    this.passwordHash = person.passwordHash();
    this.ended = person.ended();
  }

  static List<GrantedAuthority> authorities(Role role) {
    return List.of(new SimpleGrantedAuthority("ROLE_" + role.name()));
  }

  @Override
  public Collection<? extends GrantedAuthority> getAuthorities() {
    return List.of();
  }

  @Override
  public @Nullable String getPassword() {
    return passwordHash;
  }

  @Override
  public String getUsername() {
    return signIn;
  }

  @Override
  public boolean isEnabled() {
    return !ended;
  }

  @Override
  public void eraseCredentials() {
    passwordHash = null;
  }
}
