import { createHmac, randomBytes, scryptSync, timingSafeEqual } from "node:crypto";
import { chmodSync, existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import * as z from "zod";

/**
 * The teacher's password as it is kept (scrypt, RFC 7914) and the secret that signs the cookies of those who gave it.
 */
const keptSchema = z.object({ salt: z.string(), hash: z.string(), secret: z.string() });
type Kept = z.infer<typeof keptSchema>;

const shortest = 10;
const cookieSeconds = 12 * 3600;

function hashOf(password: string, salt: string): Buffer {
  return scryptSync(password.normalize("NFC"), salt, 32, { N: 16384, r: 8, p: 1 });
}

/** The password of a data folder. `set` gives words for the person if it is too short. */
export type TeacherPassword = {
  isSet: () => boolean;
  set: (password: string) => string | null;
  matches: (password: string) => boolean;
  /** A signed value for the cookie, and whether such a value is genuine and not too old. */
  sign: (now?: number) => string;
  isGenuine: (value: string, now?: number) => boolean;
  /** A signed name for a browser in which the password was given, and whether a name is such a one. */
  newDevice: () => string;
  isKnownDevice: (value: string) => boolean;
  cookieSeconds: number;
};

export function teacherPassword(folder: string): TeacherPassword {
  const path = join(folder, "teacher-password.json");
  const read = (): Kept | null => (existsSync(path) ? keptSchema.parse(JSON.parse(readFileSync(path, "utf8"))) : null);
  const signature = (kept: Kept, time: string) => createHmac("sha256", kept.secret).update(time).digest("base64url");
  return {
    cookieSeconds,
    isSet: () => read() !== null,
    set: (password) => {
      if (password.length < shortest) return `The password needs at least ${shortest} characters.`;
      const salt = randomBytes(16).toString("hex");
      const kept: Kept = {
        salt,
        hash: hashOf(password, salt).toString("hex"),
        secret: randomBytes(32).toString("hex"),
      };
      writeFileSync(path, JSON.stringify(kept), { mode: 0o600 });
      chmodSync(path, 0o600);
      return null;
    },
    matches: (password) => {
      const kept = read();
      return kept !== null && timingSafeEqual(hashOf(password, kept.salt), Buffer.from(kept.hash, "hex"));
    },
    sign: (now = Date.now()) => {
      const kept = read();
      if (!kept) throw new Error("no password is set");
      const time = String(now);
      return `${time}.${signature(kept, time)}`;
    },
    newDevice: () => {
      const kept = read();
      if (!kept) throw new Error("no password is set");
      const name = randomBytes(12).toString("base64url");
      return `${name}.${signature(kept, `device ${name}`)}`;
    },
    isKnownDevice: (value) => {
      const kept = read();
      const [name = "", given = ""] = value.split(".");
      if (!kept || name === "") return false;
      const right = Buffer.from(signature(kept, `device ${name}`));
      const own = Buffer.from(given);
      return right.length === own.length && timingSafeEqual(right, own);
    },
    isGenuine: (value, now = Date.now()) => {
      const kept = read();
      const [time = "", given = ""] = value.split(".");
      if (!kept || !/^\d+$/.test(time) || now - Number(time) > cookieSeconds * 1000) return false;
      const right = Buffer.from(signature(kept, time));
      const own = Buffer.from(given);
      return right.length === own.length && timingSafeEqual(right, own);
    },
  };
}
