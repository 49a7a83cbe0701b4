package bentnail;

/** Values as a Java program writes them: numbers, characters, truths, texts and null. */
final class Literal {
  private Literal() {}

  /** The value that a text stands for in a type, by its descriptor. Throws IllegalArgumentException with words where it stands for none. */
  static Object of(String descriptor, String given) {
    String text = given.trim();
    try {
      switch (descriptor) {
        case "Z":
        case "Ljava/lang/Boolean;":
          if (text.equals("true") || text.equals("false")) return Boolean.valueOf(text);
          break;
        case "C":
        case "Ljava/lang/Character;":
          if (text.startsWith("'")) return character(text);
          return (char) Integer.parseInt(text);
        case "B":
          return Byte.valueOf(text);
        case "S":
          return Short.valueOf(text);
        case "I":
        case "Ljava/lang/Integer;":
          return text.startsWith("'") ? Integer.valueOf(character(text)) : Integer.valueOf(text.replace("_", ""));
        case "J":
        case "Ljava/lang/Long;":
          return Long.valueOf(text.replaceAll("[lL]$|_", ""));
        case "F":
          return Float.valueOf(text);
        case "D":
        case "Ljava/lang/Double;":
          return Double.valueOf(text);
        case "Ljava/lang/String;":
        case "Ljava/lang/Object;":
          if (text.length() > 1 && text.startsWith("\"") && text.endsWith("\"")) return text.substring(1, text.length() - 1).translateEscapes();
          if (text.equals("null")) return null;
          break;
        default:
          if (descriptor.length() > 1 && text.equals("null")) return null;
      }
    } catch (NumberFormatException problem) {
      // Said below.
    }
    throw new IllegalArgumentException(text + " is no value of type " + shown(descriptor) + " that can be put in.");
  }

  /** A type as a program names it, by its descriptor. */
  private static String shown(String descriptor) {
    String[] plain = {"Zboolean", "Cchar", "Bbyte", "Sshort", "Iint", "Jlong", "Ffloat", "Ddouble"};
    for (String each : plain) if (descriptor.equals(each.substring(0, 1))) return each.substring(1);
    return descriptor.startsWith("[") ? shown(descriptor.substring(1)) + "[]" : descriptor.replaceAll(".*[/L$]|;", "");
  }

  private static char character(String text) {
    String inner = text.length() > 2 && text.endsWith("'") ? text.substring(1, text.length() - 1).translateEscapes() : "";
    if (inner.length() != 1) throw new NumberFormatException();
    return inner.charAt(0);
  }
}
