import { PrintPage } from "./PrintPage.tsx";

/** Slips for students, to be cut out: label, personal code, and where to go. `sheet`: the code of a sheet, where they are for one. */
export function Slips({
  title,
  students,
  address,
  sheet,
}: {
  title: string;
  students: ReadonlyArray<{ key: string; label: string; personal_code: string }>;
  address: string;
  sheet?: string;
}) {
  return (
    <PrintPage title={`Slips: ${title}`} under="Cut along the lines and hand one to each student.">
      <ul className="grid grid-cols-2">
        {students.map((student) => (
          <li key={student.key} className="keep-together border border-dashed border-black p-3">
            <p className="text-lg font-bold">{student.label}</p>
            <p>
              Personal code <strong className="font-mono">{student.personal_code}</strong>
            </p>
            {sheet && (
              <p>
                Sheet code <strong className="font-mono">{sheet}</strong>
              </p>
            )}
            <p className="text-[9pt] break-all">{address}</p>
          </li>
        ))}
      </ul>
    </PrintPage>
  );
}
