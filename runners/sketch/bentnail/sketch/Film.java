package bentnail.sketch;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.IntStream;

/**
 * What was drawn, frame by frame. A frame is told as one line of the errors when it is over, behind a sign that texts do not hold:
 * {"frame", "width", "height", "background"?, "pens": [[number, pen]], "shapes": [[kind, pen, numbers...]]}, at last {"end": frame}. A shape under a new background
 * is no more seen and not told, nor is a frame that looks like the one before. Where the film has no more room, or none is wanted, the last picture is told
 * instead at the end, as a frame with "whole" and "left", how many of its shapes had no room.
 *
 * Threads of a student's program may draw at the same time: one shape is written after the other, and none of them meets a film half written.
 */
final class Film {
  private static final char RECORD = 0x1e;
  /** Letters of all frames together, and of the last picture where the frames had no room. */
  private static final int ROOM = 160_000;
  private static final int LAST_ROOM = 60_000;
  private static final int MOST_TEXT = 200;

  boolean wanted = true;
  private int room = ROOM;
  private int width = 100;
  private int height = 100;
  private String background;
  private final Map<String, Integer> pens = new HashMap<>();
  private final List<String> penTexts = new ArrayList<>();
  private int pensTold;
  private StringBuilder shapes = new StringBuilder();
  private int left;
  /** All that can be seen: the shapes since the last background, of all frames. */
  private final StringBuilder seen = new StringBuilder();
  private int seenLeft;
  private String seenBackground;
  /** The pens of what can be seen, and their letters: they have to have room beside the shapes. */
  private final TreeSet<Integer> seenPens = new TreeSet<>();
  private int seenPenLetters;
  private int drawnWith;
  private boolean full;
  private String before = "";
  private int shown;

  synchronized void size(int wide, int high) {
    width = wide;
    height = high;
  }

  synchronized void clear(int colour) {
    background = Pen.colour(colour);
    shapes.setLength(0);
    left = 0;
    seen.setLength(0);
    seenPens.clear();
    seenPenLetters = 0;
    seenLeft = 0;
    seenBackground = background;
  }

  synchronized void shape(String kind, Pen pen, double... numbers) {
    if (isFull()) return;
    StringBuilder made = begin(kind, pen);
    double x = pen.shiftX();
    double y = pen.shiftY();
    int places = kind.equals("rect") || kind.equals("ellipse") || kind.equals("arc") ? 2 : numbers.length;
    for (int at = 0; at < numbers.length; at++) made.append(',').append(at == 4 && kind.equals("arc") || at == 5 && kind.equals("arc") ? fine(numbers[at]) : number(numbers[at] + (at >= places ? 0 : at % 2 == 0 ? x : y)));
    add(made);
  }

  synchronized void words(Pen pen, String words, float x, float y) {
    if (isFull()) return;
    StringBuilder made = begin("text", pen);
    made.append(',').append(quoted(words.length() > MOST_TEXT ? words.substring(0, MOST_TEXT) : words));
    made.append(',').append(number(x + pen.shiftX())).append(',').append(number(y + pen.shiftY()));
    add(made);
  }

  void corner(StringBuilder corners, Pen pen, float x, float y) {
    corners.append(',').append(number(x + pen.shiftX())).append(',').append(number(y + pen.shiftY()));
  }

  synchronized void cornered(boolean closed, Pen pen, StringBuilder corners) {
    if (!isFull()) add(begin(closed ? "polygon" : "polyline", pen).append(corners));
  }

  /** Where there is no room any more, a shape is counted and not written. */
  private boolean isFull() {
    if (seenLeft == 0 || (wanted && left == 0 && !full)) return false;
    left++;
    seenLeft++;
    return true;
  }

  private StringBuilder begin(String kind, Pen pen) {
    if (pen.told < 0) {
      String json = pen.json();
      Integer known = pens.get(json);
      if (known == null) {
        known = penTexts.size();
        pens.put(json, known);
        penTexts.add(json);
      }
      pen.told = known;
    }
    drawnWith = pen.told;
    return new StringBuilder("[\"").append(kind).append("\",").append(pen.told);
  }

