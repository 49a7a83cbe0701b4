import { useEffect, useRef } from "react";
import { useFetcher } from "react-router";
import type { Presentation } from "../present/presentation.ts";

/** Has the program of an exercise run behind a lesson, so that it is there when its part comes; shows nothing. */
export function LoadProgram({ exercise, told }: { exercise: string; told: (program: Presentation) => void }) {
  const { load, data } = useFetcher<Presentation>();
  const tell = useRef(told);
  tell.current = told;
  useEffect(() => void load(`/exercises/${exercise}/present`), [load, exercise]);
  useEffect(() => {
    if (data) tell.current(data);
  }, [data]);
  return null;
}
