package org.jexel.app.security;

import java.io.Serial;
import java.util.Collection;
import java.util.List;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** Who is signed in: just enough to keep in a session; everything else is read fresh. */
public final class SignedIn implements UserDetails {
  @Serial private static final long serialVersionUID = 1L;

  private final String signIn;
  private final String passwordHash;
  private final Role role;

  SignedIn(Person person) {
    this.signIn = person.signIn();
    this.passwordHash = person.passwordHash();
    this.role = person.role();
  }

  @Override
  public Collection<? extends GrantedAuthority> getAuthorities() {
    return List.of(new SimpleGrantedAuthority("ROLE_" + role.name()));
  }

  @Override
  public String getPassword() {
    return passwordHash;
  }

  @Override
  public String getUsername() {
    return signIn;
  }
}
