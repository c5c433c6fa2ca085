package org.jexel.app.job;

import java.time.LocalDate;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.info.BuildProperties;
import org.springframework.stereotype.Component;

/** Which build of Jexel this is, by the moment at which it was made. */
@Component
class Build {
  private final String id;

  Build(ObjectProvider<BuildProperties> made) {
    BuildProperties properties = made.getIfAvailable();
    this.id = properties == null ? "unpacked" : String.valueOf(properties.getTime());
  }

  /** By which build, and on which day where the workshop is, a job was judged. */
  String on(LocalDate day) {
    return id + " " + day;
  }
}
