package foldtwice.source;

import com.oracle.js.parser.ErrorManager;
import com.oracle.js.parser.Parser;
import com.oracle.js.parser.ParserException;
import com.oracle.js.parser.ScriptEnvironment;
import com.oracle.js.parser.TokenType;
import com.oracle.js.parser.ir.AccessNode;
import com.oracle.js.parser.ir.BinaryNode;
import com.oracle.js.parser.ir.Block;
import com.oracle.js.parser.ir.BlockStatement;
import com.oracle.js.parser.ir.CallNode;
import com.oracle.js.parser.ir.EmptyNode;
import com.oracle.js.parser.ir.Expression;
import com.oracle.js.parser.ir.ExpressionStatement;
import com.oracle.js.parser.ir.ForNode;
import com.oracle.js.parser.ir.FunctionNode;
import com.oracle.js.parser.ir.IdentNode;
import com.oracle.js.parser.ir.IfNode;
import com.oracle.js.parser.ir.IndexNode;
import com.oracle.js.parser.ir.JoinPredecessorExpression;
import com.oracle.js.parser.ir.LexicalContext;
import com.oracle.js.parser.ir.LiteralNode;
import com.oracle.js.parser.ir.Node;
import com.oracle.js.parser.ir.ObjectNode;
import com.oracle.js.parser.ir.PropertyNode;
import com.oracle.js.parser.ir.Statement;
import com.oracle.js.parser.ir.Symbol;
import com.oracle.js.parser.ir.TemplateLiteralNode;
import com.oracle.js.parser.ir.UnaryNode;
import com.oracle.js.parser.ir.VarNode;
import com.oracle.js.parser.ir.visitor.NodeVisitor;
import foldtwice.source.Source.Slip;
import foldtwice.source.Source.Spot;
import java.math.BigDecimal;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/**
 * Reads source texts with the parser of the engine that runs them, so that what one takes the other
 * does. All that is known of that parser stands here.
 */
final class Parsing {

  /** A text nested deeper than this is not read, in brackets of any kind. */
  private static final int DEEPEST = 200;

  private static final ScriptEnvironment LANGUAGE =
      ScriptEnvironment.builder()
          .ecmaScriptVersion(ScriptEnvironment.ES_2024)
          .strict(true)
          .allowBigInt(true)
          .classFields(true)
          .build();

  private final Deque<List<String>> scopes = new ArrayDeque<>();

  private Parsing() {}

  static Source of(String text) {
    if (depth(text) > DEEPEST) {
      return new Source(
          text,
          List.of(),
          Optional.of(new Slip(new Spot(1, 1), "nested at most " + DEEPEST + " deep")));
    }
    try {
      FunctionNode program =
          new Parser(
                  LANGUAGE,
                  com.oracle.js.parser.Source.sourceFor("script", text),
                  new ErrorManager() {
                    @Override
                    public void error(ParserException e) {
                      throw e;
                    }
                  })
              .parse();
      Parsing parsing = new Parsing();
      return new Source(text, parsing.block(program.getBody()), Optional.empty());
    } catch (ParserException e) {
      return new Source(
          text,
          List.of(),
          Optional.of(new Slip(Spot.of(text, e.getPosition()), message(e.getRawMessage()))));
    }
  }

  /** How deep brackets lie in one another at most; those in texts count too. */
  private static int depth(String text) {
    int deepest = 0;
    int now = 0;
    for (int i = 0; i < text.length(); i++) {
      switch (text.charAt(i)) {
        case '(', '[', '{' -> deepest = Math.max(deepest, ++now);
        case ')', ']', '}' -> now = Math.max(0, now - 1);
        default -> {}
      }
    }
    return deepest;
  }

  private static String message(String raw) {
    return raw == null
        ? "something else"
        : raw.lines().findFirst().orElse(raw).replaceAll("\\beof\\b", "the end");
  }

  private static Span at(Node node) {
    return new Span(Math.max(0, node.getStart()), Math.max(0, node.getFinish()));
  }

