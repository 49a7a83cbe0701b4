/** The ending of a sketch's files, and one that is read and never written. */
export const sketchEnding = ".sketch";
export const readEnding = ".pde";

/** Functions of a sketch that are called when something happens. */
export const sketchEvents: readonly string[] =
  "settings setup draw mousePressed mouseReleased mouseClicked mouseMoved mouseDragged keyPressed keyReleased keyTyped".split(
    " ",
  );

/** Functions that draw something. */
export const shapeWords: readonly string[] =
  "point line triangle quad rect square ellipse circle arc bezier endShape text".split(" ");

/** Functions that draw or set with what is drawn, and those that only give something; names that several drawing libraries share. */
export const drawingWords: readonly string[] = (
  "size background clear fill noFill stroke noStroke strokeWeight point line triangle quad rect square ellipse circle arc bezier beginShape vertex endShape text textSize textAlign " +
  "textWidth rectMode ellipseMode colorMode translate rotate scale resetMatrix pushMatrix popMatrix pushStyle popStyle push pop smooth noSmooth frameRate loop noLoop redraw exit delay"
).split(" ");
export const givingWords: readonly string[] = (
  "abs max min constrain dist mag lerp norm map sq sqrt pow exp log floor ceil round sin cos tan asin acos atan atan2 radians degrees int float str boolean char byte nf trim split " +
  "splitTokens join append sort reverse color red green blue alpha brightness lerpColor millis loadStrings"
).split(" ");

/** Names of values that a sketch finds given. */
export const givenWords: readonly string[] = (
  "width height frameCount mouseX mouseY pmouseX pmouseY mouseButton key keyCode PI TWO_PI HALF_PI QUARTER_PI CENTER CORNER CORNERS RADIUS LEFT RIGHT UP DOWN TOP BOTTOM BASELINE " +
  "CODED ENTER TAB BACKSPACE DELETE SHIFT CONTROL ALT CLOSE OPEN PIE CHORD POINTS LINES TRIANGLES RGB HSB"
).split(" ");
