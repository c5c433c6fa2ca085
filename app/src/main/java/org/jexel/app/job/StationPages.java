package org.jexel.app.job;

import java.util.Map;
import java.util.UUID;
import org.jexel.core.job.Progress;
import org.jexel.core.job.Station;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;

/** Puts a station's view into the frame that every job page shares. */
@Component
public class StationPages {
  private final Rooms rooms;
  private final Towline towline;
  private final Photographed photographed;

  StationPages(Rooms rooms, Towline towline, Photographed photographed) {
    this.photographed = photographed;
    this.rooms = rooms;
    this.towline = towline;
  }

  /**
   * @param view what the station's own template needs; a next act in it goes before the job's
   * @param card the open card, or empty for the station's choice
   */
  public ModelAndView page(JobFile file, Station station, String card, Map<String, ?> view) {
    ModelAndView page = new ModelAndView("station");
    Progress progress = file.work().progress();
    Looked drawn = view.get("drawn") instanceof Looked looked ? looked : Looked.at(card);
    page.addAllObjects(view);
    page.addObject("file", file);
    page.addObject("person", file.person());
    page.addObject("units", file.units());
    page.addObject("job", file.job());
    page.addObject("station", station);
    page.addObject("rail", progress.states());
    page.addObject(
        "next", view.containsKey("next") ? view.get("next") : rooms.card(progress.next()));
    page.addObject("open", card);
    page.addObject("towline", towline.draw(file, station, drawn));
    page.addObject("album", new Album(photographed, file));
    page.addObject("requestKey", UUID.randomUUID().toString());
    page.addObject("mayChange", file.person().role().mayChange());
    return page;
  }
}
