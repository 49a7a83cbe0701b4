/**
 * Gathers what is asked for at the same time: at most `atOnce` pieces of work go on, each of at most `most()` items in the
 * order in which they were asked for; what comes meanwhile is the next piece. What is urgent waits for none of these: all of
 * it that is asked for at the same time is one more piece. An answer stands at the place of its item; a piece of work that
 * fails fails for all of its items.
 */
export function gather<Item, Answer>(
  work: (items: readonly Item[], urgent: boolean) => Promise<readonly Answer[]>,
  { atOnce, most }: { atOnce: number; most: () => number },
): (item: Item, urgent?: boolean) => Promise<Answer> {
  type Waiting = { item: Item; resolve: (answer: Answer) => void; reject: (reason: unknown) => void };
  const queues = { usual: [] as Waiting[], urgent: [] as Waiting[] };
  const going = { usual: 0, urgent: 0 };
  let planned = false;

  const start = (kind: "usual" | "urgent", size: number): void => {
    const taken = queues[kind].splice(0, size);
    going[kind] += 1;
    void work(
      taken.map(({ item }) => item),
      kind === "urgent",
    )
      .then(
        (answers) => {
          for (const [at, { resolve, reject }] of taken.entries())
            if (at in answers) resolve(answers[at] as Answer);
            else reject(new Error("no answer for an item"));
        },
        (problem: unknown) => {
          for (const { reject } of taken) reject(problem);
        },
      )
      .finally(() => {
        going[kind] -= 1;
        plan();
      });
  };
  const begin = (): void => {
    planned = false;
    if (queues.urgent.length > 0 && going.urgent === 0) start("urgent", queues.urgent.length);
    // What waits is shared out, so that no piece of work stands idle while another one has it all.
    while (going.usual < atOnce && queues.usual.length > 0)
      start("usual", Math.min(most(), Math.ceil(queues.usual.length / (atOnce - going.usual))));
  };
  const plan = (): void => {
    if (planned) return;
    planned = true;
    setImmediate(begin);
  };

  return (item, urgent = false) =>
    new Promise((resolve, reject) => {
      queues[urgent ? "urgent" : "usual"].push({ item, resolve, reject });
      plan();
    });
}
