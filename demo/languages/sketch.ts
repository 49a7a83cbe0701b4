import type { DemoCase } from "../cases.ts";

const gauge = `// Tide gauge at the slip: the water stands behind the scale
float level = 40;
boolean rising;

void setup() {
  size(240, 160);
}

void draw() {
  background(235, 244, 250);
  if (rising) {
    noStroke();
    fill(30, 144, 255);
    rect(0, height - level, width, level);
    stroke(0);
    for (int mark = 20; mark < height; mark += 20) {
      line(110, height - mark, 130, height - mark);
    }
    level = level + 1;
  }
}
`;

const ramps = `// The piles of the pier, from the shore outwards
int pile = 10;

size(240, 120);
background(255);
stroke(90, 60, 30);
strokeWeight(6);
while (pile < 8) {
  line(20 + pile * 28, 30, 20 + pile * 28, 110);
  pile = pile + 1;
}
rectMode(CENTER);
`;

const clicks = `// Every click lets one more car on deck; six have room
int cars = 0;

void setup() {
  size(260, 120);
  textSize(14);
}

void draw() {
  background(245);
  fill(200, 60, 40);
  for (int place = 0; place < cars; place++) {
    rect(20 + place * 38, 50, 30, 18);
  }
  fill(0);
  text("On deck: " + cars, 20, 30);
}

void mousePressed() {
  if (cars <= 6) {
    cars = cars + 1;
  }
  println("cars " + cars);
}
`;

const ferry = `// The Kittiwake crosses; each buoy lights up as she passes
int[] buoys = { 40, 90, 150, 210 };
int next = 0;
float x = 0;

void setup() {
  size(260, 100)
  noStroke();
}

void draw() {
  background(20, 50, 90);
  x = x + 5;
  if (x > buoys[next]) {
    next = next + 1;
    println("passed buoy " + next);
  }
  fill(255, 200, 0);
  for (int i = 0; i < next; i++) {
    circle(buoys[i], 30, 8);
  }
  fill(255);
  triangle(x - 20, 60, x + 10, 60, x - 5, 75);
}
`;
const ferryStarts = ferry.replace("size(260, 100)\n", "size(260, 100);\n");

/**
 * Drawing sketches: an empty drawing area because of a flag that is never set, and because of a loop that does not begin; a limit that one
 * click too many shows; a missing semicolon before an index past the end.
 */
export const sketchCases: readonly DemoCase[] = [
  {
    language: "sketch",
    name: "tide_gauge.sketch",
    title: "The tide gauge stays empty",
    intent: "Show the water rising behind the marks of the scale.",
    student: "T-25",
    program: gauge,
    input: "frame 30\n",
    expected: "picture drawn = yes\npicture rects = 1\npicture lines = 7\n",
    mended: [],
  },
  {
    language: "sketch",
    name: "piles.sketch",
    title: "No pile of the pier is drawn",
    intent: "Draw eight piles beside each other.",
    student: "T-26",
    program: ramps,
    input: "",
    expected: "picture lines = 8\n",
    mended: [ramps.replace("int pile = 10;", "int pile = 0;")],
  },
  {
    language: "sketch",
    name: "deck_places.sketch",
    title: "Cars on deck, click by click",
    intent: "A click lets one more car on deck, until all six places are taken.",
    student: "T-27",
    program: clicks,
    input: Array.from({ length: 7 }, (_, at) => `frame ${(at + 1) * 4}\nclick 30 60\n`)
      .join("")
      .concat("frame 32\n"),
    expected: "cars 1\ncars 2\ncars 3\ncars 4\ncars 5\ncars 6\ncars 6\npicture rects = 6\n",
    mended: [clicks.replace("cars <= 6", "cars < 6")],
  },
  {
    language: "sketch",
    name: "buoys.sketch",
    title: "Buoys light up, a sketch",
    intent: "Light up the four buoys, one after the other, as the ferry passes.",
    student: "T-28",
    program: ferry,
    input: "",
    expected: "passed buoy 1\npassed buoy 2\npassed buoy 3\npassed buoy 4\npicture ellipses = 4\n",
    mended: [ferryStarts, ferryStarts.replace("if (x > buoys[next])", "if (next < buoys.length && x > buoys[next])")],
  },
];
