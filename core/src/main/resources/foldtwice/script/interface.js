// What a script can use. Everything it asks for goes through `host`, which it cannot reach itself.
(function (host) {
  'use strict';
  const freeze = Object.freeze;
  const String_ = String, parse = parseInt;
  Error.stackTraceLimit = 4; // from line() out to the one who calls the interface
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
    toString() { return this.amount + ' ' + this.unit; }
  }
  freeze(Amount.prototype);
  freeze(Refusal.prototype);

  function value(given) {
    return given[0] === 'amount' ? new Amount(given[1], given[2]) : given;
  }

  /** The line of the script that is being worked; 0 where it cannot be told. */
  function line() {
    const at = '' + new Error().stack;
    const from = at.indexOf('script:');
    return from < 0 ? 0 : parse(at.substring(from + 7, from + 13)) || 0;
  }

  /** Asks the host, which checks what is given. */
  function ask(what, given) {
    const answer = host(line(), what, given);
    if (typeof answer !== 'object' || answer === null) {
      return answer;
    }
    if (answer[0] === 'refused') {
      throw new Refusal(answer[1], answer[2]);
    }
    return value(answer);
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
    adjustTo(name, given) { ask('to', [name, given]); },
    adjustBy(name, given) { ask('by', [name, given]); },
    shown(name) { return ask('shown', [name]); },
    select(what) { ask('select', [what, false]); },
    selectToo(what) { ask('select', [what, true]); },
    move(rows, columns = 0) { ask('move', [rows, columns]); },
    somethingSelected() { return ask('some', []); },
    selectedCount() { return ask('count', []); },
    selectedText() { return ask('text', []); },
    type(what) { ask('type', [String_(what)]); },
    keys(notation) { ask('keys', [notation]); },
    finish() { ask('finish', []); },
    giveUp() { ask('giveUp', []); },
    again() { ask('again', []); },
    cycle(name, ...values) { ask('cycle', [name, ...values]); },
    releaseHeld() { ask('release', []); },
    ignoreHeld() { ask('ignore', []); },
    versionAtLeast(version) { return ask('version', [version]); },
  });

  const computer = freeze({
    clipboard() { return ask('clipboard', []); },
    capture(area = 'whole', file = '') { ask('capture', [area, String_(file)]); },
    start(name, ...given) { ask('start', [name, ...given.map(String_)]); },
    bringToFront(name) { ask('front', [name]); },
    waitForWindow(name, seconds = 30) { ask('await', [name, seconds]); },
  });

  const globals = {
    program,
    computer,
    Refusal,
    amount(written) { return ask('amount', [written]); },
    askFor(question, otherwise = '') { return ask('ask', [question, otherwise]); },
    pause(note) { ask('pause', [note]); },
    runRoutine(id, given = {}) { ask('run', [id, ...Object.entries(given).flat()]); },
    log(what) { ask('log', [String_(what)]); },
    stop(reason) { ask('stop', [String_(reason)]); },
  };
  for (const [name, one] of Object.entries(globals)) {
    Object.defineProperty(globalThis, name, {value: freeze(one), enumerable: true});
  }

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
