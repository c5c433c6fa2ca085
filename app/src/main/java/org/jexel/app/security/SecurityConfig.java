package org.jexel.app.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Objects;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.security.config.Customizer;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.header.HeaderWriterFilter;
import org.springframework.security.web.savedrequest.CookieRequestCache;

/**
 * Who may do what. Pages sign in by form with a session; {@code /api/**} by bearer token, without a
 * session. A viewer reads everything of the workshop and changes nothing but the units shown.
 */
@Configuration
class SecurityConfig {
  /** No inline script or style anywhere; everything comes from this application. */
  static final String CONTENT_POLICY =
      "default-src 'self'; script-src 'self'; style-src 'self'; img-src 'self' data:; "
          + "font-src 'self'; connect-src 'self'; object-src 'none'; base-uri 'self'; "
          + "form-action 'self'; frame-ancestors 'none'";

  /** What needs neither sign-in nor session, and is answered while the database is away. */
  private static final String[] PLAIN = {
    "/static/**", "/webjars/**", "/favicon.ico", "/alive", "/ready", PhoneController.WORKER
  };

  private static final String[] OPEN = {
    "/sign-in", "/first-owner", "/error", "/h", "/h/*", "/h/*/events", "/d/*", "/c/*"
  };

  private static final String DESCRIPTION = "/api/openapi/**";

  private static final String[] CHANGERS = {Role.OWNER.name(), Role.ELECTRICIAN.name()};

  @Bean
  @Order(1)
  SecurityFilterChain plain(HttpSecurity http) throws Exception {
    return http.securityMatcher(PLAIN)
        .csrf(csrf -> csrf.disable())
        .securityContext(context -> context.disable())
        .sessionManagement(s -> s.disable())
        .requestCache(cache -> cache.disable())
        .addFilterBefore(new NoSession(), HeaderWriterFilter.class)
        .headers(SecurityConfig::headers)
        .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
        .build();
  }

  @Bean
  @Order(2)
  SecurityFilterChain api(HttpSecurity http, ApiTokenFilter tokens, FreshRole fresh)
      throws Exception {
    return http.securityMatcher(
            request ->
                path(request).startsWith("/api/") && !path(request).startsWith("/api/openapi"))
        .csrf(csrf -> csrf.disable())
        .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .addFilterBefore(new NoSession(), HeaderWriterFilter.class)
        .addFilterBefore(tokens, UsernamePasswordAuthenticationFilter.class)
        .addFilterBefore(fresh, AuthorizationFilter.class)
        .headers(SecurityConfig::headers)
        .authorizeHttpRequests(
            requests ->
                requests
                    .requestMatchers(HttpMethod.GET, "/api/**")
                    .authenticated()
                    .requestMatchers(HttpMethod.HEAD, "/api/**")
                    .authenticated()
                    // Sums that change nothing.
                    .requestMatchers(HttpMethod.POST, "/api/breakaway/**", "/api/road/**")
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
  @Order(3)
  SecurityFilterChain pages(
      HttpSecurity http,
      SignInAnswers answers,
      Sessions.Begun begun,
      ApiTokenFilter tokens,
      FreshRole fresh,
      @Value("${jexel.openapi-open}") boolean described)
      throws Exception {
    return http.authorizeHttpRequests(
            requests -> {
              if (described) {
                requests.requestMatchers(DESCRIPTION).permitAll();
              }
              requests
                  .requestMatchers(OPEN)
                  .permitAll()
                  .requestMatchers("/people/**")
                  .hasRole(Role.OWNER.name())
                  .requestMatchers("/jobs/new")
                  .hasAnyRole(CHANGERS)
                  .requestMatchers(HttpMethod.GET, "/**")
                  .authenticated()
                  .requestMatchers(HttpMethod.HEAD, "/**")
                  .authenticated()
                  .requestMatchers(HttpMethod.POST, "/units", "/sign-out", "/me/**")
                  .authenticated()
                  .anyRequest()
                  .hasAnyRole(CHANGERS);
            })
        .addFilterBefore(tokens, UsernamePasswordAuthenticationFilter.class)
        .addFilterBefore(fresh, AuthorizationFilter.class)
        // A visitor who has not signed in leaves no row in the database.
        .csrf(csrf -> csrf.csrfTokenRepository(new CookieCsrfTokenRepository()))
        .requestCache(cache -> cache.requestCache(pagesAlone()))
        .formLogin(
            form ->
                form.loginPage("/sign-in")
                    .successHandler(begun)
                    .failureHandler(answers)
                    .permitAll())
        .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
        .headers(SecurityConfig::headers)
        .build();
  }

  /** After the sign-in a page that was asked for opens, and never what a script asked for. */
  private static CookieRequestCache pagesAlone() {
    CookieRequestCache asked = new CookieRequestCache();
    asked.setRequestMatcher(
        request ->
            HttpMethod.GET.matches(request.getMethod())
                && Objects.toString(request.getHeader(HttpHeaders.ACCEPT), "")
                    .contains(MediaType.TEXT_HTML_VALUE));
    return asked;
  }

  /** As the framework decodes it: however an address is written, it is the same one. */
  private static String path(HttpServletRequest request) {
    return request.getServletPath() + Objects.toString(request.getPathInfo(), "");
  }

  /** The same for pages, papers, programs and files; strict transport where it is HTTPS. */
  private static void headers(HeadersConfigurer<HttpSecurity> headers) {
    headers
        .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
        .referrerPolicy(Customizer.withDefaults());
  }

  @Bean
  PasswordEncoder encoder() {
    return new BCryptPasswordEncoder();
  }

  @Bean
  UserDetailsService details(PersonRepository people) {
    return signIn ->
        people
            .findBySignIn(SignInName.of(signIn))
            .map(SignedIn::new)
            .orElseThrow(() -> new UsernameNotFoundException("unknown"));
  }
}
