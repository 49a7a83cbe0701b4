import { pictureAt } from "../../core/outcome/drawing.ts";
import { filmSvg, pictureSvg } from "../../core/outcome/pictureSvg.ts";
import { findCase } from "../../server/cases/caseStore.ts";
import { judgeVersion } from "../../server/judge/judge.ts";
import type { Route } from "./+types/pictureFile.ts";

/**
 * What a sketch drew under a check, as SVG: the picture after `frame`, the last one where none is named, or with `film` pictures of every frame in rows.
 */
export async function loader({ params, request, context }: Route.LoaderArgs): Promise<Response> {
  const query = new URL(request.url).searchParams;
  const found = await findCase(context.services.database, params.caseKey, "all");
  if (!found) return new Response("There is no such case.", { status: 404 });
  const version = found.loaded.find((each) => each.key === (query.get("version") ?? found.current_version));
  if (!version) return new Response("There is no such version.", { status: 404 });
  const { results } = await judgeVersion(context.services, found, version);
  const drawing = results.find(({ check }) => check.key === query.get("check"))?.outcome?.drawing;
  if (!drawing) return new Response("Nothing was drawn there.", { status: 404 });
  const asked = Number(query.get("frame") ?? drawing.last);
  const frame = Number.isInteger(asked) ? Math.min(Math.max(asked, 0), drawing.last) : drawing.last;
  const svg = query.has("film") ? filmSvg(drawing) : pictureSvg(pictureAt(drawing, frame));
  return new Response(svg, {
    headers: { "Content-Type": "image/svg+xml; charset=utf-8", "Cache-Control": "private, no-cache" },
  });
}
