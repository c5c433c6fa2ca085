package org.jexel.app.security;

import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Hands the signed-in person to the controllers. */
@Configuration
class WebConfig implements WebMvcConfigurer {
  private final CurrentPerson currentPerson;

  WebConfig(CurrentPerson currentPerson) {
    this.currentPerson = currentPerson;
  }

  @Override
  public void addInterceptors(InterceptorRegistry registry) {
    registry.addInterceptor(new CleanInput.Told());
  }

  @Override
  public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
    resolvers.add(currentPerson);
  }
}
