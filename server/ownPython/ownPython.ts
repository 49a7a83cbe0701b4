import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import express, { type RequestHandler, Router } from "express";
import * as z from "zod";
import { productFolder } from "../productFolder.ts";

/** Where what browsers fetch to run Python lies once it is made (make.ts). */
export const ownPythonFolder = join(productFolder, "node_modules/.cache/bent-nail/own-python");

/** `key` names the files, and another key other files; `policy`: what the frame's page may do. */
const ownPythonSchema = z.object({ key: z.string(), policy: z.string() });
export type OwnPython = z.infer<typeof ownPythonSchema>;

let known: OwnPython | null = null;

/** What has been made, or null: then Python is run on the server only. What was found once stays, as a server serves it. */
export function ownPython(): OwnPython | null {
  known ??= readOwnPython();
  return known;
}

function readOwnPython(): OwnPython | null {
  const path = join(ownPythonFolder, "current.json");
  if (!existsSync(path)) return null;
  const read = ownPythonSchema.safeParse(JSON.parse(readFileSync(path, "utf8")));
  return read.success ? read.data : null;
}

/** The address below which the files lie; open to everybody, as all students' addresses are. */
export const ownPythonAddress = "/s/own-python";

/** The address of the files that are there, or null. */
export function ownPythonFiles(): string | null {
  const own = ownPython();
  return own && `${ownPythonAddress}/${own.key}`;
}

/** Serves the pack and the frame's page, to be kept by browsers for good: another pack has another address. */
export function serveOwnPython(own: OwnPython): RequestHandler {
  const router = Router();
  router.get(`/${own.key}/frame.html`, (_request, response, next) => {
    response.set("Content-Security-Policy", own.policy);
    next();
  });
  router.use(
    `/${own.key}`,
    express.static(join(ownPythonFolder, own.key), { immutable: true, maxAge: "1y", index: false, redirect: false }),
  );
  router.use((_request, response) => void response.status(404).type("text").send("There is nothing here."));
  return router;
}
