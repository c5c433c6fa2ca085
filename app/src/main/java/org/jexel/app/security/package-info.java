/**
 * Who may come in, and as what: sign-in, roles, sessions, tokens, throttles, headers.
 *
 * <p>May touch {@code workshop}.
 */
@NullMarked
package org.jexel.app.security;

import org.jspecify.annotations.NullMarked;
