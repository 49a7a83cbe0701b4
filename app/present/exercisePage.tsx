import { data } from "react-router";
import { findExercise } from "../../server/exercises/exerciseStore.ts";
import type { Route } from "./+types/exercisePage.ts";
import { Present } from "./Present.tsx";
import { presentation } from "./presentation.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [{ title: loaderData?.title ?? "Presentation" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const exercise = await findExercise(context.services.database, params.exerciseKey);
  if (!exercise) throw data("There is no such exercise.", { status: 404 });
  const { title, content, wording } = exercise;
  return { wording, ...(await presentation(context.services, content, { title, back: `/exercises/${exercise.key}` })) };
}

export default function PresentExercise({ loaderData }: Route.ComponentProps) {
  return <Present view={loaderData} />;
}
