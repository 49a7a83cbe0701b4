/** The picture of a sketch where the dry run is: after as many frames as are over by then. */
export function PictureNow({
  run,
  step,
}: {
  run: { key: string; version: string; check: string; frameEnds: readonly number[] };
  /** The step that is about to run; null behind the last one. */
  step: number | null;
}) {
  const over = step === null ? run.frameEnds.length : run.frameEnds.filter((end) => end <= step).length;
  const words = over === 0 ? "Before the first frame" : `After frame ${over}`;
  return (
    <section className="leaf p-3" aria-label="Picture so far">
      <h2 className="text-lg">Picture so far</h2>
      <p className="note-small">{words}; a frame is shown when it is drawn whole.</p>
      <img
        className="mt-1 max-h-64 max-w-full border border-rule bg-leaf object-contain"
        src={`/cases/${run.key}/picture.svg?version=${run.version}&check=${run.check}&frame=${over}`}
        alt={words}
      />
    </section>
  );
}
