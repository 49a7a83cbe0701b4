import express, { type RequestHandler, Router } from "express";
import { createLoginTries } from "./loginTries.ts";
import type { TeacherPassword } from "./password.ts";

const cookieName = "bent-nail-teacher";
const deviceCookie = "bent-nail-device";
const deviceMilliseconds = 180 * 24 * 3600 * 1000;

/** The address as the router will read it: dot segments gone, also encoded ones. */
function pathOf(url: string): string {
  return new URL(url, "http://local").pathname;
}

/**
 * What everybody may reach: students' addresses, the call that hands a program in, and the files and route list that
 * every page needs. They hold nothing of a teacher's.
 */
export function isOpenPath(path: string): boolean {
  return (
    path === "/s" ||
    path === "/s.data" ||
    path.startsWith("/s/") ||
    path.startsWith("/api/hand-in/") ||
    path === "/api/openapi.json" ||
    path === "/api/assignment.schema.json" ||
    path === "/api/bundle.schema.json" ||
    path.startsWith("/assets/") ||
    path === "/nail.svg" ||
    path === "/bench.js" ||
    path === "/__manifest" ||
    path === "/teacher"
  );
}

function cookieOf(header: string | undefined, wanted = cookieName): string {
  for (const part of (header ?? "").split(";")) {
    const [name, ...value] = part.trim().split("=");
    if (name === wanted) return value.join("=");
  }
  return "";
}

function loginPage(message: string, nonce: string): string {
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Bent Nail</title>
<style nonce="${nonce}">body{font:1.1rem sans-serif;background:#f3ecdf;color:#1b2136;display:grid;place-items:center;min-height:90vh}form{background:#fcf8ef;border:1px solid #d8ccb6;padding:1.5rem;display:grid;gap:.8rem}input,button{font:inherit;padding:.3rem .6rem}</style></head>
<body><main><form method="post" action="/teacher"><h1>Bent Nail</h1><label>Teacher’s password <input type="password" name="password" autocomplete="current-password" required></label>${message ? `<p role="alert">${message}</p>` : ""}<button>Go on</button></form><p>Students: use the address of your sheet.</p></main></body></html>`;
}

/**
 * Stands before the router where the server can be reached from other machines: every page, data request and action
 * that is not a student's asks for the teacher's password first. Guards by address, since a route's own loader guards
 * nothing (data requests can name single routes).
 */
export function guardTeacher(password: TeacherPassword): RequestHandler {
  const tries = createLoginTries();
  const router = Router();
  router.get(
    "/teacher",
    (_request, response) => void response.type("html").send(loginPage("", String(response.locals.nonce))),
  );
  router.post("/teacher", express.urlencoded({ extended: false, limit: "4kb" }), (request, response) => {
    const given: unknown = request.body?.password;
    // A browser that the teacher has used before is told apart from whoever else is behind the same network address.
    const device = cookieOf(request.headers.cookie, deviceCookie);
    const from = password.isKnownDevice(device) ? `device ${device}` : `address ${request.ip ?? ""}`;
    const wait = tries.wait(from);
    if (wait > 0) {
      response
        .status(429)
        .type("html")
        .send(
          loginPage(
            `Too many wrong passwords from here. Try again in ${wait} ${wait === 1 ? "second" : "seconds"}.`,
            String(response.locals.nonce),
          ),
        );
    } else if (typeof given === "string" && password.matches(given)) {
      tries.right(from);
      const cookie = { httpOnly: true, sameSite: "lax", path: "/", secure: request.secure } as const;
      response.cookie(cookieName, password.sign(), { ...cookie, maxAge: password.cookieSeconds * 1000 });
      if (!password.isKnownDevice(device))
        response.cookie(deviceCookie, password.newDevice(), {
          ...cookie,
          path: "/teacher",
          maxAge: deviceMilliseconds,
        });
      response.redirect("/");
    } else {
      tries.wrong(from);
      response
        .status(403)
        .type("html")
        .send(loginPage("This is not the password.", String(response.locals.nonce)));
    }
  });
  router.use((request, response, next) => {
    if (isOpenPath(pathOf(request.originalUrl)) || password.isGenuine(cookieOf(request.headers.cookie))) return next();
    if (request.method === "GET" && (request.headers.accept ?? "").includes("text/html")) response.redirect("/teacher");
    else response.status(401).type("text").send("This asks for the teacher's password.");
  });
  return router;
}
