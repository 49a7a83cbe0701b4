import { openApi } from "../../server/http/openApi.ts";

/** The description of the calls for programs. */
export function loader(): Response {
  return Response.json(openApi);
}