  private List<Clause> block(Block block) {
    if (block == null) {
      return List.of();
    }
    List<String> names = new ArrayList<>();
    for (Symbol s : block.getSymbols()) {
      if (!s.isInternal() && !s.isHoistableDeclaration() && isName(s.getName())) {
        names.add(s.getName());
      }
    }
    scopes.push(names);
    List<Clause> clauses = new ArrayList<>();
    List<Statement> statements = new ArrayList<>(block.getStatements());
    statements.sort(Comparator.comparingInt(Node::getStart)); // functions stand before all others
    for (Statement s : statements) {
      if (!(s instanceof EmptyNode)) {
        clauses.add(clause(s));
      }
    }
    scopes.pop();
    return clauses;
  }

  private static boolean isName(String name) {
    return !name.isEmpty() && Character.isJavaIdentifierStart(name.charAt(0));
  }

  private Clause clause(Statement statement) {
    return switch (statement) {
      case ExpressionStatement e -> new Clause.Done(phrase(e.getExpression()), at(e));
      case VarNode v when !v.isFunctionDeclaration() && !v.isClassDeclaration() ->
          new Clause.Declared(
              v.getName().getName(), Optional.ofNullable(v.getInit()).map(this::phrase), at(v));
      case IfNode i ->
          new Clause.When(phrase(i.getTest()), block(i.getPass()), block(i.getFail()), at(i));
      case BlockStatement b -> loop(b);
      default -> other(statement);
    };
  }

  /** Loops come in a block of their own, which holds their variable. */
  private Clause loop(BlockStatement statement) {
    Block block = statement.getBlock();
    List<Statement> inside = block.getStatements();
    scopes.push(own(block));
    try {
      if (inside.size() == 1
          && inside.getFirst() instanceof ForNode each
          && each.isForOf()
          && each.getInit() instanceof IdentNode name) {
        return new Clause.Each(
            name.getName(),
            block.getScope().hasSymbol(name.getName()),
            phrase(each.getModify()),
            block(each.getBody()),
            at(statement));
      }
      if (inside.size() == 2
          && inside.getFirst() instanceof VarNode from
          && inside.getLast() instanceof ForNode counting
          && isCounted(from, counting)) {
        BinaryNode test = (BinaryNode) plain(counting.getTest());
        return new Clause.Counted(
            from.getName().getName(),
            phrase(test.getRhs()),
            block(counting.getBody()),
            at(statement));
      }
    } finally {
      scopes.pop();
    }
    return new Clause.Other(List.of(), block(block), at(statement));
  }

  private static List<String> own(Block block) {
    List<String> names = new ArrayList<>();
    block.getSymbols().forEach(s -> names.add(s.getName()));
    names.removeIf(n -> !isName(n));
    return names;
  }

  /** {@code let i = 1; i <= …; i++}. */
  private static boolean isCounted(VarNode from, ForNode loop) {
    String name = from.getName().getName();
    return from.getInit() instanceof LiteralNode<?> one
        && one.getObject() instanceof Number n
        && n.doubleValue() == 1
        && plain(loop.getTest()) instanceof BinaryNode test
        && test.isTokenType(TokenType.LE)
        && test.getLhs() instanceof IdentNode counted
        && counted.getName().equals(name)
        && plain(loop.getModify()) instanceof UnaryNode up
        && (up.isTokenType(TokenType.INCPOSTFIX) || up.isTokenType(TokenType.INCPREFIX))
        && up.getExpression() instanceof IdentNode raised
        && raised.getName().equals(name);
  }

  private static Expression plain(Expression e) {
    return e instanceof JoinPredecessorExpression j ? j.getExpression() : e;
  }

  private Clause other(Statement statement) {
    List<Phrase> phrases = new ArrayList<>();
    List<Clause> clauses = new ArrayList<>();
    inside(statement, phrases, clauses);
    return new Clause.Other(phrases, clauses, at(statement));
  }

