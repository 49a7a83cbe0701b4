import type { Request, RequestHandler } from "express";
import type { Desk } from "../sandbox/desk.ts";
import { sittingCookie } from "../sittings/access.ts";

/**
 * Who a request's runs count for: a student by the sitting, without one by the address; the teacher everywhere else.
 */
export function personOf(request: Pick<Request, "path" | "ip" | "headers">): string {
  if (request.path !== "/s" && !request.path.startsWith("/s/")) return "teacher";
  const sitting = new RegExp(`(?:^|;)\\s*${sittingCookie}=([^;]+)`).exec(request.headers.cookie ?? "")?.[1];
  return sitting ? `sitting ${sitting}` : `address ${request.ip ?? ""}`;
}

/** Does everything that a request asks for in its person's name, so that runs get their turns by person. */
export function inPersonsName(desk: Desk): RequestHandler {
  return (request, _response, next) => desk.as(personOf(request), next);
}
