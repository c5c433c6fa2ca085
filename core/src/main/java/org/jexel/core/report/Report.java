package org.jexel.core.report;

import java.util.List;

/**
 * A job as it is handed over: words and figures as they are read, nothing in it computed any more.
 * Two reports of one state of a job, in one person's units, are equal.
 *
 * @param head which job, whose, of what
 * @param leaves why the rig leaves although a station fails; empty where none does
 * @param sections in the order in which they are read
 */
public record Report(List<String> head, String leaves, List<Section> sections) {
  public Report {
    head = List.copyOf(head);
    sections = List.copyOf(sections);
  }

  /** The same, with the owner's reason why the rig leaves anyhow. */
  public Report leavingBecause(String reason) {
    return new Report(head, reason, sections);
  }
}
