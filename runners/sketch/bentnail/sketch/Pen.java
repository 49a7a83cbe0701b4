package bentnail.sketch;

/** With what a shape is drawn: colours (0: none), width of lines, size and place of texts, and where the drawing is moved to. */
final class Pen {
  int fill = 0xffffffff;
  int stroke = 0xff000000;
  float weight = 1;
  float size = 12;
  int across = Drawing.LEFT;
  int down = Drawing.BASELINE;
  int boxes = Drawing.CORNER;
  int rounds = Drawing.CENTER;
  /** x' = a x + c y + e, y' = b x + d y + f. */
  private double a = 1;
  private double b;
  private double c;
  private double d = 1;
  private double e;
  private double f;
  /** The number under which the film has told it; -1: it is other than what was told. */
  int told = -1;

  Pen copy() {
    Pen made = new Pen();
    made.fill = fill;
    made.stroke = stroke;
    made.weight = weight;
    made.size = size;
    made.across = across;
    made.down = down;
    made.boxes = boxes;
    made.rounds = rounds;
    made.moveAs(this);
    return made;
  }

  void fill(int colour) {
    if (colour != fill) told = -1;
    fill = colour;
  }

  void stroke(int colour) {
    if (colour != stroke) told = -1;
    stroke = colour;
  }

  void weight(float wide) {
    if (wide != weight) told = -1;
    weight = Math.max(0, wide);
  }

  void text(float high, int toSide, int toLine) {
    if (high != size || toSide != across || toLine != down) told = -1;
    size = high;
    across = toSide;
    down = toLine;
  }

  void move(double a2, double b2, double c2, double d2, double e2, double f2) {
    boolean onlyShifted = a2 == 1 && b2 == 0 && c2 == 0 && d2 == 1;
    if (!onlyShifted || !isShifted()) told = -1;
    double[] made = {a * a2 + c * b2, b * a2 + d * b2, a * c2 + c * d2, b * c2 + d * d2, a * e2 + c * f2 + e, b * e2 + d * f2 + f};
    set(made[0], made[1], made[2], made[3], made[4], made[5]);
  }

  void reset() {
    if (!isShifted()) told = -1;
    set(1, 0, 0, 1, 0, 0);
  }

  void moveAs(Pen other) {
    told = -1;
    set(other.a, other.b, other.c, other.d, other.e, other.f);
  }

  private void set(double a, double b, double c, double d, double e, double f) {
    this.a = a;
    this.b = b;
    this.c = c;
    this.d = d;
    this.e = e;
    this.f = f;
  }

  /** True where the drawing is shifted at most, neither turned nor stretched: then the numbers of shapes are told as they come out. */
  boolean isShifted() {
    return a == 1 && b == 0 && c == 0 && d == 1;
  }

  double shiftX() {
    return isShifted() ? e : 0;
  }

  double shiftY() {
    return isShifted() ? f : 0;
  }

  /** As JSON: fill, stroke (null: none), width of lines, size of texts, place of texts, and six numbers where it is turned or stretched. */
  String json() {
    StringBuilder made = new StringBuilder("[");
    made.append(colour(fill)).append(',').append(colour(stroke)).append(',').append(Film.fine(weight)).append(',').append(Film.fine(size));
    made.append(",\"").append(across == Drawing.CENTER ? "centre" : across == Drawing.RIGHT ? "right" : "left").append('"');
    made.append(",\"").append(down == Drawing.TOP ? "top" : down == Drawing.CENTER ? "centre" : down == Drawing.BOTTOM ? "bottom" : "baseline").append('"');
    if (!isShifted()) {
      for (double each : new double[] {a, b, c, d, e, f}) made.append(',').append(Film.fine(each));
    }
    return made.append(']').toString();
  }

  /** #rrggbb, or #rrggbbaa where it can be seen through. */
  static String colour(int argb) {
    int alpha = argb >>> 24;
    if (alpha == 0) return "null";
    return alpha == 255 ? String.format("\"#%06x\"", argb & 0xffffff) : String.format("\"#%06x%02x\"", argb & 0xffffff, alpha);
  }
}
