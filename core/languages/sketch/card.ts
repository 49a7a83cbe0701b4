import { type ReferenceCard, routines, rows } from "../referenceCard.ts";

/** What beginners look up of drawing sketches, in our own words. */
export const sketchCard: ReferenceCard = {
  rows: rows(`
setup and draw | setup runs once, then draw again and again, a frame each time; without a draw there is one picture
variables that stay | those declared outside of the functions keep their value from frame to frame; those inside are new in every frame | restart-inside-loop
brackets | ( ) calls, conditions and casts, [ ] positions in lists, { } blocks | brace-missing-or-surplus
quotes | " " around texts, ' ' around a single letter | quote-not-closed
end of a statement | a semicolon; none behind the header of if, for or while | terminator-missing
giving a value | = gives a value, == compares numbers | assignment-for-comparison
texts | compare with equals; == asks whether they are the same object | text-compared-by-identity
limits | < leaves the limit out, <= takes it in | limit-off-by-one
and, or, not | && binds before ||; ! before both | and-or-without-brackets
positions | the first is 0, the last is length - 1 | index-past-end
values to begin with | outside of functions: 0, false or null; inside: none, and the translator refuses to read them | read-before-set
numbers | a number with a point is a float; int cuts the fraction off | fraction-into-whole-number
division | between whole numbers the digits behind the point are cut off; % gives the rest | whole-number-division
places | x counts from the left, y from the top downwards; ellipse is given by its middle, rect by its left upper corner | arguments-swapped
order | what is drawn later covers what was drawn before; background covers everything
colours | one number is a grey from 0 to 255, three are red, green and blue, a fourth is how little can be seen through
empty drawing area | look for what keeps the drawing from being reached: a flag that is never set, a loop that does not begin, a background behind the drawing
cannot find symbol | a name is not known here, or misspelt | own-name-misspelt
NullPointerException | nothing is there, and something of it is asked for | empty-reference-used
ArrayIndexOutOfBoundsException | there is no element at this position | index-past-end
`),
  routines: routines(`
size(width, height) | sets how large the drawing area is; first in setup
background(colour) | covers the area with a colour
fill(colour) | sets what shapes are filled with
noFill() | leaves shapes empty
stroke(colour) | sets the colour of lines
noStroke() | leaves the lines of shapes out
strokeWeight(pixels) | sets how wide lines are
line(x1, y1, x2, y2) | draws a line between two points
rect(x, y, width, height) | draws a rectangle from its left upper corner
ellipse(x, y, width, height) | draws an ellipse around its middle
circle(x, y, diameter) | draws a circle around its middle
triangle(x1, y1, x2, y2, x3, y3) | draws a triangle
text(words, x, y) | writes words into the area
translate(x, y) | moves what is drawn from here on, until the frame ends
rotate(angle) | turns what is drawn from here on, in radians
random(low, high) | gives a decimal number by chance
map(value, from1, to1, from2, to2) | gives the same place in another range
constrain(value, low, high) | gives the value, kept within two limits
dist(x1, y1, x2, y2) | gives the distance of two points
int(value) | gives a whole number; of a text the number it says
float(value) | gives a decimal number
str(value) | gives a text
println(value) | writes a value into the console and ends the line
frameRate(number) | sets how many frames there are in a second
noLoop() | draws one frame only
mousePressed() | is called when a button of the mouse goes down
keyPressed() | is called when a key goes down
mouseX | where the mouse is, from the left
mouseY | where the mouse is, from the top
frameCount | the number of the frame, from 1
width | how wide the area is
height | how high the area is
`),
};
