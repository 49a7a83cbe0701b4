/**
 * Gathers what is asked for at the same time: at most `atOnce` pieces of work go on, each of at most `most()` items in the
 * order in which they were asked for; what comes meanwhile is the next piece. An answer stands at the place of its item;
 * a piece of work that fails fails for all of its items.
 */
export function gather<Item, Answer>(
  work: (items: readonly Item[]) => Promise<readonly Answer[]>,
  { atOnce, most }: { atOnce: number; most: () => number },
): (item: Item) => Promise<Answer> {
  type Waiting = { item: Item; resolve: (answer: Answer) => void; reject: (reason: unknown) => void };
  const waiting: Waiting[] = [];
  let going = 0;
  let planned = false;

  const begin = (): void => {
    planned = false;
    while (going < atOnce && waiting.length > 0) {
      // What waits is shared out, so that no piece of work stands idle while another one has it all.
      const size = Math.min(most(), Math.ceil(waiting.length / (atOnce - going)));
      const taken = waiting.splice(0, size);
      going += 1;
      void work(taken.map(({ item }) => item))
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
          going -= 1;
          plan();
        });
    }
  };
  const plan = (): void => {
    if (planned) return;
    planned = true;
    setImmediate(begin);
  };

  return (item) =>
    new Promise((resolve, reject) => {
      waiting.push({ item, resolve, reject });
      plan();
    });
}
