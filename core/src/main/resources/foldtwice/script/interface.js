// What a script can use. Everything it asks for goes through `host`, which it cannot reach itself.
(function (host) {
  'use strict';
  const freeze = Object.freeze, entries = Object.entries;
  const String_ = String, stringify = JSON.stringify;
  for (const name of ['print', 'printErr', 'load', 'loadWithNewGlobal', 'console', 'Graal', 'quit',
    'exit', 'read', 'readbuffer', 'readline', 'java', 'javax', 'Java', 'Packages', 'Polyglot',
    // what tells the machine's time, or could be made to
    'Intl', 'Temporal', 'performance', 'Atomics', 'SharedArrayBuffer', 'WebAssembly']) {
    delete globalThis[name];
  }

  // Dates know one moment: when the run began.
  const Date_ = Date, construct = Reflect.construct;
  let now = 0;
  function FixedDate(...given) {
    return new.target
      ? construct(Date_, given.length ? given : [now], new.target)
      : new Date_(now).toString();
  }
  for (const [name, one] of Object.entries(Object.getOwnPropertyDescriptors(Date_))) {
    if (!['length', 'name', 'prototype', 'now'].includes(name)) {
      Object.defineProperty(FixedDate, name, one);
    }
  }
  Object.defineProperty(FixedDate, 'name', {value: 'Date'});
  FixedDate.now = () => now;
  FixedDate.prototype = Date_.prototype;
  Date_.prototype.constructor = FixedDate;
  globalThis.Date = FixedDate;

  /** A program refused, or a value did not fit. */
  class Refusal extends Error {
    constructor(expected, found) {
      super('expected ' + expected + ', found ' + found);
      this.name = 'Refusal';
      this.expected = expected;
      this.found = found;
    }
  }

  /** A number with its unit. */
  class Amount {
    constructor(amount, unit) {
      this.amount = amount;
      this.unit = unit;
      freeze(this);
    }
    to(unit) { return ask('convert', [this.amount, this.unit, unit]); }
    plus(other) { return new Amount(this.amount + other.to(this.unit).amount, this.unit); }
    times(factor) { return new Amount(this.amount * factor, this.unit); }
    negated() { return new Amount(-this.amount, this.unit); }
    toString() { return this.amount + (this.unit === '\u00b0' || this.unit === '%' ? '' : ' ') + this.unit; }
  }
  freeze(Amount.prototype);
  freeze(Refusal.prototype);

  function value(given) {
    return given[0] === 'amount' ? new Amount(given[1], given[2]) : given;
  }

  /** What a watched script sees where it asks next, as names and functions that give the values. */
  let visible = [];

  function seen() {
    const all = [];
    for (const [name, look] of visible) {
      try {
        const found = look();
        if (found !== undefined && typeof found !== 'function') {
          all.push(name, typeof found === 'object' && !(found instanceof Amount)
            ? stringify(found) : found);
        }
      } catch (e) { } // not begun yet
    }
    visible = [];
    return all;
  }

  /** Asks the host, which checks what is given. */
  function ask(what, given, names = {}) {
    const answer = host(what, given, entries(names).flat(), visible.length ? seen() : []);
    if (typeof answer !== 'object' || answer === null) {
      return answer;
    }
    if (answer[0] === 'refused') {
      throw new Refusal(answer[1], answer[2]);
    }
    return answer[0] === 'list' ? Array.from(answer[1], value) : value(answer);
  }

  /** What is told as the host tells it: a value as it is, anything else as a text. */
  function told(what) {
    return typeof what === 'object' && !(what instanceof Amount) || what === undefined
      || typeof what === 'function' ? String_(what) : what;
  }

  /** Asks with questions, by name; gives the answers by the same names. */
  function questions(what, text, asked) {
    const names = Object.keys(asked);
    const given = names.flatMap(name => {
      const one = {kind: '', default: '', least: '', most: '', step: '', options: [], offered: [],
        kept: false, ...asked[name]};
      return [name, one.kind, one.default, one.least, one.most, one.step,
        one.options.join(', '), one.offered.join(', '), one.kept];
    });
    const answers = [ask(what, [told(text), ...given])].flat();
    return Object.fromEntries(names.map((name, at) => [name, answers[at]]));
  }

  /** What scripts that are used export, by id; `false` while one is being begun. */
  const used = new Map();

  function use(id) {
    if (!used.has(id)) {
      const begin = host('use', [id], [], []);
      if (typeof begin !== 'function') {
        throw new Refusal(begin[1], begin[2]);
      }
      used.set(id, false);
      const exports = {};
      begin(exports);
      used.set(id, freeze(exports));
    } else if (used.get(id) === false) {
      throw new Refusal('a script that does not use this one again', id);
    }
    return used.get(id);
  }

  const program = freeze({
    choose(...labels) { ask('choose', labels); },
    ticked(...labels) { return ask('ticked', labels); },
    fill(field, given) { ask('fill', [field, given]); },
    press(button) { ask('press', [button]); },
    field(label) { return ask('field', [label]); },
    dialogOpen(title) { return ask('dialog', [title]); },
    setting(name) { return ask('setting', [name]); },
    change(name, given) { ask('change', [name, given]); },
    changeForGood(name, given) { ask('keep', [name, given]); },
    value(name) { return ask('value', [name]); },
    adjustTo(name, given, ...edge) { ask('to', [name, given, ...edge]); },
    adjustBy(name, given, ...edge) { ask('by', [name, given, ...edge]); },
    shown(name) { return ask('shown', [name]); },
    select(what, ...edge) { ask('select', [what, ...edge]); },
    selectToo(what, ...edge) { ask('selectToo', [what, ...edge]); },
    selected() { return ask('selected', []); },
    eachSelected(does) {
      const all = ask('selected', []);
      all.forEach((name, at) => {
        ask('selectNamed', [name, false]);
        does(name, at);
      });
      all.forEach((name, at) => ask('selectNamed', [name, at > 0]));
    },
    move(rows, columns = 0, ...edge) { ask('move', [rows, columns, ...edge]); },
    somethingSelected() { return ask('some', []); },
    selectedCount() { return ask('count', []); },
    selectedText() { return ask('text', []); },
    type(what) { ask('type', [told(what)]); },
    keys(notation) { ask('keys', [notation]); },
    finish() { ask('finish', []); },
    giveUp() { ask('giveUp', []); },
    again() { ask('again', []); },
    cycle(name, ...values) { ask('cycle', [name, ...values]); },
    cycleForGood(name, ...values) { ask('cycleKeep', [name, ...values]); },
    releaseHeld() { ask('release', []); },
    ignoreHeld() { ask('ignore', []); },
    versionAtLeast(version) { return ask('version', [version]); },
  });

  const computer = freeze({
    clipboard() { return ask('clipboard', []); },
    capture(area = 'whole', file = '') { ask('capture', [area, told(file)]); },
    start(name, ...given) { ask('start', [name, ...given.map(told)]); },
    lines(file) { return ask('file', [told(file)]); },
    bringToFront(name) { ask('front', [name]); },
    inFront(name) { return ask('inFront', [name]); },
    waitForWindow(name, seconds = 30) { ask('await', [name, seconds]); },
  });

  const globals = {
    program,
    computer,
    Refusal,
    amount(written) { return ask('amount', [written]); },
    askFor(question, otherwise = '') { return ask('ask', [question, otherwise]); },
    ask(text, asked) { return questions('asks', text, asked); },
    pause(note, asked = {}) { return questions('pause', note, asked); },
    holds(condition, names) { return ask('holds', [condition], names); },
    waitUntil(condition, seconds = 30, names) { ask('until', [condition, seconds], names); },
    computed(expression, names) { return ask('computed', [expression], names); },
    lines(text) {
      const all = String_(text).split(/\r\n|\r|\n/);
      return all.at(-1) === '' ? all.slice(0, -1) : all;
    },
    runRoutine(id, given = {}) { ask('run', [id, ...entries(given).flat()]); },
    use,
    log(what) { ask('log', [told(what)]); },
    stop(reason) { ask('stop', [told(reason)]); },
  };
  for (const [name, one] of Object.entries(globals)) {
    Object.defineProperty(globalThis, name, {value: freeze(one), enumerable: true});
  }
  freeze(globals);
  globalThis.exports = {};
  Object.defineProperty(globalThis, '$seen', {value(now) { visible = now; return globals; }});

  return function (names, values, moment) {
    now = moment;
    const parameters = {};
    for (let i = 0; i < names.length; i++) {
      const one = values[i];
      parameters[names[i]] = typeof one === 'object' ? value(one) : one;
    }
    Object.defineProperty(globalThis, 'parameters', {value: freeze(parameters), enumerable: true});
  };
})
