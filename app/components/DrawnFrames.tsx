import { useState } from "react";
import type { PictureView } from "../case/pictureView.ts";

/** What a sketch drew: frames beside each other, and any one of them large. `address` is where pictures are found, without the frame. */
export function DrawnFrames({ picture, address, label }: { picture: PictureView; address: string; label: string }) {
  const [frame, setFrame] = useState(picture.last);
  const { width, height, last, shapes, left, blank, keptUntil } = picture;
  const after = last === 0 ? "one picture" : last === 1 ? "1 frame" : `${last} frames`;
  return (
    <figure className="grid gap-1" aria-label={`Drawing of ${label}`}>
      <figcaption className="note-small">
        Drawing area <strong>{`${width} × ${height}`}</strong>, {after}
        {blank === "" ? `, ${shapes === 1 ? "1 shape" : `${shapes} shapes`} in the last` : ""}
        {keptUntil === null && "; only the last picture is kept of a run that had company"}
        {keptUntil !== null && keptUntil < last && `; frames are kept up to ${keptUntil}, and the last`}
        {left > 0 && `; ${left.toLocaleString("en-GB")} of them are only counted`}
      </figcaption>
      {blank !== "" && (
        <p className="border-l-4 border-ochre pl-2">
          <strong>Nothing is seen in the drawing area:</strong> {blank}.
        </p>
      )}
      <div className="flex flex-wrap items-start gap-3">
        {picture.frames.map((each) => (
          <button
            key={each}
            type="button"
            className={`press press-quiet grid gap-1 p-1 text-sm ${each === frame ? "outline-2 outline-ink" : ""}`}
            aria-pressed={each === frame}
            onClick={() => setFrame(each)}
          >
            <img
              className="border border-rule bg-leaf object-contain"
              width={110}
              height={Math.min(110, Math.round((110 * height) / width))}
              src={`${address}&frame=${each}`}
              alt=""
            />
            {each === 0 ? "Picture" : `Frame ${each}`}
          </button>
        ))}
      </div>
      <img
        className="max-h-96 max-w-full justify-self-start border border-rule bg-leaf object-contain"
        width={width}
        height={height}
        src={`${address}&frame=${frame}`}
        alt={last === 0 ? "What was drawn" : `What is drawn after frame ${frame}`}
      />
      {last > 1 && (
        <p className="flex flex-wrap items-center gap-3 text-sm">
          <label className="flex items-center gap-2 font-normal">
            Frame
            <input
              type="range"
              min={0}
              max={last}
              value={frame}
              onChange={(event) => setFrame(Number(event.target.value))}
            />
            <output>{frame}</output>
          </label>
          <a className="link" href={`${address}&film=yes`}>
            All frames as SVG
          </a>
          <a className="link" href={`${address}&frame=${frame}`}>
            This frame as SVG
          </a>
        </p>
      )}
    </figure>
  );
}
