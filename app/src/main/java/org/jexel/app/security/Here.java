package org.jexel.app.security;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.net.URISyntaxException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Where a person is, so that an act of the page's head leads back to it. */
@ControllerAdvice
class Here {
  /** The address of a page; of the answer to a form there is none, and the board stands for it. */
  @ModelAttribute("here")
  String here(HttpServletRequest request) {
    String query = request.getQueryString() == null ? "" : "?" + request.getQueryString();
    return request.getMethod().equals("GET") ? request.getRequestURI() + query : "/";
  }

  /** The same as it was posted, an address of another host is none. */
  static String within(String posted) {
    try {
      URI from = new URI(posted);
      String path = from.getRawPath();
      boolean elsewhere = from.isAbsolute() || from.getRawAuthority() != null;
      if (elsewhere || path == null || !path.startsWith("/") || path.startsWith("//")) {
        return "/";
      }
      String query = from.getRawQuery() == null ? "" : "?" + from.getRawQuery();
      return path + query + (from.getRawFragment() == null ? "" : "#" + from.getRawFragment());
    } catch (URISyntaxException e) {
      return "/";
    }
  }
}
