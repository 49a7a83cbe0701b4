import { useEffect } from "react";
import { useRevalidator } from "react-router";

/** Milliseconds between two looks. */
const between = 1000;

/** Reads the page's data again and again while some work behind it goes on. */
export function useReadAgainWhile(working: boolean): void {
  const { revalidate } = useRevalidator();
  useEffect(() => {
    if (!working) return;
    const clock = setInterval(() => void revalidate(), between);
    return () => clearInterval(clock);
  }, [working, revalidate]);
}
