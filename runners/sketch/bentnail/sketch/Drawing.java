package bentnail.sketch;

/** What a sketch is made of: its drawing area, its pens, the user's mouse and keys. A sketch is a class below this one. */
public abstract class Drawing extends Colours {
  public static final int CORNER = 0;
  public static final int CORNERS = 1;
  public static final int RADIUS = 2;
  public static final int CENTER = 3;
  public static final int OPEN = 1;
  public static final int CLOSE = 2;
  public static final int CHORD = 2;
  public static final int PIE = 3;
  public static final int POINTS = 3;
  public static final int LINES = 5;
  public static final int TRIANGLES = 9;
  public static final int LEFT = 37;
  public static final int UP = 38;
  public static final int RIGHT = 39;
  public static final int DOWN = 40;
  public static final int TOP = 101;
  public static final int BOTTOM = 102;
  public static final int BASELINE = 0;
  public static final int SHIFT = 16;
  public static final int CONTROL = 17;
  public static final int ALT = 18;
  public static final char CODED = 0xffff;
  public static final char BACKSPACE = 8;
  public static final char TAB = 9;
  public static final char ENTER = 10;
  public static final char RETURN = 13;
  public static final char ESC = 27;
  public static final char DELETE = 127;

  public int width = 100;
  public int height = 100;
  public int frameCount;
  public float frameRate = 60;
  public int mouseX;
  public int mouseY;
  public int pmouseX;
  public int pmouseY;
  public int mouseButton;
  public boolean mousePressed;
  public boolean keyPressed;
  public char key;
  public int keyCode;

  final Film film = new Film();
  private Pen pen = new Pen();
  private final java.util.ArrayDeque<Pen> kept = new java.util.ArrayDeque<>();
  private StringBuilder corners;
  private int cornerCount;
  boolean looping = true;
  boolean again;
  boolean over;

  /** How wide and high an area is at most. */
  private static final int MOST_PIXELS = 10_000;

  public void size(int width, int height) {
    this.width = Math.min(Math.max(1, width), MOST_PIXELS);
    this.height = Math.min(Math.max(1, height), MOST_PIXELS);
    film.size(this.width, this.height);
  }

  public void frameRate(float rate) {
    if (rate > 0) frameRate = rate;
  }

  /** Time goes on by the frames, so that two runs of a sketch are alike. */
  public int millis() {
    return (int) (frameCount * 1000L / Math.max(1, frameRate));
  }

  public void noLoop() {
    looping = false;
  }

  public void loop() {
    looping = true;
  }

  public void redraw() {
    again = true;
  }

  public void exit() {
    over = true;
  }

  public void smooth() {}

  public void noSmooth() {}

  public void delay(int milliseconds) {}

  public void background(int colour) {
    film.clear(color(colour));
  }

  public void background(float grey) {
    film.clear(color(grey));
  }

  public void background(float first, float second, float third) {
    film.clear(color(first, second, third));
  }

  public void clear() {
    film.clear(0);
  }

  public void fill(int colour) {
    pen.fill(color(colour));
  }

  public void fill(int colour, int alpha) {
    pen.fill(color(colour, alpha));
  }

  public void fill(float grey) {
    pen.fill(color(grey));
  }

  public void fill(float grey, float alpha) {
    pen.fill(color(grey, alpha));
  }

  public void fill(float first, float second, float third) {
    pen.fill(color(first, second, third));
  }

  public void fill(float first, float second, float third, float alpha) {
    pen.fill(color(first, second, third, alpha));
  }

  public void noFill() {
    pen.fill(0);
  }

  public void stroke(int colour) {
    pen.stroke(color(colour));
  }

  public void stroke(int colour, int alpha) {
    pen.stroke(color(colour, alpha));
  }

  public void stroke(float grey) {
    pen.stroke(color(grey));
  }

  public void stroke(float grey, float alpha) {
    pen.stroke(color(grey, alpha));
  }

  public void stroke(float first, float second, float third) {
    pen.stroke(color(first, second, third));
  }

  public void stroke(float first, float second, float third, float alpha) {
    pen.stroke(color(first, second, third, alpha));
  }

  public void noStroke() {
    pen.stroke(0);
  }

  public void strokeWeight(float weight) {
    pen.weight(weight);
  }

  public void rectMode(int mode) {
    pen.boxes = mode;
  }

  public void ellipseMode(int mode) {
    pen.rounds = mode;
  }

  public void textSize(float size) {
    pen.text(size, pen.across, pen.down);
  }

  public void textAlign(int across) {
    pen.text(pen.size, across, pen.down);
  }

  public void textAlign(int across, int down) {
    pen.text(pen.size, across, down);
  }

  /** About as wide as it is drawn. */
  public float textWidth(String text) {
    return text.length() * pen.size * 0.6f;
  }

  public void translate(float x, float y) {
    pen.move(1, 0, 0, 1, x, y);
  }

  public void rotate(float angle) {
    pen.move(Math.cos(angle), Math.sin(angle), -Math.sin(angle), Math.cos(angle), 0, 0);
  }

  public void scale(float by) {
    pen.move(by, 0, 0, by, 0, 0);
  }

  public void scale(float across, float down) {
    pen.move(across, 0, 0, down, 0, 0);
  }

