package foldtwice.trigger;

import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A key by its position on the keyboard, whatever the layout prints on it.
 *
 * <p>{@link #code()} is the W3C <em>UI Events KeyboardEvent code</em> value, {@link #usage()} the
 * USB HID usage on page 0x07 (Keyboard/Keypad), {@link #evdev()} the Linux event code; the XKB
 * keycode is that code plus eight. Keys that stand on other pages have the number of the page in
 * the upper half of their usage.
 */
public enum KeyCode {
  BACKQUOTE("Backquote", 0x35, 41, null),
  DIGIT_1("Digit1", 0x1E, 2, null),
  DIGIT_2("Digit2", 0x1F, 3, null),
  DIGIT_3("Digit3", 0x20, 4, null),
  DIGIT_4("Digit4", 0x21, 5, null),
  DIGIT_5("Digit5", 0x22, 6, null),
  DIGIT_6("Digit6", 0x23, 7, null),
  DIGIT_7("Digit7", 0x24, 8, null),
  DIGIT_8("Digit8", 0x25, 9, null),
  DIGIT_9("Digit9", 0x26, 10, null),
  DIGIT_0("Digit0", 0x27, 11, null),
  MINUS("Minus", 0x2D, 12, null),
  EQUAL("Equal", 0x2E, 13, null),
  INTL_YEN("IntlYen", 0x89, 124, null),
  BACKSPACE("Backspace", 0x2A, 14, "BackSpace"),
  TAB("Tab", 0x2B, 15, "Tab"),
  KEY_Q("KeyQ", 0x14, 16, null),
  KEY_W("KeyW", 0x1A, 17, null),
  KEY_E("KeyE", 0x08, 18, null),
  KEY_R("KeyR", 0x15, 19, null),
  KEY_T("KeyT", 0x17, 20, null),
  KEY_Y("KeyY", 0x1C, 21, null),
  KEY_U("KeyU", 0x18, 22, null),
  KEY_I("KeyI", 0x0C, 23, null),
  KEY_O("KeyO", 0x12, 24, null),
  KEY_P("KeyP", 0x13, 25, null),
  BRACKET_LEFT("BracketLeft", 0x2F, 26, null),
  BRACKET_RIGHT("BracketRight", 0x30, 27, null),
  BACKSLASH("Backslash", 0x31, 43, null),
  CAPS_LOCK("CapsLock", 0x39, 58, "Caps_Lock"),
  KEY_A("KeyA", 0x04, 30, null),
  KEY_S("KeyS", 0x16, 31, null),
  KEY_D("KeyD", 0x07, 32, null),
  KEY_F("KeyF", 0x09, 33, null),
  KEY_G("KeyG", 0x0A, 34, null),
  KEY_H("KeyH", 0x0B, 35, null),
  KEY_J("KeyJ", 0x0D, 36, null),
  KEY_K("KeyK", 0x0E, 37, null),
  KEY_L("KeyL", 0x0F, 38, null),
  SEMICOLON("Semicolon", 0x33, 39, null),
  QUOTE("Quote", 0x34, 40, null),
  ENTER("Enter", 0x28, 28, "Return"),
  SHIFT_LEFT("ShiftLeft", 0xE1, 42, "Shift_L"),
  INTL_BACKSLASH("IntlBackslash", 0x64, 86, null),
  KEY_Z("KeyZ", 0x1D, 44, null),
  KEY_X("KeyX", 0x1B, 45, null),
  KEY_C("KeyC", 0x06, 46, null),
  KEY_V("KeyV", 0x19, 47, null),
  KEY_B("KeyB", 0x05, 48, null),
  KEY_N("KeyN", 0x11, 49, null),
  KEY_M("KeyM", 0x10, 50, null),
  COMMA("Comma", 0x36, 51, null),
  PERIOD("Period", 0x37, 52, null),
  SLASH("Slash", 0x38, 53, null),
  INTL_RO("IntlRo", 0x87, 89, null),
  SHIFT_RIGHT("ShiftRight", 0xE5, 54, "Shift_R"),
  CONTROL_LEFT("ControlLeft", 0xE0, 29, "Control_L"),
  META_LEFT("MetaLeft", 0xE3, 125, "Super_L"),
  ALT_LEFT("AltLeft", 0xE2, 56, "Alt_L"),
  SPACE("Space", 0x2C, 57, null),
  ALT_RIGHT("AltRight", 0xE6, 100, "ISO_Level3_Shift"),
  META_RIGHT("MetaRight", 0xE7, 126, "Super_R"),
  CONTEXT_MENU("ContextMenu", 0x65, 127, "Menu"),
  CONTROL_RIGHT("ControlRight", 0xE4, 97, "Control_R"),
  ESCAPE("Escape", 0x29, 1, "Escape"),
  F1("F1", 0x3A, 59, "F1"),
  F2("F2", 0x3B, 60, "F2"),
  F3("F3", 0x3C, 61, "F3"),
  F4("F4", 0x3D, 62, "F4"),
  F5("F5", 0x3E, 63, "F5"),
  F6("F6", 0x3F, 64, "F6"),
  F7("F7", 0x40, 65, "F7"),
  F8("F8", 0x41, 66, "F8"),
  F9("F9", 0x42, 67, "F9"),
  F10("F10", 0x43, 68, "F10"),
  F11("F11", 0x44, 87, "F11"),
  F12("F12", 0x45, 88, "F12"),
  F13("F13", 0x68, 183, "F13"),
  F14("F14", 0x69, 184, "F14"),
  F15("F15", 0x6A, 185, "F15"),
  F16("F16", 0x6B, 186, "F16"),
  F17("F17", 0x6C, 187, "F17"),
  F18("F18", 0x6D, 188, "F18"),
  F19("F19", 0x6E, 189, "F19"),
  F20("F20", 0x6F, 190, "F20"),
  F21("F21", 0x70, 191, "F21"),
  F22("F22", 0x71, 192, "F22"),
  F23("F23", 0x72, 193, "F23"),
  F24("F24", 0x73, 194, "F24"),
  PRINT_SCREEN("PrintScreen", 0x46, 99, "Print"),
  SCROLL_LOCK("ScrollLock", 0x47, 70, "Scroll_Lock"),
  PAUSE("Pause", 0x48, 119, "Pause"),
  INSERT("Insert", 0x49, 110, "Insert"),
  HOME("Home", 0x4A, 102, "Home"),
  PAGE_UP("PageUp", 0x4B, 104, "Prior"),
  DELETE("Delete", 0x4C, 111, "Delete"),
  END("End", 0x4D, 107, "End"),
  PAGE_DOWN("PageDown", 0x4E, 109, "Next"),
  ARROW_RIGHT("ArrowRight", 0x4F, 106, "Right"),
  ARROW_LEFT("ArrowLeft", 0x50, 105, "Left"),
  ARROW_DOWN("ArrowDown", 0x51, 108, "Down"),
  ARROW_UP("ArrowUp", 0x52, 103, "Up"),
  NUM_LOCK("NumLock", 0x53, 69, "Num_Lock"),
  NUMPAD_DIVIDE("NumpadDivide", 0x54, 98, "KP_Divide"),
  NUMPAD_MULTIPLY("NumpadMultiply", 0x55, 55, "KP_Multiply"),
  NUMPAD_SUBTRACT("NumpadSubtract", 0x56, 74, "KP_Subtract"),
  NUMPAD_ADD("NumpadAdd", 0x57, 78, "KP_Add"),
  NUMPAD_ENTER("NumpadEnter", 0x58, 96, "KP_Enter"),
  NUMPAD_1("Numpad1", 0x59, 79, "KP_1"),
  NUMPAD_2("Numpad2", 0x5A, 80, "KP_2"),
  NUMPAD_3("Numpad3", 0x5B, 81, "KP_3"),
  NUMPAD_4("Numpad4", 0x5C, 75, "KP_4"),
  NUMPAD_5("Numpad5", 0x5D, 76, "KP_5"),
  NUMPAD_6("Numpad6", 0x5E, 77, "KP_6"),
  NUMPAD_7("Numpad7", 0x5F, 71, "KP_7"),
  NUMPAD_8("Numpad8", 0x60, 72, "KP_8"),
  NUMPAD_9("Numpad9", 0x61, 73, "KP_9"),
  NUMPAD_0("Numpad0", 0x62, 82, "KP_0"),
  NUMPAD_DECIMAL("NumpadDecimal", 0x63, 83, "KP_Decimal"),
  NUMPAD_EQUAL("NumpadEqual", 0x67, 117, "KP_Equal"),
  HELP("Help", 0x75, 138, "Help"),
  UNDO("Undo", 0x7A, 131, "Undo"),
  CUT("Cut", 0x7B, 137, "XF86Cut"),
  COPY("Copy", 0x7C, 133, "XF86Copy"),
  PASTE("Paste", 0x7D, 135, "XF86Paste"),
  FIND("Find", 0x7E, 136, "Find"),
  AGAIN("Again", 0x79, 129, "Redo"),
  OPEN("Open", 0x74, 134, "XF86Open"),
  NUMPAD_COMMA("NumpadComma", 0x85, 121, "KP_Separator"),
  KANA_MODE("KanaMode", 0x88, 93, "Hiragana_Katakana"),
  CONVERT("Convert", 0x8A, 92, "Henkan_Mode"),
  NON_CONVERT("NonConvert", 0x8B, 94, "Muhenkan"),
  LANG_1("Lang1", 0x90, 122, "Hangul"),
  LANG_2("Lang2", 0x91, 123, "Hangul_Hanja"),
  LANG_3("Lang3", 0x92, 90, "Katakana"),
  LANG_4("Lang4", 0x93, 91, "Hiragana"),
  AUDIO_VOLUME_MUTE("AudioVolumeMute", 0x0C00E2, 113, "XF86AudioMute"),
  AUDIO_VOLUME_UP("AudioVolumeUp", 0x0C00E9, 115, "XF86AudioRaiseVolume"),
  AUDIO_VOLUME_DOWN("AudioVolumeDown", 0x0C00EA, 114, "XF86AudioLowerVolume"),
  MEDIA_PLAY_PAUSE("MediaPlayPause", 0x0C00CD, 164, "XF86AudioPlay"),
  MEDIA_TRACK_NEXT("MediaTrackNext", 0x0C00B5, 163, "XF86AudioNext"),
  MEDIA_TRACK_PREVIOUS("MediaTrackPrevious", 0x0C00B6, 165, "XF86AudioPrev"),
  MEDIA_STOP("MediaStop", 0x0C00B7, 166, "XF86AudioStop"),
  MEDIA_SELECT("MediaSelect", 0x0C0183, 226, "XF86AudioMedia"),
  EJECT("Eject", 0x0C00B8, 161, "XF86Eject"),
  LAUNCH_MAIL("LaunchMail", 0x0C018A, 155, "XF86Mail"),
  LAUNCH_APP_1("LaunchApp1", 0x0C0194, 157, "XF86MyComputer"),
  LAUNCH_APP_2("LaunchApp2", 0x0C0192, 140, "XF86Calculator"),
  BROWSER_SEARCH("BrowserSearch", 0x0C0221, 217, "XF86Search"),
  BROWSER_HOME("BrowserHome", 0x0C0223, 172, "XF86HomePage"),
  BROWSER_BACK("BrowserBack", 0x0C0224, 158, "XF86Back"),
  BROWSER_FORWARD("BrowserForward", 0x0C0225, 159, "XF86Forward"),
  BROWSER_STOP("BrowserStop", 0x0C0226, 128, "XF86Stop"),
  BROWSER_REFRESH("BrowserRefresh", 0x0C0227, 173, "XF86Reload"),
  BROWSER_FAVORITES("BrowserFavorites", 0x0C022A, 156, "XF86Favorites"),
  POWER("Power", 0x010081, 116, "XF86PowerOff"),
  SLEEP("Sleep", 0x010082, 142, "XF86Sleep"),
  WAKE_UP("WakeUp", 0x010083, 143, "XF86WakeUp");

  private static final Map<String, KeyCode> BY_CODE =
      Arrays.stream(values()).collect(Collectors.toMap(KeyCode::code, Function.identity()));

  private final String code;
  private final int usage;
  private final int evdev;
  private final String keysym;

  KeyCode(String code, int usage, int evdev, String keysym) {
    this.code = code;
    this.usage = usage;
    this.evdev = evdev;
    this.keysym = keysym;
  }

  /** The W3C {@code code} value, such as {@code KeyQ}. */
  public String code() {
    return code;
  }

  /** The usage on USB HID page 0x07, or a page and the usage on it. */
  public int usage() {
    return usage;
  }

  /** The Linux event code. */
  public int evdev() {
    return evdev;
  }

  /** The XKB keycode: the event code plus eight. */
  public int xkb() {
    return evdev + 8;
  }

  /** What the key makes on every layout; empty for keys whose character the layout decides. */
  public Optional<Keysym> fixedKeysym() {
    return keysym == null ? Optional.empty() : Keysym.named(keysym);
  }

  /** True for the keys that are held to change others. */
  public boolean isModifier() {
    return modifier().isPresent();
  }

  /** The modifier this key is, if it is one. */
  public Optional<Modifier> modifier() {
    return Optional.ofNullable(
        switch (this) {
          case SHIFT_LEFT, SHIFT_RIGHT -> Modifier.SHIFT;
          case CONTROL_LEFT, CONTROL_RIGHT -> Modifier.CTRL;
          case ALT_LEFT -> Modifier.ALT;
          case ALT_RIGHT -> Modifier.ALTGR;
          case META_LEFT, META_RIGHT -> Modifier.LOGO;
          default -> null;
        });
  }

  /** The key with this W3C {@code code} value. */
  public static Optional<KeyCode> of(String code) {
    return Optional.ofNullable(BY_CODE.get(code));
  }
}
