import { bundleJsonSchema } from "../../core/formats/bundle.ts";

/** The schema of a case of a bundle. */
export function loader(): Response {
  return Response.json(bundleJsonSchema(), { headers: { "Content-Type": "application/schema+json" } });
}
