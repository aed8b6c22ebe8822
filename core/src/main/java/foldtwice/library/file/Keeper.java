package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.text.DiskWords;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.Supplier;

/**
 * Brings changes to disk, one after the other, on a thread of its own. One that cannot be written
 * waits, and all after it, and is tried again until it can; none is acknowledged before all before
 * it are on disk.
 */
final class Keeper {

  /** How often what could not be written is tried again, in milliseconds. */
  private static final long AGAIN_EVERY = 2_000;

  private record Waiting(ObjectNode line, CompletableFuture<Instant> kept) {}

  private final JournalFile journal;
  private final Clock clock;
  private final ScheduledExecutorService thread =
      Executors.newSingleThreadScheduledExecutor(
          Thread.ofPlatform().name("journal").daemon().factory());
  private final Deque<Waiting> waiting = new ArrayDeque<>();
  private String failure = "";
  private Optional<Keeping.What> astray = Optional.empty();
  private Keeping whole = new Keeping.Untouched();
  private volatile Consumer<Keeping> listener = k -> {};
  private volatile Keeping keeping = whole;

  Keeper(JournalFile journal, Clock clock) {
    this.journal = journal;
    this.clock = clock;
    every(
        AGAIN_EVERY,
        () -> {
          if (!waiting.isEmpty()) {
            write();
          }
        });
  }

  Keeping keeping() {
    return keeping;
  }

  /** Who is told, on the keeper's thread, whenever it changes. */
  void tell(Consumer<Keeping> told) {
    listener = told;
  }

  /**
   * Brings a line to disk.
   *
   * @param line laid out on the keeper's thread
   */
  CompletableFuture<Instant> keep(Supplier<ObjectNode> line) {
    CompletableFuture<Instant> kept = new CompletableFuture<>();
    thread.execute(
        () -> {
          waiting.add(new Waiting(line.get(), kept));
          write();
        });
    return kept;
  }

  /** Tries again now what could not be written; waits for what comes of it. */
  Keeping again() {
    return on(
        () -> {
          write();
          return keeping;
        });
  }

  /** Does something on the keeper's thread again and again. */
  void every(long millis, Runnable what) {
    var unused = thread.scheduleWithFixedDelay(what, millis, millis, TimeUnit.MILLISECONDS);
  }

  /** Does something on the keeper's thread, after all that was to be kept before. */
  <T> T on(Callable<T> what) {
    Future<T> done = thread.submit(what);
    try {
      return done.get();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("interrupted while the library was being kept", e);
    } catch (ExecutionException e) {
      throw new IllegalStateException(e.getCause());
    }
  }

  /** The same without waiting for it. */
  <T> CompletableFuture<T> later(Callable<T> what) {
    CompletableFuture<T> result = new CompletableFuture<>();
    thread.execute(
        () -> {
          try {
            result.complete(what.call());
          } catch (Exception e) {
            result.completeExceptionally(e);
          }
        });
    return result;
  }

  private void write() {
    failure = "";
    while (!waiting.isEmpty() && failure.isEmpty()) {
      Waiting next = waiting.peek();
      try {
        journal.append(next.line());
        waiting.remove();
        whole = new Keeping.Kept(clock.instant());
        next.kept().complete(clock.instant());
      } catch (IOException e) {
        failure = DiskWords.says(e);
      }
    }
    tell();
  }

  /** What became of the library's own file, if anything. On the keeper's thread. */
  void find(Optional<Keeping.What> what) {
    astray = what;
    tell();
  }

  private void tell() {
    Keeping next =
        waiting.isEmpty()
            ? astray.<Keeping>map(Keeping.Astray::new).orElse(whole)
            : new Keeping.NotKept(waiting.size(), failure);
    if (!next.equals(keeping)) {
      keeping = next;
      listener.accept(next);
    }
  }

  /**
   * Ends when all that can be written is.
   *
   * @return how many changes could not be
   */
  int end() {
    int left =
        on(
            () -> {
              write();
              return waiting.size();
            });
    thread.shutdownNow();
    return left;
  }
}
