import { randomBytes } from "node:crypto";
import type { RequestHandler } from "express";
import { createAttempts } from "../people/attempts.ts";

/**
 * A strict content security policy with a number used once for this page's own scripts, and the headers that go with
 * it.
 */
export const setSafeHeaders: RequestHandler = (request, response, next) => {
  const nonce = randomBytes(16).toString("base64");
  response.locals.nonce = nonce;
  response.set({
    "Content-Security-Policy": `default-src 'self'; script-src 'self' 'nonce-${nonce}'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self' data:; object-src 'none'; base-uri 'none'; frame-ancestors 'none'; form-action 'self'`,
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "same-origin",
    // Browsers take it from secure origins only, and complain about it elsewhere (HTML Standard, 7.1.3).
    ...(request.secure || isLoopback(hostName(request.headers.host ?? ""))
      ? { "Cross-Origin-Opener-Policy": "same-origin" }
      : {}),
    "Cross-Origin-Resource-Policy": "same-origin",
  });
  next();
};

const loopback = new Set(["127.0.0.1", "localhost", "[::1]", "::1"]);

/** True for an address that only this machine can reach. */
export function isLoopback(host: string): boolean {
  return loopback.has(host);
}

function hostName(hostHeader: string): string {
  return hostHeader.replace(/:\d+$/, "");
}

/** Largest form or answer that is taken, in bytes: a program of 2 MB, sent twice, with room to spare. */
const largestBody = 12 * 1024 * 1024;

/** A set of a whole class may be larger; only the teacher reaches these addresses. */
const largestSetBody = 64 * 1024 * 1024;
const setAddresses: ReadonlySet<string> = new Set(["/collect-take", "/api/collect"]);
/** A backup that is brought back; only the teacher reaches this address. */
const largestBackupBody = 256 * 1024 * 1024;
const backupAddresses: ReadonlySet<string> = new Set(["/backups", "/backups.data"]);

/** The largest body that an address takes, in bytes. */
function largestAt(path: string): number {
  if (backupAddresses.has(path)) return largestBackupBody;
  return setAddresses.has(path) ? largestSetBody : largestBody;
}

const methods: ReadonlySet<string> = new Set(["GET", "HEAD", "POST", "OPTIONS"]);

/**
 * True if an address can be read: a path on this server, its percent signs sound, and without the sign that no text may
 * hold.
 */
function canBeRead(url: string): boolean {
  try {
    return url.startsWith("/") && !decodeURIComponent(url.replaceAll("+", " ")).includes("\0");
  } catch {
    return false;
  }
}

/** Refuses requests that make no sense to any page, with the status that says so. */
export const refuseNonsense: RequestHandler = (request, response, next) => {
  if (!methods.has(request.method))
    response
      .set({ Allow: [...methods].join(", "), Connection: "close" })
      .status(405)
      .type("text")
      .send("This cannot be asked here.");
  else if (!canBeRead(request.originalUrl))
    response.set("Connection", "close").status(400).type("text").send("This address cannot be read.");
  else next();
};

/** The host that an Origin header names; null if it names none. */
function hostOfOrigin(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}

/** Refuses what is too large before any of it is read, and what does not say how large it is. */
export const refuseFloods: RequestHandler = (request, response, next) => {
  if (request.method === "GET" || request.method === "HEAD") return next();
  const length = Number(request.headers["content-length"] ?? Number.NaN);
  // What follows on a refused connection would be the rest of the body, so it is closed.
  if (request.headers["transfer-encoding"] !== undefined)
    response.set("Connection", "close").status(411).type("text").send("Say how long this is.");
  else if (length > largestAt(request.path))
    response.set("Connection", "close").status(413).type("text").send("This is too large to be taken in.");
  else next();
};

/**
 * Takes what is left of a request's body when its answer is given: a page that refuses without reading all of it would
 * leave the connection in the middle of a body, and whatever is asked on it next would wait for ever.
 */
export const takeTheRest: RequestHandler = (request, response, next) => {
  response.on("finish", () => {
    if (request.readableEnded) return;
    request.removeAllListeners("data");
    request.resume();
  });
  next();
};

/** Hand-ins that come from one network address in a minute at most; a whole class may share one. */
const mostHandIns = 90;

/** Refuses an address from which more is handed in than by a whole class, before any of it is read. */
export function refuseManyHandIns(most = mostHandIns): RequestHandler {
  const arrivals = createAttempts(most, 60_000);
  return (request, response, next) => {
    const handsIn = request.method === "POST" && /^\/(?:api|s)\/hand-in\//.test(request.path);
    if (!handsIn || arrivals.allowed(request.ip ?? "")) return next();
    response
      .set("Connection", "close")
      .status(429)
      .type("text")
      .send("That is a lot in a short time. Wait a few minutes.");
  };
}

/**
 * Refuses changes that another site's page sends in a person's name, and, while the server listens on this machine
 * only, requests under a foreign host name (a page that points its own name at this machine).
 */
export function refuseForgery(host: string): RequestHandler {
  return (request, response, next) => {
    const asked = request.headers.host ?? "";
    if (isLoopback(host) && !isLoopback(hostName(asked))) {
      response.status(403).type("text").send("This server answers only on this machine.");
      return;
    }
    if (request.method !== "GET" && request.method !== "HEAD") {
      const origin = request.headers.origin;
      const site = request.headers["sec-fetch-site"];
      const named = origin === undefined ? asked : hostOfOrigin(origin);
      if (named === null && origin !== "null") {
        response.status(400).type("text").send("Where this came from cannot be read.");
        return;
      }
      const foreign = named !== asked || site === "cross-site";
      if (foreign) {
        response.status(403).type("text").send("This change came from another site and was refused.");
        return;
      }
    }
    next();
  };
}