  private void add(StringBuilder shape) {
    shape.append(']');
    if (wanted && !full && left == 0 && shapes.length() + shape.length() <= room) {
      if (shapes.length() > 0) shapes.append(',');
      shapes.append(shape);
    } else left++;
    int penLetters = seenPenLetters + (seenPens.contains(drawnWith) ? 0 : penTexts.get(drawnWith).length());
    if (seenLeft == 0 && seen.length() + shape.length() + penLetters <= LAST_ROOM) {
      if (seen.length() > 0) seen.append(',');
      seen.append(shape);
      seenPens.add(drawnWith);
      seenPenLetters = penLetters;
    } else seenLeft++;
  }

  /** A frame is over. One that looks like the one before is not told. */
  synchronized void end(int frame) {
    shown = frame;
    String drawn = background + " " + shapes + " " + left;
    boolean same = background == null ? shapes.length() == 0 && left == 0 : drawn.equals(before);
    if (wanted && !full && (!same || frame == 0)) {
      List<Integer> fresh = IntStream.range(pensTold, penTexts.size()).boxed().toList();
      String told = record(frame, background, shapes.toString(), left, fresh, "");
      room -= told.length();
      if (room > 0 && left == 0) {
        pensTold = penTexts.size();
        before = background == null ? "" : drawn;
        System.err.print(told);
        System.err.flush();
      } else full = true;
    }
    shapes = new StringBuilder();
    background = null;
    left = 0;
  }

  /** The run is over: which frame was the last, and the last picture where the frames do not tell it. */
  synchronized void finish() {
    if (wanted && !full) System.err.print(RECORD + "{\"end\":" + shown + "}\n");
    else System.err.print(record(shown, seenBackground, seen.toString(), seenLeft, seenPens, ",\"whole\":true"));
    System.err.flush();
  }

  private String record(int frame, String ground, String drawn, int uncounted, Iterable<Integer> numbers, String more) {
    StringBuilder made = new StringBuilder().append(RECORD);
    made.append("{\"frame\":").append(frame).append(",\"width\":").append(width).append(",\"height\":").append(height);
    if (ground != null) made.append(",\"background\":").append(ground.equals("null") ? "\"#00000000\"" : ground);
    made.append(",\"pens\":[");
    String before = "[";
    for (int at : numbers) {
      made.append(before).append(at).append(',').append(penTexts.get(at)).append(']');
      before = ",[";
    }
    made.append("],\"shapes\":[").append(drawn).append(']');
    if (uncounted > 0) made.append(",\"left\":").append(uncounted);
    return made.append(more).append("}\n").toString();
  }

  /** A number with two digits behind the point at most. What is none is told as a text. */
  static String number(double value) {
    return written(value, 100);
  }

  /** The same with six digits: angles, and how the drawing is turned. 0 for what is no number. */
  static String fine(double value) {
    return written(Double.isNaN(value) ? 0 : value, 1_000_000);
  }

  private static String written(double value, long parts) {
    if (!(Math.abs(value) < 1e9)) return Double.isNaN(value) ? "\"NaN\"" : value > 0 ? "1000000000" : "-1000000000";
    long whole = Math.round(value * parts);
    if (whole % parts == 0) return Long.toString(whole / parts);
    String digits = Long.toString(Math.abs(whole % parts) + parts).substring(1).replaceAll("0+$", "");
    return (whole < 0 ? "-" : "") + Math.abs(whole / parts) + "." + digits;
  }

  private static String quoted(String text) {
    StringBuilder made = new StringBuilder("\"");
    for (char each : text.toCharArray()) {
      if (each == '"' || each == '\\') made.append('\\').append(each);
      else if (each < ' ' || each >= 0x7f && each < 0xa0 || Character.isSurrogate(each)) made.append(String.format("\\u%04x", (int) each));
      else made.append(each);
    }
    return made.append('"').toString();
  }
}
