package org.jexel.app.security;

import jakarta.servlet.http.HttpServletResponse;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.Customizer;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;

/**
 * Who may do what. Pages sign in by form with a session; {@code /api/**} by bearer token, without a
 * session. A viewer reads everything of the workshop and changes nothing but the units shown.
 */
@Configuration
class SecurityConfig {
  /** No inline script or style anywhere; everything comes from this application. */
  private static final String CONTENT_POLICY =
      "default-src 'self'; script-src 'self'; style-src 'self'; img-src 'self' data:; "
          + "font-src 'self'; connect-src 'self'; object-src 'none'; base-uri 'self'; "
          + "form-action 'self'; frame-ancestors 'none'";

  private static final String[] OPEN = {
    "/sign-in",
    "/first-owner",
    "/static/**",
    "/webjars/**",
    "/error",
    "/alive",
    "/h",
    "/h/*",
    "/h/*/events"
  };

  private static final String[] CHANGERS = {Role.OWNER.name(), Role.ELECTRICIAN.name()};

  @Bean
  @Order(1)
  SecurityFilterChain api(HttpSecurity http, ApiTokenFilter tokens) throws Exception {
    return http.securityMatcher("/api/**")
        .csrf(csrf -> csrf.disable())
        .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .addFilterBefore(tokens, UsernamePasswordAuthenticationFilter.class)
        .authorizeHttpRequests(
            requests ->
                requests
                    .requestMatchers("/api/openapi/**")
                    .permitAll()
                    .requestMatchers(HttpMethod.GET, "/api/**")
                    .authenticated()
                    .anyRequest()
                    .hasAnyRole(CHANGERS))
        .exceptionHandling(
            e ->
                e.authenticationEntryPoint(
                    (request, response, problem) -> {
                      response.setHeader("WWW-Authenticate", "Bearer");
                      response.sendError(
                          HttpServletResponse.SC_UNAUTHORIZED, "A valid bearer token is needed.");
                    }))
        .build();
  }

  @Bean
  @Order(2)
  SecurityFilterChain pages(HttpSecurity http, SignInThrottle throttle) throws Exception {
    return http.authorizeHttpRequests(
            requests ->
                requests
                    .requestMatchers(OPEN)
                    .permitAll()
                    .requestMatchers(HttpMethod.GET, "/**")
                    .authenticated()
                    .requestMatchers(HttpMethod.POST, "/units", "/sign-out")
                    .authenticated()
                    .anyRequest()
                    .hasAnyRole(CHANGERS))
        .addFilterBefore(throttle, UsernamePasswordAuthenticationFilter.class)
        .formLogin(
            form ->
                form.loginPage("/sign-in")
                    .defaultSuccessUrl("/", false)
                    .failureUrl("/sign-in?refused")
                    .permitAll())
        .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
        .headers(
            headers ->
                headers
                    .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                    .referrerPolicy(Customizer.withDefaults()))
        .build();
  }

  @Bean
  PasswordEncoder passwords() {
    return new BCryptPasswordEncoder();
  }

  @Bean
  UserDetailsService people(PersonRepository people) {
    return signIn ->
        people
            .findBySignIn(signIn)
            .map(SignedIn::new)
            .orElseThrow(() -> new UsernameNotFoundException("unknown"));
  }
}
