package foldtwice.sheet;

import freemarker.core.XHTMLOutputFormat;
import freemarker.template.Configuration;
import freemarker.template.TemplateException;
import freemarker.template.TemplateExceptionHandler;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;

/** The templates of the sheets. Whatever is put into one is escaped. */
final class Templates {

  private static final Configuration OURS = ours();

  private Templates() {}

  private static Configuration ours() {
    Configuration c = new Configuration(Configuration.VERSION_2_3_34);
    c.setClassLoaderForTemplateLoading(
        Templates.class.getClassLoader(), "foldtwice/sheet/templates");
    c.setOutputFormat(XHTMLOutputFormat.INSTANCE);
    c.setDefaultEncoding(StandardCharsets.UTF_8.name());
    c.setLocale(Locale.ROOT);
    c.setNumberFormat("computer");
    c.setTemplateExceptionHandler(TemplateExceptionHandler.RETHROW_HANDLER);
    c.setLogTemplateExceptions(false);
    c.setAPIBuiltinEnabled(false);
    return c;
  }

  static String fill(String name, Map<String, Object> with) {
    StringWriter out = new StringWriter();
    try {
      OURS.getTemplate(name + ".ftl").process(with, out);
    } catch (IOException e) {
      throw new UncheckedIOException("a template of the sheets: " + name, e);
    } catch (TemplateException e) {
      throw new IllegalStateException("a template of the sheets: " + name, e);
    }
    StringBuilder clean = new StringBuilder();
    out.toString().codePoints().filter(Svg::isAllowed).forEach(clean::appendCodePoint);
    return clean.toString();
  }
}
