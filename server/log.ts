import { pino } from "pino";

/**
 * What the server notes for whoever runs it, as JSON lines; BENT_NAIL_LOG says from which level on. No text of a
 * student goes in here.
 */
export const log = pino({ level: process.env.BENT_NAIL_LOG ?? "info" });
