import { useEffect } from "react";
import { useFetcher } from "react-router";

/** Milliseconds between two looks. */
const between = 1000;

/**
 * What an address of ours tells, asked for when it changes and again and again while the work that it tells of goes on; null
 * until it is known, or where no address is given. (A form that is sent has it asked for anew, as all that a page shows.)
 */
export function useAsked<Told>(address: string | null, goesOn: (told: Told | null) => boolean): Told | null {
  const asking = useFetcher<Told>();
  const { load } = asking;
  const told = (asking.data as Told | undefined) ?? null;
  useEffect(() => {
    if (address !== null) void load(address);
  }, [load, address]);
  const again = address !== null && goesOn(told);
  useEffect(() => {
    if (!again || address === null) return;
    const clock = setInterval(() => void load(address), between);
    return () => clearInterval(clock);
  }, [again, load, address]);
  return address === null ? null : told;
}
