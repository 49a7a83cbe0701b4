import { type Drawing, pictureAt, unseenBecause } from "../../core/outcome/drawing.ts";
import { isDrawn } from "../../core/outcome/pictureFacts.ts";
import { framesToShow } from "../../core/outcome/pictureSvg.ts";

/** Frames that stand beside each other. */
const mostBeside = 6;

const kindWords = {
  number: "at a place that is no number",
  outside: "outside of the area",
  colour: "without a filling and a line",
  ground: "in the colour of the background",
  size: "without any size",
} as const;

/** Why nothing is seen in a picture, in words; "" where something is. */
function blankWords(drawing: Drawing): string {
  const picture = pictureAt(drawing, drawing.last);
  if (isDrawn(picture)) return "";
  const reasons = picture.shapes.map((shape) => unseenBecause(shape, picture));
  const counted = (["number", "outside", "colour", "ground", "size"] as const).flatMap((reason) => {
    const count = reasons.filter((each) => each === reason).length;
    return count === 0 ? [] : [`${count === 1 ? "1 shape lies" : `${count} shapes lie`} ${kindWords[reason]}`];
  });
  return counted.length === 0 ? "no shape was drawn" : counted.join(", ");
}

/** What a page says of what a run drew: its size, frames to look at, up to which all are known, why nothing is seen where that is so, how many shapes were only counted. */
export function pictureView(drawing: Drawing) {
  const { width, height, shapes, left } = pictureAt(drawing, drawing.last);
  const last = drawing.frames.at(-1);
  // Behind the last frame that there was room for only the last picture is known.
  const keptUntil = last?.whole ? (drawing.frames.at(-2)?.frame ?? null) : drawing.last;
  return {
    keptUntil,
    ...{ width, height, left, last: drawing.last, blank: blankWords(drawing) },
    shapes: shapes.length + left,
    frames:
      keptUntil === drawing.last
        ? framesToShow(drawing, mostBeside)
        : [...(keptUntil === null ? [] : framesToShow({ ...drawing, last: keptUntil }, mostBeside - 1)), drawing.last],
  };
}
export type PictureView = ReturnType<typeof pictureView>;
