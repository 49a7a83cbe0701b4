package bentnail;

import java.util.List;
import java.util.Map;

final class Instrument {
  private Instrument() {}

  static Map<String, byte[]> all(Map<String, byte[]> classes, List<Translator.Source> sources) {
    return classes;
  }
}
