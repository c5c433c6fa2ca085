package org.jexel.app.security;

import org.springframework.core.MethodParameter;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;

/** Gives a controller method the person who is signed in, with the workshop. */
@Component
public class CurrentPerson implements HandlerMethodArgumentResolver {
  private final PersonRepository people;

  CurrentPerson(PersonRepository people) {
    this.people = people;
  }

  @Override
  public boolean supportsParameter(MethodParameter parameter) {
    return parameter.getParameterType() == Person.class;
  }

  @Override
  public Person resolveArgument(
      MethodParameter parameter,
      ModelAndViewContainer container,
      NativeWebRequest request,
      WebDataBinderFactory binder) {
    Authentication signedIn = SecurityContextHolder.getContext().getAuthentication();
    return people.findBySignIn(signedIn.getName()).orElseThrow();
  }
}
