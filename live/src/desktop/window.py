"""A small window for tests: a menu, a text, a dialog, a value; told on standard input how to behave.

Words it takes, one a line: hang SECONDS, close, rename MENU=LABEL, late, twin, ask (a dialog asks back),
slow MILLISECONDS (dialogs open and close so late), off ITEM, clear, text, and "say", which it answers on
standard output, so that a test knows that what came before is done.
"""
import sys, threading, time
import gi
gi.require_version("Gtk", "3.0")
from gi.repository import Gtk, GLib, Gdk

many = int(sys.argv[1]) if len(sys.argv) > 1 else 0
win = Gtk.Window(title="Ledger of tests")
win.set_default_size(500, 300)
group = Gtk.AccelGroup()
win.add_accel_group(group)
bar = Gtk.MenuBar()
items = {}

def menu(label, into=None):
    item = Gtk.MenuItem.new_with_mnemonic(label)
    inner = Gtk.Menu()
    item.set_submenu(inner)
    (into or bar).append(item)
    items[label] = item
    return inner

def add(into, label, does=None, keys=None, kind=Gtk.MenuItem):
    item = kind.new_with_mnemonic(label)
    if does:
        item.connect("activate", does)
    if keys:
        key, mods = Gtk.accelerator_parse(keys)
        item.add_accelerator("activate", group, key, mods, Gtk.AccelFlags.VISIBLE)
    into.append(item)
    items[label] = item
    return item

box = Gtk.Box(orientation=Gtk.Orientation.VERTICAL)
view = Gtk.TextView()
view.get_accessible().set_name("Page")
buffer = view.get_buffer()
past = []
asks_back = False
slow = 0

def later(does):
    if slow:
        GLib.timeout_add(slow, lambda: does() and False)
    else:
        does()

def write(text):
    past.append(buffer.get_text(*buffer.get_bounds(), True))
    buffer.set_text(buffer.get_text(*buffer.get_bounds(), True) + text)

def undo(*_):
    if past:
        buffer.set_text(past.pop())

def really():
    back = Gtk.Dialog(title="Really?", transient_for=win, modal=True)
    back.add_button("No", 0)
    back.add_button("Yes", 1)
    said = back.run()
    back.destroy()
    return said == 1

def shift(*_):
    later(open_shift)

def open_shift():
    dialog = Gtk.Dialog(title="Shift lines", transient_for=win, modal=True)
    grid = Gtk.Grid()
    by = Gtk.Entry(text="1")
    label = Gtk.Label(label="_By", use_underline=True, mnemonic_widget=by)
    times = Gtk.SpinButton.new_with_range(1, 9, 1)
    tlabel = Gtk.Label(label="Times", mnemonic_widget=times)
    way = Gtk.ComboBoxText()
    for w in ("left", "right", "both"):
        way.append_text(w)
    way.set_active(1)
    wlabel = Gtk.Label(label="Way", mnemonic_widget=way)
    keep = Gtk.CheckButton(label="Keep marks")
    for row, pair in enumerate(((label, by), (tlabel, times), (wlabel, way))):
        grid.attach(pair[0], 0, row, 1, 1)
        grid.attach(pair[1], 1, row, 1, 1)
    grid.attach(keep, 0, 3, 2, 1)
    dialog.get_content_area().add(grid)
    dialog.add_button("Cancel", 0)
    dialog.add_button("Shift", 1)
    def answer(d, which):
        later(lambda: answered(d, which))
    def answered(d, which):
        if which == 1 and asks_back:
            if not really():
                return
        if which == 1:
            write("[shift %s x%d %s %s]" % (by.get_text(), times.get_value_as_int(), way.get_active_text(), "keep" if keep.get_active() else "drop"))
        d.destroy()
    dialog.connect("response", answer)
    dialog.show_all()

ledger = menu("_Ledger")
add(ledger, "_Stamp", lambda *_: write("[stamp]"), "<Primary><Shift>m")
add(ledger, "Sh_ift lines\u2026 ", shift, "<Alt>F7")
deep = menu("More", ledger)
add(deep, "Bell", lambda *_: write("[bell]"))
add(ledger, "Quit", lambda *_: Gtk.main_quit())
edit = menu("_Edit")
add(edit, "_Undo", undo, "<Primary>z")
upper = add(edit, "Upper case", None, None, Gtk.CheckMenuItem)
upper.connect("toggled", lambda i: write("[upper %s]" % i.get_active()))
view_menu = menu("_View")
first = None
for name in ("Small", "Middle", "Large"):
    item = Gtk.RadioMenuItem.new_with_label(first.get_group() if first else [], name)
    first = first or item
    view_menu.append(item)
    items[name] = item
if many:
    lots = menu("Many")
    for i in range(many):
        add(lots, "Item %d" % i, lambda *_: write("[item]"))
box.pack_start(bar, False, False, 0)
tools = Gtk.Toolbar()
button = Gtk.ToolButton(label="Tick off")
button.connect("clicked", lambda *_: write("[tick]"))
tools.insert(button, 0)
box.pack_start(tools, False, False, 0)
scale = Gtk.Scale.new_with_range(Gtk.Orientation.HORIZONTAL, 0, 100, 5)
scale.set_value(40)
scale.get_accessible().set_name("Ink")
box.pack_start(scale, False, False, 0)
box.pack_start(view, True, True, 0)
win.add(box)
win.connect("destroy", Gtk.main_quit)
win.show_all()
win.present()
view.grab_focus()

def told(line):
    word, _, rest = line.strip().partition(" ")
    if word == "hang":
        time.sleep(float(rest))
    elif word == "close":
        Gtk.main_quit()
    elif word == "rename":
        old, _, new = rest.partition("=")
        items[old].set_label(new)
    elif word == "late":
        GLib.timeout_add(600, lambda: add(deep, "Late one", lambda *_: write("[late]")).show() or False)
    elif word == "twin":
        add(ledger, "_Stamp", lambda *_: write("[twin]")).show()
    elif word == "off":
        items[rest].set_sensitive(False)
    elif word == "ask":
        global asks_back
        asks_back = True
    elif word == "slow":
        global slow
        slow = int(rest)
    elif word == "clear":
        buffer.set_text("")
    elif word == "text":
        print(buffer.get_text(*buffer.get_bounds(), True).replace("\n", "|"), flush=True)
    elif word == "say":
        print("said", flush=True)
    return False

def listen():
    for line in sys.stdin:
        GLib.idle_add(told, line)
    GLib.idle_add(Gtk.main_quit)

threading.Thread(target=listen, daemon=True).start()
print("up", flush=True)
Gtk.main()
