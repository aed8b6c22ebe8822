#!/usr/bin/env python3
"""Derives the keyboard tables that ship in core from published data.

  tools/derive-layouts.py keysyms /usr/include/X11/keysymdef.h   > core/.../trigger/keysyms.tsv
  tools/derive-layouts.py layout de                              > core/.../trigger/layouts/de.tsv
  tools/derive-layouts.py layout us-dvorak                       (a layout and its variant)

keysyms: Debian package x11proto-dev.  layout: Debian packages xkb-data and libxkbcommon-tools
(runs `xkbcli compile-keymap --layout ID`).  The shipped tables were made with x11proto-dev 2022.1
and xkb-data 2.35.1.
"""
import re
import subprocess
import sys

# evdev code of every position that types something, in W3C `code` names
PRINTING = dict(line.split() for line in """
Backquote 41
Digit1 2
Digit2 3
Digit3 4
Digit4 5
Digit5 6
Digit6 7
Digit7 8
Digit8 9
Digit9 10
Digit0 11
Minus 12
Equal 13
KeyQ 16
KeyW 17
KeyE 18
KeyR 19
KeyT 20
KeyY 21
KeyU 22
KeyI 23
KeyO 24
KeyP 25
BracketLeft 26
BracketRight 27
KeyA 30
KeyS 31
KeyD 32
KeyF 33
KeyG 34
KeyH 35
KeyJ 36
KeyK 37
KeyL 38
Semicolon 39
Quote 40
Backslash 43
IntlBackslash 86
KeyZ 44
KeyX 45
KeyC 46
KeyV 47
KeyB 48
KeyN 49
KeyM 50
Comma 51
Period 52
Slash 53
IntlYen 124
IntlRo 89
Space 57
""".strip().splitlines())


def keysyms(path):
    seen = set()
    rows = []
    for line in open(path, encoding="utf-8"):
        m = re.match(r"#define XK_(\w+)\s+0x([0-9a-f]+)\s*(?:/\*[( ]*(?:U\+([0-9A-F]{4,6}))?.*)?", line)
        if not m:
            continue
        name, value, uni = m.group(1), int(m.group(2), 16), m.group(3)
        function = 0xFE00 <= value <= 0xFFFF
        if value in seen or not (uni or function) or "deprecated" in line:
            continue
        seen.add(value)
        rows.append(f"{name}\t{'U+' + uni if uni and not function else '-'}")
    print("# XKB keysym name, Unicode code point it stands for ('-' for none). Source: keysymdef.h and XF86keysym.h, x11proto-dev 2022.1")
    for line in open(path.replace("keysymdef.h", "XF86keysym.h"), encoding="utf-8"):
        m = re.match(r"#define XF86XK_(\w+)\s+", line)
        if m and "deprecated" not in line.lower():
            rows.append(f"XF86{m.group(1)}\t-")
    print("\n".join(rows))


def layout(ident):
    name, _, variant = ident.partition("-")
    options = ["--layout", name] + (["--variant", variant] if variant else [])
    text = subprocess.run(["xkbcli", "compile-keymap"] + options, check=True, capture_output=True, text=True).stdout
    codes = {m.group(1): int(m.group(2)) - 8 for m in re.finditer(r"<(\w+)>\s*=\s*(\d+);", text)}
    position = {int(evdev): code for code, evdev in PRINTING.items()}
    symbols = text[text.index("xkb_symbols"):]
    rows = {}
    for m in re.finditer(r"key <(\w+)>\s*\{(.*?)\};", symbols, re.S):
        code = position.get(codes.get(m.group(1)))
        lists = re.findall(r"\[([^\]]*)\]", re.sub(r"symbols\[Group1\]|actions\[Group1\]=\s*\[[^\]]*\]", "", m.group(2)))
        if code and lists:
            levels = [s.strip() for s in lists[0].split(",")][:4]
            rows[code] = levels + [levels[-1] if len(levels) == 1 and code == "Space" else "NoSymbol"] * (4 - len(levels))
    print(f"# position (W3C code), then the keysym made plain, with Shift, with AltGr, with Shift and AltGr. Source: xkb-data 2.35.1, layout {ident}")
    for code in PRINTING:
        if code in rows:
            print("\t".join([code] + rows[code]))


if __name__ == "__main__":
    {"keysyms": keysyms, "layout": layout}[sys.argv[1]](sys.argv[2])
