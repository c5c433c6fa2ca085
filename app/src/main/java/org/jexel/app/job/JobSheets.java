package org.jexel.app.job;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.jexel.app.exchange.Sheet;
import org.jexel.app.exchange.SheetNames;
import org.jexel.app.exchange.SheetTables;
import org.jexel.app.exchange.Sheets;
import org.jexel.core.job.Station;
import org.springframework.stereotype.Component;

/** The tables of every room, in the order in which their rows may name each other. */
@Component
class JobSheets {
  private final SheetTables tables;
  private final List<Sheets> ofPart;
  private final List<Sheets> ofJob;

  JobSheets(List<Sheets> rooms, SheetTables tables) {
    this.tables = tables;
    this.ofPart =
        rooms.stream()
            .filter(JobSheets::ofPart)
            .sorted(Comparator.comparing(room -> room.sheets().get(0).name()))
            .toList();
    this.ofJob =
        rooms.stream()
            .filter(room -> !ofPart(room) && !room.sheets().isEmpty())
            .sorted(Comparator.comparing(JobSheets::inWorkingOrder).thenComparing(Sheets::place))
            .toList();
  }

  private static boolean ofPart(Sheets room) {
    return List.of(Sheets.OF_PART, Sheets.OF_LIFE).contains(room.place());
  }

  /** To which row a part's own lists belong. */
  private static long owner(Sheets room, RigPart part) {
    return room.place().equals(Sheets.OF_LIFE) ? part.life() : part.id();
  }

  /** What stations record may name what instruments sent or somebody took: that stands first. */
  private static int inWorkingOrder(Sheets room) {
    return Arrays.stream(Station.values())
        .filter(station -> station.path().equals(room.place()))
        .findFirst()
        .map(Station::number)
        .orElse(0);
  }

  /** Tells the lists of a part beside its own members. */
  void tell(RigPart part, SheetNames names, ObjectNode into) {
    ofPart.forEach(room -> tell(room, owner(room, part), names, into));
  }

  /** Tells the lists of a job, each room's as a member of its own. */
  void tell(Job job, SheetNames names, ObjectNode into) {
    ofJob.forEach(room -> tell(room, job.id(), names, into.putObject(room.place())));
  }

  private void tell(Sheets room, long parent, SheetNames names, ObjectNode into) {
    for (Sheet sheet : room.sheets()) {
      ArrayNode rows = tables.read(sheet, parent, names);
      if (!rows.isEmpty()) {
        into.set(sheet.name(), rows);
      }
    }
  }

  /**
   * @throws Sheet.CannotStand at the first row that cannot be taken
   */
  void take(RigPart part, JsonNode told, SheetNames names) {
    ofPart.forEach(room -> take(room, told, owner(room, part), names));
  }

  /**
   * @throws Sheet.CannotStand at the first row that cannot be taken
   */
  void take(Job job, JsonNode told, SheetNames names) {
    ofJob.forEach(room -> take(room, told.path(room.place()), job.id(), names));
  }

  private void take(Sheets room, JsonNode lists, long parent, SheetNames names) {
    room.sheets().forEach(one -> tables.write(one, lists.get(one.name()), parent, names));
  }

  /** Every table of which rows go into a file, those within others included. */
  List<Sheet> all() {
    List<Sheet> all = new java.util.ArrayList<>();
    ofPart.forEach(room -> all.addAll(room.sheets()));
    ofJob.forEach(room -> all.addAll(room.sheets()));
    for (int i = 0; i < all.size(); i++) {
      all.addAll(all.get(i).under());
    }
    return all;
  }
}
