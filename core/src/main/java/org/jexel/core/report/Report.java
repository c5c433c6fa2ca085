package org.jexel.core.report;

import java.util.List;

/**
 * A job as it is handed over: words and figures as they are read, nothing in it computed any more.
 * Two reports of one state of a job, in one person's units, are equal.
 *
 * @param head which job, whose, of what
 * @param leaves why the rig leaves although a station fails; empty where none does
 * @param sections in the order in which they are read
 * @param prints photographs
 */
public record Report(List<String> head, String leaves, List<Section> sections, List<Print> prints) {
  public Report {
    head = List.copyOf(head);
    sections = List.copyOf(sections);
    // What was signed before there were any says nothing of them.
    prints = prints == null ? List.of() : List.copyOf(prints);
  }

  /**
   * A photograph under its caption.
   *
   * @param caption of what it is, what it shows, whose and when
   * @param sha256 of the picture, hexadecimal
   */
  public record Print(String caption, String sha256) {}

  /** What can hurt somebody; it stands last, and a report without it is none. */
  public List<String> cautions() {
    return sections.get(sections.size() - 1).lines();
  }

  /** The same, with the owner's reason why the rig leaves anyhow. */
  public Report leavingBecause(String reason) {
    return new Report(head, reason, sections, prints);
  }
}
