import { index, layout, type RouteConfig, route } from "@react-router/dev/routes";

/** Every address. What students may reach lies under /s; server/http/guard.ts keeps the rest for the teacher. */
export default [
  layout("routes/teacher.tsx", [
    index("routes/tray.tsx"),
    route("collect", "routes/collect.tsx"),
    route("collect/:collectionKey", "routes/collection.tsx"),
    route("casebook", "routes/casebook.tsx"),
    route("cases/:caseKey", "routes/case.tsx"),
    route("cases/:caseKey/exercise", "routes/exerciseFromCase.tsx"),
    route("exercises/:exerciseKey", "routes/exercise.tsx"),
    route("sheets", "routes/sheets.tsx"),
    route("sheets/:sheetKey", "routes/sheet.tsx"),
    route("sheets/:sheetKey/marks", "routes/markBook.tsx"),
    route("sheets/:sheetKey/marks/:sittingKey", "routes/markSitting.tsx"),
    route("courses", "routes/courses.tsx"),
    route("courses/:courseKey", "routes/course.tsx"),
    route("languages", "routes/languages.tsx"),
  ]),
  route("print/cases/:caseKey", "routes/printCase.tsx"),
  route("print/cases/:caseKey/table", "routes/printTable.tsx"),
  route("print/sheets/:sheetKey", "routes/printSheet.tsx"),
  route("print/sheets/:sheetKey/scheme", "routes/printScheme.tsx"),
  route("print/sheets/:sheetKey/slips", "routes/printSlips.tsx"),
  route("runs", "routes/runs.ts"),
  route("collect-take", "routes/collectTake.ts"),
  route("collect/:collectionKey/progress", "routes/collectionProgress.ts"),
  route("s", "routes/sitEnter.tsx"),
  route("s/:code", "routes/sit.tsx"),
  route("s/:code/save", "routes/sitSave.ts"),
  route("s/:code/try", "routes/sitTry.ts"),
  route("s/:code/runs", "routes/runs.ts", { id: "routes/sitRuns" }),
] satisfies RouteConfig;
