package foldtwice.standin.muniment;

import foldtwice.cage.Inmate;
import foldtwice.cage.Wire;
import foldtwice.routine.Value;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The process databases are in, and what is said between it and the one who asks. */
public final class DatabaseProcess {

  private static final int MOST = 100_000;
  private static final byte READY = 'y';
  private static final byte ANSWERED = 'a';
  private static final byte REFUSED = 'r';

  private DatabaseProcess() {}

  public static void main(String[] args) {
    Inmate inmate = Inmate.begin();
    Map<Integer, Database> all = new HashMap<>();
    try {
      inmate.out().writeByte(READY);
      inmate.out().flush();
      while (true) {
        turn(inmate.in(), inmate.out(), all);
      }
    } catch (IOException | SQLException e) {
      Inmate.end(); // nobody asks any more, or a database broke: it is built anew elsewhere
    }
  }

  private static void turn(DataInputStream in, DataOutputStream out, Map<Integer, Database> all)
      throws IOException, SQLException {
    byte kind = in.readByte();
    int number = in.readInt();
    if (kind == 'c') {
      Database gone = all.remove(number);
      if (gone != null) {
        gone.close();
      }
      return;
    }
    if (kind == 'o') {
      all.put(number, new Database(number));
      out.writeByte(READY);
      out.flush();
      return;
    }
    Archive.Said said = said(in);
    try {
      Answer answer = all.get(number).answer(said);
      out.writeByte(ANSWERED);
      write(out, answer);
    } catch (SQLException e) {
      out.writeByte(REFUSED);
      Wire.text(out, SqlRefused.firstLine(e));
    }
    out.flush();
  }

  /** Has a database forgotten. */
  static void close(DataOutputStream out, int number) throws IOException {
    out.writeByte('c');
    out.writeInt(number);
    out.flush();
  }

  /** Waits until the process, or the database it is building, is ready. */
  static void ready(DataInputStream in) throws IOException {
    byte said = in.readByte();
    if (said != READY) {
      throw new IOException("nothing ready begins with " + said);
    }
  }

  /** Builds a database. */
  static void open(DataInputStream in, DataOutputStream out, int number) throws IOException {
    out.writeByte('o');
    out.writeInt(number);
    out.flush();
    ready(in);
  }

  /** Asks a database. */
  static Answer ask(DataInputStream in, DataOutputStream out, int number, Archive.Said said)
      throws IOException, SqlRefused {
    out.writeByte('r');
    out.writeInt(number);
    Wire.text(out, said.schema());
    Wire.text(out, said.sql());
    out.writeInt(said.values().size());
    for (Value v : said.values()) {
      Wire.value(out, v);
    }
    out.flush();
    if (in.readByte() == ANSWERED) {
      return answer(in);
    }
    throw new SqlRefused(Wire.text(in));
  }

  private static Archive.Said said(DataInputStream in) throws IOException {
    String schema = Wire.text(in);
    String sql = Wire.text(in);
    List<Value> values = new ArrayList<>();
    for (int i = Wire.count(in, MOST); i > 0; i--) {
      values.add(Wire.value(in));
    }
    return new Archive.Said(schema, sql, values);
  }

  private static void write(DataOutputStream out, Answer answer) throws IOException {
    texts(out, answer.columns());
    out.writeInt(answer.rows().size());
    for (List<String> row : answer.rows()) {
      texts(out, row);
    }
    Wire.text(out, answer.said());
    out.writeBoolean(answer.changes());
  }

  private static Answer answer(DataInputStream in) throws IOException {
    List<String> columns = texts(in);
    List<List<String>> rows = new ArrayList<>();
    for (int i = Wire.count(in, Archive.MOST_ROWS); i > 0; i--) {
      rows.add(texts(in));
    }
    return new Answer(columns, rows, Wire.text(in), in.readBoolean());
  }

  private static void texts(DataOutputStream out, List<String> texts) throws IOException {
    out.writeInt(texts.size());
    for (String t : texts) {
      Wire.text(out, t);
    }
  }

  private static List<String> texts(DataInputStream in) throws IOException {
    List<String> all = new ArrayList<>();
    for (int i = Wire.count(in, MOST); i > 0; i--) {
      all.add(Wire.text(in));
    }
    return all;
  }
}
