package bentnail.sketch;

/** Colours of a sketch: a whole number with the parts alpha, red, green and blue, each of 8 bits. */
public abstract class Colours extends Numbers {
  public static final int RGB = 1;
  public static final int HSB = 3;

  private int mode = RGB;
  private final float[] most = {255, 255, 255, 255};

  Colours() {}

  public void colorMode(int mode) {
    this.mode = mode;
  }

  public void colorMode(int mode, float most) {
    colorMode(mode, most, most, most);
    this.most[3] = most;
  }

  public void colorMode(int mode, float first, float second, float third) {
    this.mode = mode;
    most[0] = first;
    most[1] = second;
    most[2] = third;
  }

  /** A whole number is a grey as long as it is no larger than the largest grey; else it is a colour already. */
  public int color(int grey) {
    return grey < 0 || grey > most[0] ? grey : color((float) grey);
  }

  public int color(int grey, int alpha) {
    return grey < 0 || grey > most[0] ? grey & 0xffffff | part(alpha, 3) << 24 : color((float) grey, (float) alpha);
  }

  public int color(float grey) {
    return color(grey, most[3]);
  }

  public int color(float grey, float alpha) {
    int part = part(grey, 0);
    return part(alpha, 3) << 24 | part << 16 | part << 8 | part;
  }

  public int color(float first, float second, float third) {
    return color(first, second, third, most[3]);
  }

  public int color(float first, float second, float third, float alpha) {
    if (mode == HSB) return part(alpha, 3) << 24 | ofHue(share(first, 0), share(second, 1), share(third, 2));
    return part(alpha, 3) << 24 | part(first, 0) << 16 | part(second, 1) << 8 | part(third, 2);
  }

  private float share(float value, int at) {
    return Math.min(Math.max(value / most[at], 0), 1);
  }

  private int part(float value, int at) {
    return Math.round(share(value, at) * 255);
  }

  /** Red, green and blue of a hue, a saturation and a brightness, each from 0 to 1. */
  private static int ofHue(float hue, float saturation, float brightness) {
    float sixth = hue * 6 % 6;
    int[] parts = new int[3];
    for (int at = 0; at < 3; at++) {
      float away = (sixth + new float[] {5, 3, 1}[at]) % 6;
      float share = brightness - brightness * saturation * Math.max(0, Math.min(Math.min(away, 4 - away), 1));
      parts[at] = Math.round(share * 255);
    }
    return parts[0] << 16 | parts[1] << 8 | parts[2];
  }

  public float red(int colour) {
    return (colour >> 16 & 255) * most[0] / 255;
  }

  public float green(int colour) {
    return (colour >> 8 & 255) * most[1] / 255;
  }

  public float blue(int colour) {
    return (colour & 255) * most[2] / 255;
  }

  public float alpha(int colour) {
    return (colour >>> 24) * most[3] / 255;
  }

  public float brightness(int colour) {
    return Math.max(colour >> 16 & 255, Math.max(colour >> 8 & 255, colour & 255)) * most[2] / 255;
  }

  public int lerpColor(int from, int to, float share) {
    float part = Math.min(Math.max(share, 0), 1);
    int made = 0;
    for (int shift = 24; shift >= 0; shift -= 8) made |= Math.round(lerp(from >>> shift & 255, to >>> shift & 255, part)) << shift;
    return made;
  }
}
