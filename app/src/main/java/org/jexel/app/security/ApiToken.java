package org.jexel.app.security;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.HexFormat;
import org.jspecify.annotations.Nullable;

/** A bearer token of the programming interface; only its SHA-256 is kept. */
@Entity
public class ApiToken {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private String tokenHash;
  private Instant createdAt;
  private String label;
  private @Nullable Instant endsAt;
  private @Nullable Instant revokedAt;
  private @Nullable Instant usedAt;

  protected ApiToken() {}

  /**
   * @param endsAt null for one that works until it is revoked
   */
  public ApiToken(
      Person person, String token, String label, Instant createdAt, @Nullable Instant endsAt) {
    this.label = label;
    this.endsAt = endsAt;
    this.person = person;
    this.tokenHash = hash(token);
    this.createdAt = createdAt;
  }

  public Person person() {
    return person;
  }

  public Long id() {
    return id;
  }

  public String label() {
    return label;
  }

  public Instant createdAt() {
    return createdAt;
  }

  public @Nullable Instant endsAt() {
    return endsAt;
  }

  public @Nullable Instant usedAt() {
    return usedAt;
  }

  /** Whether it still opens anything at this moment. */
  public boolean works(Instant now) {
    return revokedAt == null && (endsAt == null || now.isBefore(endsAt)) && !person.ended();
  }

  void revoke(Instant at) {
    this.revokedAt = at;
  }

  static String hash(String token) {
    try {
      MessageDigest digest = MessageDigest.getInstance("SHA-256");
      return HexFormat.of().formatHex(digest.digest(token.getBytes(StandardCharsets.UTF_8)));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
