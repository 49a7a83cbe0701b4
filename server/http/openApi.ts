/** The calls that programs may make, described by OpenAPI 3.1 (spec.openapis.org/oas/v3.1.0). */
export const openApi = {
  openapi: "3.1.0",
  info: {
    title: "Bent Nail",
    version: "1",
    description: "Calls for programs. Everything else is for people, on the pages.",
  },
  paths: {
    "/api/collect": {
      post: {
        operationId: "collect",
        summary: "Take a zip or files of a class into the Tray as they are found; for the teacher",
        requestBody: {
          required: true,
          content: {
            "multipart/form-data": {
              schema: {
                type: "object",
                required: ["course", "file"],
                properties: {
                  course: { type: "string", description: "Name or key of the course" },
                  file: {
                    type: "array",
                    items: { type: "string", format: "binary" },
                    description: "One zip, or files",
                  },
                  path: {
                    type: "array",
                    items: { type: "string" },
                    description: "The path of each file, in the same order",
                  },
                  dryRun: { type: "string", description: "Anything: only say what would be taken" },
                },
              },
            },
          },
        },
        responses: {
          "200": {
            description: "What was taken: programs with student, language and outputs, what was not taken and why.",
          },
          "401": { description: "It asks for the teacher's password." },
          "422": { description: "Nothing was taken; one line says why." },
        },
      },
    },
    "/api/hand-in/{code}": {
      post: {
        operationId: "handIn",
        summary: "Hand a faulty program in, with what its tool said",
        parameters: [
          {
            name: "code",
            in: "path",
            required: true,
            description: "The course's code, from its hand-in address",
            schema: { type: "string" },
          },
        ],
        requestBody: {
          required: true,
          content: {
            "multipart/form-data": {
              schema: {
                type: "object",
                required: ["program"],
                properties: {
                  program: { type: "string", format: "binary", description: "The program's file; its name is kept" },
                  output: { type: "string", description: "The error output, as it was shown; may be a file" },
                  student: { type: "string", description: "The student's label in the course" },
                  code: { type: "string", description: "The student's personal code" },
                  input: { type: "string", description: "What was typed in" },
                  intent: { type: "string", description: "What the program was meant to do" },
                  instead: { type: "string", description: "What it did instead" },
                  changedLast: { type: "string", description: "What was changed last" },
                },
              },
            },
            "application/json": {
              schema: {
                type: "object",
                required: ["program"],
                properties: {
                  program: { type: "string" },
                  fileName: { type: "string" },
                  output: { type: "string" },
                  student: { type: "string" },
                  code: { type: "string" },
                  input: { type: "string" },
                  intent: { type: "string" },
                  instead: { type: "string" },
                  changedLast: { type: "string" },
                },
              },
            },
          },
        },
        responses: {
          "201": {
            description: "Taken. One line of text, or JSON where it is asked for.",
            content: {
              "application/json": {
                schema: {
                  type: "object",
                  properties: {
                    message: { type: "string" },
                    receipt: { type: "string" },
                    again: { type: "boolean" },
                    address: { type: "string", format: "uri" },
                  },
                },
              },
              "text/plain": { schema: { type: "string" } },
            },
          },
          "400": { description: "It cannot be read; one line says why." },
          "404": { description: "There is no course with this code." },
          "413": { description: "It is too large." },
          "422": { description: "Something is missing or does not fit; one line says what." },
        },
      },
    },
  },
} as const;
