package foldtwice.surface;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class IconShapeTest {

  private static IconShape read(String svg) throws IconShape.Refused {
    return IconShape.read(svg.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void shapesBecomePathDataAndComeBack() throws Exception {
    IconShape icon =
        read(
            """
            <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 16 12">
              <title>A leaf</title>
              <g><path d="M1 1L4 4z"/><rect x="1" y="2" width="3" height="4"/></g>
              <circle cx="8" cy="6" r="2"/><polygon points="1,1 2,2 3,1"/>
            </svg>
            """);
    assertThat(icon.width()).isEqualTo(16);
    assertThat(icon.height()).isEqualTo(12);
    assertThat(icon.path())
        .startsWith("M1 1L4 4z M 1.00000 2.00000 h 3.00000 v 4.00000 h -3.00000 Z")
        .contains("M 6.00000 6.00000 a 2.00000 2.00000")
        .endsWith("M 1,1 2,2 3,1 Z");
    assertThat(IconShape.of(icon.written())).contains(icon);
  }

  /** What could run, fetch or refer is not taken along, whatever it is. */
  @Test
  void nothingButOutlinesIsKept() throws Exception {
    IconShape icon =
        read(
            """
            <svg viewBox="0 0 24 24" onload="alert(1)" xmlns:xlink="http://www.w3.org/1999/xlink">
              <script>alert(2)</script>
              <style>path { fill: url(http://example.org/x) }</style>
              <foreignObject><body><path d="M9 9"/></body></foreignObject>
              <image xlink:href="file:///etc/passwd"/>
              <use xlink:href="http://example.org/#a"/>
              <path d="M1 2L3 4" onclick="alert(3)" style="background:url(x)"/>
            </svg>
            """);
    assertThat(icon.path()).isEqualTo("M1 2L3 4");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "not a picture",
        "<html/>",
        "<svg/>",
        "<svg viewBox='0 0 24'><path d='M1 1'/></svg>",
        "<svg viewBox='0 0 0 24'><path d='M1 1'/></svg>",
        "<svg viewBox='0 0 1e9 24'><path d='M1 1'/></svg>",
        "<svg><path d='M1 1; url(x)'/></svg>",
        "<svg><path d='M1 1' transform='scale(99)'/></svg>",
        "<svg><rect width='a lot' height='1'/></svg>",
        "<!DOCTYPE svg [<!ENTITY x SYSTEM 'file:///etc/passwd'>]><svg><path d='&x;'/></svg>",
        "<!DOCTYPE svg><svg><path d='M1 1'/></svg>",
        "<svg><path d='M1 1'/>"
      })
  void whatIsNoIconIsRefusedInWords(String svg) {
    assertThatThrownBy(() -> read(svg))
        .isInstanceOf(IconShape.Refused.class)
        .hasMessageMatching("(?s).*(expected|no SVG).*");
  }

  @Test
  void aFileThatIsTooLargeIsRefusedUnread() {
    byte[] large = new byte[IconShape.MOST_BYTES + 1];
    Arrays.fill(large, (byte) ' ');
    assertThatThrownBy(() -> IconShape.read(large)).hasMessageContaining("64 KB");
  }

  @Property(tries = 300)
  void whateverIsReadIsOnlyPathData(@ForAll long seed) {
    Random random = new Random(seed);
    String[] bits = {
      "<svg viewBox='0 0 9 9'>",
      "<path d='M1 1'/>",
      "<g>",
      "</g>",
      "</svg>",
      "<a href='x'>",
      "</a>",
      "&amp;",
      "<!-- x -->",
      "<![CDATA[<path d='M2 2'/>]]>",
      "<line x1='1' y2='2'/>",
      "<rect width='3'/>",
      "\u0000",
      "<circle r='-1'/>"
    };
    StringBuilder svg = new StringBuilder("<svg>");
    for (int i = random.nextInt(12); i > 0; i--) {
      svg.append(bits[random.nextInt(bits.length)]);
    }
    svg.append(random.nextBoolean() ? "</svg>" : "");
    try {
      assertThat(read(svg.toString()).path()).matches("[MmLlHhVvCcSsQqTtAaZz0-9.,eE+\\-\\s]+");
    } catch (IconShape.Refused refused) {
      assertThat(refused.getMessage()).isNotBlank();
    }
  }
}