  private Phrase phrase(Expression e) {
    return switch (e) {
      case JoinPredecessorExpression j when j.getExpression() != null -> phrase(j.getExpression());
      case LiteralNode<?> l when !l.isArray() -> literal(l);
      case LiteralNode<?> l -> listed(l);
      case IdentNode i -> new Phrase.Name(i.getName(), at(i));
      case AccessNode a when !a.isPrivate() && !a.isOptional() ->
          new Phrase.Member(phrase(a.getBase()), a.getProperty(), at(a));
      case IndexNode i
          when !i.isOptional() && i.getIndex() instanceof LiteralNode<?> name && name.isString() ->
          new Phrase.Member(phrase(i.getBase()), name.getString(), at(i));
      case CallNode c when !c.isNew() && !c.isOptional() -> call(c);
      case TemplateLiteralNode.UntaggedTemplateLiteralNode t ->
          new Phrase.Mixed(t.getExpressions().stream().map(this::phrase).toList(), at(t));
      case ObjectNode o when o.getElements().stream().allMatch(Parsing::isPlain) ->
          new Phrase.Fields(
              o.getElements().stream()
                  .map(p -> new Phrase.Field(p.getKeyName(), phrase(p.getValue())))
                  .toList(),
              at(o));
      case UnaryNode u when sign(u.tokenType()).isPresent() ->
          new Phrase.Prefix(sign(u.tokenType()).get(), phrase(u.getExpression()), at(u));
      case BinaryNode b ->
          new Phrase.Infix(phrase(b.getLhs()), b.tokenType().getName(), phrase(b.getRhs()), at(b));
      case FunctionNode f -> function(f);
      default -> {
        List<Phrase> phrases = new ArrayList<>();
        List<Clause> clauses = new ArrayList<>();
        inside(e, phrases, clauses);
        yield new Phrase.Other(phrases, clauses, at(e));
      }
    };
  }

  private static boolean isPlain(PropertyNode p) {
    return !p.isComputed() && !p.isAccessor() && !p.isRest() && p.getValue() != null;
  }

  private static Optional<String> sign(TokenType type) {
    return switch (type) {
      case SUB -> Optional.of("-");
      case NOT -> Optional.of("!");
      default -> Optional.empty();
    };
  }

  private Phrase literal(LiteralNode<?> l) {
    return switch (l.getObject()) {
      case Boolean yes -> new Phrase.YesNo(yes, at(l));
      case Number n when Double.isFinite(n.doubleValue()) ->
          new Phrase.Digits(new BigDecimal(n.toString()), at(l));
      case null -> new Phrase.Other(List.of(), List.of(), at(l));
      default ->
          l.isString()
              ? new Phrase.Words(l.getString(), at(l))
              : new Phrase.Other(List.of(), List.of(), at(l));
    };
  }

  private Phrase listed(LiteralNode<?> list) {
    List<Expression> items = list.getElementExpressions();
    boolean whole =
        items.stream().noneMatch(i -> i == null || i.isTokenType(TokenType.SPREAD_ARRAY));
    List<Phrase> read = items.stream().filter(i -> i != null).map(this::phrase).toList();
    return whole ? new Phrase.Listed(read, at(list)) : new Phrase.Other(read, List.of(), at(list));
  }

  private Phrase call(CallNode call) {
    List<String> visible = new ArrayList<>();
    scopes.forEach(names -> names.stream().filter(n -> !visible.contains(n)).forEach(visible::add));
    return new Phrase.Call(
        phrase(call.getFunction()),
        call.getArgs().stream().map(this::phrase).toList(),
        List.copyOf(visible),
        at(call));
  }

  private Phrase function(FunctionNode f) {
    List<String> names = f.getParameters().stream().map(IdentNode::getName).toList();
    return new Phrase.Function(names, block(f.getBody()), at(f));
  }

  /** What lies directly inside anything. */
  private void inside(Node node, List<Phrase> phrases, List<Clause> clauses) {
    node.accept(
        new NodeVisitor<>(new LexicalContext()) {
          @Override
          protected boolean enterDefault(Node n) {
            if (n.equals(node)) { // nodes are equal to themselves only
              return true;
            }
            switch (n) {
              case Block b -> clauses.addAll(block(b));
              case Statement s -> clauses.add(clause(s));
              case Expression e -> phrases.add(phrase(e));
              default -> {
                return true;
              }
            }
            return false;
          }
        });
  }
}
