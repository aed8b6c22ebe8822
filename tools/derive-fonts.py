#!/usr/bin/env python3
"""Makes the fonts of printed sheets: TrueType of the fonts the window ships, and a subset of DejaVu.

Needs fontTools. Usage: derive-fonts.py FOLDER, where FOLDER holds the unpacked npm package
dejavu-fonts-ttf 2.37.3. The results are in the repository; this says how they came about.
"""
import sys
from pathlib import Path

from fontTools import subset
from fontTools.ttLib import TTFont

ROOT = Path(__file__).resolve().parent.parent
WINDOW = ROOT / "desktop/src/main/resources/foldtwice/desktop/fonts"
SHEETS = ROOT / "core/src/main/resources/foldtwice/sheet/fonts"

# Latin, Greek, Cyrillic, and the signs of keys, units and herbaria.
RANGES = [
    (0x0020, 0x052F), (0x1E00, 0x1EFF), (0x2000, 0x206F), (0x2070, 0x209F), (0x20A0, 0x20BF),
    (0x2100, 0x214F), (0x2190, 0x21FF), (0x2200, 0x22FF), (0x2300, 0x23FF), (0x2500, 0x25FF),
    (0x2600, 0x26FF), (0x2700, 0x27BF),
]


def main(dejavu):
    SHEETS.mkdir(parents=True, exist_ok=True)
    for weight in (400, 600):
        font = TTFont(WINDOW / f"hanken-grotesk-latin-{weight}-normal.woff")
        font.flavor = None
        font.save(SHEETS / f"hanken-grotesk-{weight}.ttf", reorderTables=True)
    for name in ("DejaVuSans", "DejaVuSans-Bold"):
        options = subset.Options()
        options.layout_features = ["kern"]
        options.hinting = False
        font = TTFont(Path(dejavu) / "ttf" / f"{name}.ttf")
        chosen = subset.Subsetter(options)
        chosen.populate(unicodes=[c for a, b in RANGES for c in range(a, b + 1)])
        chosen.subset(font)
        font.save(SHEETS / f"{name}.ttf")


main(sys.argv[1])
