package org.jexel.app;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.stream.Collectors;

/** One person on a running server, over plain HTTP. */
public final class Http {
  private final HttpClient client =
      HttpClient.newBuilder()
          .cookieHandler(new CookieManager())
          .followRedirects(HttpClient.Redirect.NORMAL)
          .build();
  private final String base;

  public Http(int port) {
    base = "http://127.0.0.1:" + port;
  }

  public HttpResponse<String> get(String path) throws IOException, InterruptedException {
    return client.send(
        HttpRequest.newBuilder(URI.create(base + path)).build(),
        HttpResponse.BodyHandlers.ofString());
  }

  public HttpResponse<String> post(String path, Map<String, String> fields)
      throws IOException, InterruptedException {
    String body =
        fields.entrySet().stream()
            .map(e -> encoded(e.getKey()) + "=" + encoded(e.getValue()))
            .collect(Collectors.joining("&"));
    return client.send(
        HttpRequest.newBuilder(URI.create(base + path))
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .build(),
        HttpResponse.BodyHandlers.ofString());
  }

  /** Status of what a program gets with a token. */
  public int api(String path, String token) throws IOException, InterruptedException {
    return client
        .send(
            HttpRequest.newBuilder(URI.create(base + path))
                .header("Authorization", "Bearer " + token)
                .build(),
            HttpResponse.BodyHandlers.ofString())
        .statusCode();
  }

  /** Posts a body as it is, as a program does where there is a token; gives the status. */
  public int send(String path, String type, byte[] body, String token)
      throws IOException, InterruptedException {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(base + path))
            .header("Content-Type", type)
            .POST(HttpRequest.BodyPublishers.ofByteArray(body));
    if (token != null) {
      request.header("Authorization", "Bearer " + token);
    }
    return client.send(request.build(), HttpResponse.BodyHandlers.ofString()).statusCode();
  }

  public int head(String path) throws IOException, InterruptedException {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(base + path))
            .method("HEAD", HttpRequest.BodyPublishers.noBody())
            .build();
    return client.send(request, HttpResponse.BodyHandlers.ofString()).statusCode();
  }

  /** Posts a sign-in under a path; gives the last answer's status and where it stands. */
  public String postAs(String path, String name, String password, String token)
      throws IOException, InterruptedException {
    HttpResponse<String> answer =
        post(path, Map.of("username", name, "password", password, "_csrf", token));
    return answer.statusCode() + " " + answer.uri();
  }

  public HttpResponse<String> signIn(String name, String password)
      throws IOException, InterruptedException {
    String page = get("/sign-in").body();
    return post(
        "/sign-in",
        Map.of("username", name, "password", password, "_csrf", Walker.hidden(page, "_csrf")));
  }

  private static String encoded(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }
}
