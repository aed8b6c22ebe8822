package foldtwice.cli;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.encoder.PatternLayoutEncoder;
import ch.qos.logback.classic.spi.Configurator;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.ConsoleAppender;
import ch.qos.logback.core.spi.ContextAwareBase;

/**
 * Logs warnings, and that the window is open, to standard error. In code rather than XML because
 * reading XML takes a good part of the time to start.
 */
public final class Logging extends ContextAwareBase implements Configurator {

  @Override
  public ExecutionStatus configure(LoggerContext context) {
    PatternLayoutEncoder encoder = new PatternLayoutEncoder();
    encoder.setContext(context);
    encoder.setPattern("%d{HH:mm:ss} %-5level %logger{0}: %msg%n");
    encoder.start();
    ConsoleAppender<ILoggingEvent> standardError = new ConsoleAppender<>();
    standardError.setContext(context);
    standardError.setTarget("System.err");
    standardError.setEncoder(encoder);
    standardError.start();
    Logger root = context.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
    root.setLevel(Level.WARN);
    root.addAppender(standardError);
    // Printed sheets bring their fonts; that the machine lacks some of its own is no matter.
    context.getLogger("org.apache.pdfbox").setLevel(Level.ERROR);
    context.getLogger("foldtwice.desktop.App").setLevel(Level.INFO);
    return ExecutionStatus.DO_NOT_INVOKE_NEXT_IF_ANY;
  }
}
