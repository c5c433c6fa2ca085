package org.jexel.app.exchange;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PDFontSupplier;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.slf4j.Slf4jLogger;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Base64;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Semaphore;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.jexel.app.drawing.Palette;
import org.jexel.core.quantity.CleanText;
import org.jexel.core.quantity.Measure;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;

/** Pages as PDF, with the fonts that ship here. */
@Component
public class Pdf {
  private static final Pattern REFERENCE =
      Pattern.compile("&#(?:x([0-9a-fA-F]{1,6})|([0-9]{1,7}));");

  /** A drawing by itself, with its name if it has one. */
  private static final Pattern DRAWING = Pattern.compile("<svg (?=[^>]*aria-label=\"([^\"]*)\")?");

  static {
    XRLog.setLoggerImpl(new Slf4jLogger());
  }

  private final TemplateEngine templates;

  /** A sheet in the making takes megabytes and a core: who comes later waits, in order. */
  private final Semaphore desks = new Semaphore(Runtime.getRuntime().availableProcessors(), true);

  Pdf(TemplateEngine templates) {
    this.templates = templates;
  }

  /**
   * A template as a PDF that the browser shows.
   *
   * @param template of well-formed XHTML, with inline SVG
   * @param file name under which it would be saved
   */
  public ResponseEntity<byte[]> answer(String template, Map<String, Object> model, String file) {
    return answer(bytes(template, model), file);
  }

  /** A sheet that was made before. */
  public static ResponseEntity<byte[]> answer(byte[] sheet, String file) {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + file + "\"")
        .body(sheet);
  }

  /** A picture as an address that a template sets. */
  public static String picture(byte[] jpeg) {
    return "data:image/jpeg;base64," + Base64.getEncoder().encodeToString(jpeg);
  }

  /** A template as a PDF. */
  public byte[] bytes(String template, Map<String, Object> model) {
    Context context = new Context(Locale.UK, model);
    context.setVariable("measure", Measure.byName());
    context.setVariable("colour", Palette.tokens());
    desks.acquireUninterruptibly();
    try {
      // XML is strict about the case of a word that HTML reads in any.
      String page = templates.process(template, context).replaceFirst("^<!doctype", "<!DOCTYPE");
      return render(page);
    } finally {
      desks.release();
    }
  }

  private static byte[] render(String xhtml) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (PDDocument document = new PDDocument()) {
      PdfRendererBuilder builder = new PdfRendererBuilder();
      builder.usePDDocument(document);
      builder.usePdfUaAccessibility(true);
      font(builder, document, "BarlowSemiCondensed_500Medium.ttf", "Barlow Semi Condensed", 400);
      font(builder, document, "BarlowSemiCondensed_700Bold.ttf", "Barlow Semi Condensed", 700);
      font(builder, document, "BarlowCondensed_600SemiBold.ttf", "Barlow Condensed", 400);
      font(builder, document, "SplineSansMono_500Medium.ttf", "Spline Sans Mono", 400);
      builder.useSVGDrawer(new BatikSVGDrawer());
      builder.withHtmlContent(wellFormed(xhtml), null);
      builder.toStream(out);
      builder.run();
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * What stands in the database may be older than the cleaning of what enters: once more, and
   * characters that are written as references too (XML 1.0, section 2.2).
   */
  private static String wellFormed(String xhtml) {
    return REFERENCE
        .matcher(named(CleanText.of(xhtml).text()))
        .replaceAll(
            found -> {
              int c =
                  found.group(1) == null
                      ? Integer.parseInt(found.group(2))
                      : Integer.parseInt(found.group(1), 16);
              boolean shown =
                  Character.isValidCodePoint(c)
                      && (c == '\t' || c == '\n' || c == '\r' || c >= ' ')
                      && CleanText.of(Character.toString(c)).takenOut().isEmpty();
              return shown ? Matcher.quoteReplacement(found.group()) : "";
            });
  }

  /** What a drawing is called goes with it for those who listen; a mark has its word beside it. */
  private static String named(String xhtml) {
    return DRAWING
        .matcher(xhtml)
        .replaceAll(
            found ->
                Matcher.quoteReplacement(
                    "<svg alt=\"" + (found.group(1) == null ? " " : found.group(1)) + "\" "));
  }

  /** Without ligatures: a glyph of two letters is read by nobody who searches or listens. */
  private static void font(
      PdfRendererBuilder builder, PDDocument document, String file, String family, int weight)
      throws IOException {
    try (InputStream in = new ClassPathResource("fonts/" + file).getInputStream()) {
      TrueTypeFont glyphs = new TTFParser().parse(new RandomAccessReadBuffer(in));
      glyphs.setEnableGsub(false);
      PDFont font = PDType0Font.load(document, glyphs, true);
      builder.useFont(new PDFontSupplier(font), family, weight, FontStyle.NORMAL, true);
    }
  }
}
