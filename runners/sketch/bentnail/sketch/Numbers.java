package bentnail.sketch;

import java.lang.reflect.Array;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.Locale;
import java.util.Random;

/** What a sketch can call without drawing: numbers, texts, lists, printing. Decimal numbers of sketches are floats. */
public abstract class Numbers {
  public static final float PI = (float) Math.PI;
  public static final float TWO_PI = PI * 2;
  public static final float HALF_PI = PI / 2;
  public static final float QUARTER_PI = PI / 4;

  private Random chance = new Random();
  private float[] lattice;

  Numbers() {}

  public int abs(int number) {
    return Math.abs(number);
  }

  public float abs(float number) {
    return Math.abs(number);
  }

  public int max(int one, int other) {
    return Math.max(one, other);
  }

  public float max(float one, float other) {
    return Math.max(one, other);
  }

  public int max(int one, int other, int third) {
    return Math.max(one, Math.max(other, third));
  }

  public float max(float one, float other, float third) {
    return Math.max(one, Math.max(other, third));
  }

  public int max(int[] list) {
    return Arrays.stream(list).max().getAsInt();
  }

  public float max(float[] list) {
    float most = list[0];
    for (float each : list) most = Math.max(most, each);
    return most;
  }

  public int min(int one, int other) {
    return Math.min(one, other);
  }

  public float min(float one, float other) {
    return Math.min(one, other);
  }

  public int min(int one, int other, int third) {
    return Math.min(one, Math.min(other, third));
  }

  public float min(float one, float other, float third) {
    return Math.min(one, Math.min(other, third));
  }

  public int min(int[] list) {
    return Arrays.stream(list).min().getAsInt();
  }

  public float min(float[] list) {
    float least = list[0];
    for (float each : list) least = Math.min(least, each);
    return least;
  }

  public int constrain(int number, int low, int high) {
    return Math.min(Math.max(number, low), high);
  }

  public float constrain(float number, float low, float high) {
    return Math.min(Math.max(number, low), high);
  }

  public float dist(float x1, float y1, float x2, float y2) {
    return sqrt(sq(x2 - x1) + sq(y2 - y1));
  }

  public float mag(float x, float y) {
    return sqrt(x * x + y * y);
  }

  public float lerp(float from, float to, float part) {
    return from + (to - from) * part;
  }

  public float norm(float number, float from, float to) {
    return (number - from) / (to - from);
  }

  public float map(float number, float from1, float to1, float from2, float to2) {
    return from2 + (to2 - from2) * ((number - from1) / (to1 - from1));
  }

  public float sq(float number) {
    return number * number;
  }

  public float sqrt(float number) {
    return (float) Math.sqrt(number);
  }

  public float pow(float base, float exponent) {
    return (float) Math.pow(base, exponent);
  }

  public float exp(float number) {
    return (float) Math.exp(number);
  }

  public float log(float number) {
    return (float) Math.log(number);
  }

  public int floor(float number) {
    return (int) Math.floor(number);
  }

  public int ceil(float number) {
    return (int) Math.ceil(number);
  }

  public int round(float number) {
    return Math.round(number);
  }

  public float sin(float angle) {
    return (float) Math.sin(angle);
  }

  public float cos(float angle) {
    return (float) Math.cos(angle);
  }

  public float tan(float angle) {
    return (float) Math.tan(angle);
  }

  public float asin(float number) {
    return (float) Math.asin(number);
  }

  public float acos(float number) {
    return (float) Math.acos(number);
  }

  public float atan(float number) {
    return (float) Math.atan(number);
  }

  public float atan2(float y, float x) {
    return (float) Math.atan2(y, x);
  }

  public float radians(float degrees) {
    return degrees * PI / 180;
  }

  public float degrees(float radians) {
    return radians * 180 / PI;
  }

  public float random(float high) {
    return high == 0 ? 0 : chance.nextFloat() * high;
  }

  public float random(float low, float high) {
    return low >= high ? low : low + random(high - low);
  }

  public void randomSeed(int seed) {
    chance = new Random(seed);
  }

  public float randomGaussian() {
    return (float) chance.nextGaussian();
  }

  /** A smooth random curve: values at whole numbers, with cosine slopes between. */
  public float noise(float x) {
    if (lattice == null) {
      lattice = new float[256];
      for (int at = 0; at < lattice.length; at++) lattice[at] = chance.nextFloat();
    }
    int from = (int) Math.floor(x);
    float part = (1 - cos((x - from) * PI)) / 2;
    return lerp(lattice[from & 255], lattice[(from + 1) & 255], part);
  }

  public float noise(float x, float y) {
    return (noise(x + 57 * (float) Math.floor(y)) + noise(y + 131)) / 2;
  }

  public int year() {
    return LocalDateTime.now().getYear();
  }

  public int month() {
    return LocalDateTime.now().getMonthValue();
  }

  public int day() {
    return LocalDateTime.now().getDayOfMonth();
  }

  public int hour() {
    return LocalDateTime.now().getHour();
  }

  public int minute() {
    return LocalDateTime.now().getMinute();
  }

  public int second() {
    return LocalDateTime.now().getSecond();
  }

  // Conversions: int(x), float(x) and the like are written so, and called by these names.

  public int parseInt(float number) {
    return (int) number;
  }

  public int parseInt(int number) {
    return number;
  }

  public int parseInt(char letter) {
    return letter;
  }

  public int parseInt(boolean truth) {
    return truth ? 1 : 0;
  }

  /** 0 for a text that is no number. */
  public int parseInt(String text) {
    return parseInt(text, 0);
  }

