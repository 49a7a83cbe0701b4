import { useEffect } from "react";
import { useRevalidator } from "react-router";

/** Milliseconds between two looks. */
const between = 1000;

/** Reads the page's data again and again while some work behind it goes on. */
export function useReadAgainWhile(working: boolean): void {
  useReadAgainEvery(working ? between : null);
}

/** Reads the page's data again after so many milliseconds each; null: not. */
export function useReadAgainEvery(milliseconds: number | null): void {
  const { revalidate } = useRevalidator();
  useEffect(() => {
    if (milliseconds === null) return;
    const clock = setInterval(() => void revalidate(), milliseconds);
    return () => clearInterval(clock);
  }, [milliseconds, revalidate]);
}