  public void resetMatrix() {
    pen.reset();
  }

  public void pushMatrix() {
    keep();
  }

  public void popMatrix() {
    Pen before = kept.poll();
    if (before == null) throw new IllegalStateException("popMatrix() without pushMatrix()");
    pen.moveAs(before);
  }

  public void pushStyle() {
    keep();
  }

  public void popStyle() {
    Pen before = kept.poll();
    if (before == null) throw new IllegalStateException("popStyle() without pushStyle()");
    before.moveAs(pen);
    pen = before;
  }

  public void push() {
    keep();
  }

  public void pop() {
    if (kept.isEmpty()) throw new IllegalStateException("pop() without push()");
    pen = kept.poll();
  }

  private void keep() {
    if (kept.size() >= 64) throw new IllegalStateException("Kept 64 times without being taken back");
    kept.push(pen.copy());
  }

  /** Every frame begins without anything moved. */
  void beginFrame() {
    pen.reset();
    kept.clear();
    corners = null;
  }

  public void point(float x, float y) {
    film.shape("point", pen, x, y);
  }

  public void line(float x1, float y1, float x2, float y2) {
    film.shape("line", pen, x1, y1, x2, y2);
  }

  public void triangle(float x1, float y1, float x2, float y2, float x3, float y3) {
    film.shape("triangle", pen, x1, y1, x2, y2, x3, y3);
  }

  public void quad(float x1, float y1, float x2, float y2, float x3, float y3, float x4, float y4) {
    film.shape("quad", pen, x1, y1, x2, y2, x3, y3, x4, y4);
  }

  public void square(float x, float y, float side) {
    rect(x, y, side, side);
  }

  public void rect(float a, float b, float c, float d) {
    float[] box = boxed(pen.boxes, a, b, c, d);
    film.shape("rect", pen, box[0], box[1], box[2], box[3]);
  }

  public void rect(float a, float b, float c, float d, float round) {
    float[] box = boxed(pen.boxes, a, b, c, d);
    film.shape("rect", pen, box[0], box[1], box[2], box[3], round);
  }

  public void circle(float x, float y, float across) {
    ellipse(x, y, across, across);
  }

  /** Written with its middle, its width and its height. */
  public void ellipse(float a, float b, float c, float d) {
    float[] box = boxed(pen.rounds, a, b, c, d);
    film.shape("ellipse", pen, box[0] + box[2] / 2, box[1] + box[3] / 2, box[2], box[3]);
  }

  public void arc(float a, float b, float c, float d, float from, float to) {
    arc(a, b, c, d, from, to, 0);
  }

  public void arc(float a, float b, float c, float d, float from, float to, int form) {
    float[] box = boxed(pen.rounds, a, b, c, d);
    if (to > from) film.shape("arc", pen, box[0] + box[2] / 2, box[1] + box[3] / 2, box[2], box[3], from, Math.min(to, from + TWO_PI), form);
  }

  public void bezier(float x1, float y1, float x2, float y2, float x3, float y3, float x4, float y4) {
    film.shape("curve", pen, x1, y1, x2, y2, x3, y3, x4, y4);
  }

  /** Left, top, width and height of a box that is given in one of the four ways. */
  private static float[] boxed(int mode, float a, float b, float c, float d) {
    if (mode == CENTER) return new float[] {a - c / 2, b - d / 2, c, d};
    if (mode == RADIUS) return new float[] {a - c, b - d, c * 2, d * 2};
    if (mode == CORNERS) return new float[] {Math.min(a, c), Math.min(b, d), Math.abs(c - a), Math.abs(d - b)};
    return new float[] {a, b, c, d};
  }

  private int group;
  private float[] before;

  public void beginShape() {
    beginShape(0);
  }

  public void beginShape(int group) {
    this.group = group;
    corners = new StringBuilder();
    cornerCount = 0;
    before = new float[6];
  }

  public void vertex(float x, float y) {
    if (corners == null) return;
    int size = group == POINTS ? 1 : group == LINES ? 2 : group == TRIANGLES ? 3 : 0;
    if (size == 0) {
      if (cornerCount < 2000) film.corner(corners, pen, x, y);
      cornerCount++;
      return;
    }
    int place = cornerCount++ % size;
    if (place == size - 1) {
      if (size == 1) point(x, y);
      if (size == 2) line(before[0], before[1], x, y);
      if (size == 3) triangle(before[0], before[1], before[2], before[3], x, y);
      return;
    }
    before[place * 2] = x;
    before[place * 2 + 1] = y;
  }

  public void endShape() {
    endShape(OPEN);
  }

  public void endShape(int mode) {
    if (corners != null && cornerCount > 0 && group == 0) film.cornered(mode == CLOSE, pen, corners);
    corners = null;
  }

  public void text(String words, float x, float y) {
    film.words(pen, words == null ? "null" : words, x, y);
  }

  public void text(char letter, float x, float y) {
    film.words(pen, String.valueOf(letter), x, y);
  }

  public void text(int number, float x, float y) {
    film.words(pen, String.valueOf(number), x, y);
  }

  /** Decimal numbers are drawn with three digits behind the point. */
  public void text(float number, float x, float y) {
    film.words(pen, nf(number, 0, 3), x, y);
  }
}