  public int parseInt(String text, int otherwise) {
    try {
      int point = text.indexOf('.');
      return Integer.parseInt(point < 0 ? text : text.substring(0, point));
    } catch (NumberFormatException none) {
      return otherwise;
    }
  }

  public int[] parseInt(String[] texts) {
    int[] made = new int[texts.length];
    for (int at = 0; at < made.length; at++) made[at] = parseInt(texts[at]);
    return made;
  }

  public float parseFloat(float number) {
    return number;
  }

  /** Not a number for a text that is none. */
  public float parseFloat(String text) {
    try {
      return Float.parseFloat(text);
    } catch (NumberFormatException none) {
      return Float.NaN;
    }
  }

  public float[] parseFloat(String[] texts) {
    float[] made = new float[texts.length];
    for (int at = 0; at < made.length; at++) made[at] = parseFloat(texts[at]);
    return made;
  }

  public boolean parseBoolean(int number) {
    return number != 0;
  }

  public boolean parseBoolean(String text) {
    return Boolean.parseBoolean(text);
  }

  public char parseChar(int number) {
    return (char) number;
  }

  public byte parseByte(int number) {
    return (byte) number;
  }

  public String str(int number) {
    return String.valueOf(number);
  }

  public String str(float number) {
    return String.valueOf(number);
  }

  public String str(char letter) {
    return String.valueOf(letter);
  }

  public String str(boolean truth) {
    return String.valueOf(truth);
  }

  /** A whole number with zeros before it. */
  public String nf(int number, int digits) {
    return String.format(Locale.ROOT, "%0" + Math.max(1, digits + (number < 0 ? 1 : 0)) + "d", number);
  }

  /** A decimal number with so many digits before and behind the point; 0: as many as there are. */
  public String nf(float number, int left, int right) {
    String written = right == 0 ? String.valueOf(Math.abs(number)) : String.format(Locale.ROOT, "%." + right + "f", Math.abs(number));
    StringBuilder made = new StringBuilder(written);
    for (int missing = left - (written + ".").indexOf('.'); missing > 0; missing--) made.insert(0, '0');
    return (number < 0 ? "-" : "") + made;
  }

  public String trim(String text) {
    return text.trim();
  }

  public String[] split(String text, char between) {
    return text.split(java.util.regex.Pattern.quote(String.valueOf(between)), -1);
  }

  public String[] split(String text, String between) {
    return text.split(java.util.regex.Pattern.quote(between), -1);
  }

  public String[] splitTokens(String text) {
    return text.trim().split("\\s+");
  }

  public String join(String[] parts, String between) {
    return String.join(between, parts);
  }

  public int[] append(int[] list, int value) {
    int[] made = Arrays.copyOf(list, list.length + 1);
    made[list.length] = value;
    return made;
  }

  public float[] append(float[] list, float value) {
    float[] made = Arrays.copyOf(list, list.length + 1);
    made[list.length] = value;
    return made;
  }

  public String[] append(String[] list, String value) {
    String[] made = Arrays.copyOf(list, list.length + 1);
    made[list.length] = value;
    return made;
  }

  public int[] sort(int[] list) {
    int[] made = list.clone();
    Arrays.sort(made);
    return made;
  }

  public float[] sort(float[] list) {
    float[] made = list.clone();
    Arrays.sort(made);
    return made;
  }

  public String[] sort(String[] list) {
    String[] made = list.clone();
    Arrays.sort(made);
    return made;
  }

  public int[] reverse(int[] list) {
    int[] made = new int[list.length];
    for (int at = 0; at < made.length; at++) made[at] = list[list.length - 1 - at];
    return made;
  }

  /** The lines of a file beside the sketch; nothing, and a line of words, where it is not there. */
  public String[] loadStrings(String name) {
    try {
      return java.nio.file.Files.readAllLines(java.nio.file.Path.of(name)).toArray(new String[0]);
    } catch (java.io.IOException | RuntimeException problem) {
      System.err.println("The file \"" + name + "\" is missing or cannot be read.");
      return null;
    }
  }

  public void print(Object... values) {
    System.out.print(joined(values));
  }

  public void print(int value) {
    System.out.print(value);
  }

  public void print(float value) {
    System.out.print(value);
  }

  public void print(char value) {
    System.out.print(value);
  }

  public void print(boolean value) {
    System.out.print(value);
  }

  public void print(String value) {
    System.out.print(value);
  }

  public void println() {
    System.out.println();
  }

  public void println(int value) {
    System.out.println(value);
  }

  public void println(float value) {
    System.out.println(value);
  }

  public void println(char value) {
    System.out.println(value);
  }

  public void println(boolean value) {
    System.out.println(value);
  }

  public void println(String value) {
    System.out.println(value);
  }

  /** A list has a line for each element, with its position; several values stand beside each other. */
  public void println(Object value) {
    if (value == null || !value.getClass().isArray()) System.out.println(value);
    else printArray(value);
  }

  public void println(Object... values) {
    System.out.println(joined(values));
  }

  public void printArray(Object list) {
    if (list == null || !list.getClass().isArray()) {
      System.out.println(list);
      return;
    }
    for (int at = 0; at < Array.getLength(list); at++) {
      Object value = Array.get(list, at);
      System.out.println("[" + at + "] " + (value instanceof String ? "\"" + value + "\"" : value));
    }
  }

  private static String joined(Object[] values) {
    StringBuilder made = new StringBuilder();
    for (Object value : values) made.append(made.length() == 0 ? "" : " ").append(value);
    return made.toString();
  }
}
