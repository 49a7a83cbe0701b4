package bentnail;

import java.util.ArrayList;
import java.util.List;

/** The little of JSON that the runners need. */
final class Json {
  private Json() {}

  static String quote(String text) {
    StringBuilder out = new StringBuilder(text.length() + 2).append('"');
    for (int at = 0; at < text.length(); at++) {
      char each = text.charAt(at);
      if (each == '"' || each == '\\') out.append('\\').append(each);
      else if (each < ' ' || (each >= 0x7f && each < 0xa0) || Character.isSurrogate(each)) out.append(String.format("\\u%04x", (int) each));
      else out.append(each);
    }
    return out.append('"').toString();
  }

  /** Reads a list of texts: ["a", "b"]. */
  static String[] strings(String json) {
    List<String> found = new ArrayList<>();
    for (int at = 0; at < json.length(); at++) {
      if (json.charAt(at) != '"') continue;
      StringBuilder text = new StringBuilder();
      for (at++; json.charAt(at) != '"'; at++) {
        if (json.charAt(at) != '\\') text.append(json.charAt(at));
        else {
          char kind = json.charAt(++at);
          switch (kind) {
            case 'u':
              text.append((char) Integer.parseInt(json.substring(at + 1, at + 5), 16));
              at += 4;
              break;
            case 'n':
              text.append('\n');
              break;
            case 't':
              text.append('\t');
              break;
            case 'r':
              text.append('\r');
              break;
            case 'b':
              text.append('\b');
              break;
            case 'f':
              text.append('\f');
              break;
            default:
              text.append(kind);
          }
        }
      }
      found.add(text.toString());
    }
    return found.toArray(new String[0]);
  }
}
