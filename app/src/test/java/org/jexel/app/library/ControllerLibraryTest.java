package org.jexel.app.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.jexel.app.exchange.ControllerFile;
import org.jexel.app.exchange.Unreadable;
import org.jexel.core.cab.ControllerModel;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.web.util.HtmlUtils;

/** The controller library: typed, sent as a file, and read back without loss. */
@AppTest
class ControllerLibraryTest {
  /** Makes this run's names its own. */
  private static final String RUN = " " + Long.toString(System.nanoTime(), 36);

  @Autowired private MockMvc mvc;
  private Walker electrician;

  @BeforeEach
  void someone() {
    electrician = new Walker(mvc, "electrician");
  }

  private static Map<String, String> form(String label, String... changed) {
    Map<String, String> form = new HashMap<>(ControllerForm.blank().typed());
    form.putAll(Map.of("open", "0", "version", "0", "label", label));
    for (int i = 0; i < changed.length; i += 2) {
      form.put(changed[i], changed[i + 1]);
    }
    return form;
  }

  private String refused(Map<String, String> form) throws Exception {
    MockHttpServletResponse answer = electrician.post("/workshop/controllers", form);
    assertThat(answer.getStatus()).isEqualTo(200);
    return HtmlUtils.htmlUnescape(answer.getContentAsString());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "step|0|A step is more than 0",
        "greatest|-2|greatest mark must lie above",
        "supplyLeast|20|From least to greatest",
        "yaw|200|Between 0 and 90 degrees",
        "curve|2 3;4 2|a higher gain never gives fewer volts",
        "cavities|1 stop;1 earth|cavity 1 stands twice",
        "leads|horn red|is not understood",
        "outputAmps|lots|Not understood. Write a number"
      })
  void whatCannotStandIsToldBesideItsFieldAndStaysAsTyped(String field, String text, String told)
      throws Exception {
    String typed = text.replace(';', '\n');
    String page = refused(form("Refused " + field, field, typed));
    assertThat(page).contains("id=\"p-" + field + "\"").contains(typed);
    assertThat(page).contains(told);
    assertThat(electrician.page("/workshop/controllers")).doesNotContain("Refused " + field);
  }

  @Test
  void aModelIsKeptOpenedChangedAndNeverTwiceUnderOneName() throws Exception {
    electrician.post("/workshop/controllers", form("Spruce" + RUN, "curve", "2 2.5\n10 12"));
    String list = electrician.page("/workshop/controllers");
    String id =
        list.replaceAll(
            "(?s).*open=(\\d+)#model-\\d+\"[^>]*><span>Spruce" + RUN + "</span>.*", "$1");
    String open = electrician.page("/workshop/controllers?open=" + id);
    assertThat(open)
        .contains("2 2.5\n10 12")
        .contains("Volts at the connector by gain, Spruce" + RUN);
    assertThat(refused(form("Spruce" + RUN))).contains("There is a model of this name already.");
    electrician.post(
        "/workshop/controllers", form("Spruce" + RUN, "open", id, "version", "0", "step", "0.25"));
    assertThat(electrician.page("/workshop/controllers?open=" + id)).contains("value=\"0.25\"");
    assertThat(refused(form("Spruce" + RUN, "open", id, "version", "0")))
        .contains("changed this model while you had it open");
  }

  @Test
  void theFileReadsBackWithoutLoss() throws Exception {
    String text = electrician.answer("/workshop/controllers.json").getContentAsString();
    List<ControllerModel> models = ControllerFile.read(text);
    assertThat(models).extracting(ControllerModel::label).contains("Larch, under-dash");
    assertThat(ControllerFile.write(models)).isEqualTo(text);
    assertThat(electrician.answer(ControllerFile.SCHEMA).getStatus()).isEqualTo(200);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{|This is no JSON",
        "[]|Not in the open format",
        "{\"format\":\"jexel-controllers 1\",\"controllers\":[{\"label\":\"x\"}]}|/controllers/0 required",
        "{\"format\":\"jexel-controllers 2\",\"controllers\":[]}|/format must be",
        "{\"format\":\"jexel-controllers 1\",\"controllers\":[{\"label\":\"x\",\"kind\":\"TIMED\",\"scale\":{\"least\":5,\"greatest\":4,\"step\":1},\"supply\":{\"leastVolts\":10,\"greatestVolts\":16},\"outputAmps\":20}]}|greatest mark must lie above"
      })
  void aFaultyFileIsRefusedWithItsPlace(String text, String told) {
    assertThatThrownBy(() -> ControllerFile.read(text))
        .isInstanceOf(Unreadable.class)
        .hasMessageContaining(told);
  }

  private MockHttpServletResponse send(String signIn, String text) throws Exception {
    return mvc.perform(
            multipart("/workshop/controllers/file")
                .file(
                    new MockMultipartFile(
                        "file",
                        "controllers.json",
                        "application/json",
                        text.getBytes(StandardCharsets.UTF_8)))
                .with(user(signIn).roles(signIn.toUpperCase()))
                .with(csrf()))
        .andReturn()
        .getResponse();
  }

  @Test
  void aSentFileIsTakenWholeOrNotAtAllAndNotFromAViewer() throws Exception {
    String one =
        "{\"label\":\"%s\",\"kind\":\"TIMED\",\"scale\":{\"least\":0,\"greatest\":9,\"step\":%s},"
            + "\"supply\":{\"leastVolts\":10,\"greatestVolts\":16},\"outputAmps\":20}";
    String file = "{\"format\":\"jexel-controllers 1\",\"controllers\":[%s,%s]}";
    String broken =
        file.formatted(one.formatted("Juniper" + RUN, 1), one.formatted("Elder" + RUN, 12));
    assertThat(HtmlUtils.htmlUnescape(send("electrician", broken).getContentAsString()))
        .contains(
            "“Elder"
                + RUN
                + "”, step: One step is longer than the whole scale. Nothing was taken.");
    String sound =
        file.formatted(one.formatted("Juniper" + RUN, 1), one.formatted("Elder" + RUN, 1));
    assertThat(send("viewer", sound).getStatus()).isEqualTo(403);
    assertThat(electrician.page("/workshop/controllers")).doesNotContain("Juniper" + RUN);
    assertThat(send("electrician", sound).getRedirectedUrl()).endsWith("taken=2");
    assertThat(electrician.page("/workshop/controllers")).contains("Juniper" + RUN, "Elder" + RUN);
  }
}
