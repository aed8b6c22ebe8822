// name: First capital in every note
// application: vasculum
// author: I. Moss
// SPDX-License-Identifier: CC-BY-SA-4.0
// version: 1.1
// keys: Ctrl+Alt+N
program.select('Note 1');
for (let row = 1; row <= 12; row++) {
  program.choose('Text', 'Letter case', 'First capital');
  if (row < 12) {
    program.move(1);
  }
}
