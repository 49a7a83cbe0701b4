import type { ReactNode } from "react";

/** What a user does to a program, step by step; nothing where no step is known. */
export function UserSteps({ title, steps }: { title: ReactNode; steps: readonly string[] }) {
  if (steps.length === 0) return null;
  return (
    <div>
      <p>{title}</p>
      <ol className="ml-6 list-decimal">
        {steps.map((step, index) => (
          <li key={`${index}${step}`}>{step}</li>
        ))}
      </ol>
    </div>
  );
}
