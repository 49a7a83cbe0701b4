import type { Services } from "../services.ts";
import type { JobKind, Worker } from "./queue.ts";

/** A kind of work with what does it, by the server's services. */
export type Job<Data> = JobKind<Data> & { work: (services: Services, data: Data) => Promise<void> };

/** Gives a job its type. */
export function defineJob<Data>(job: Job<Data>): Job<Data> {
  return job;
}

/** A job with what a later stage of the job does once it has come to a good end. */
export function followed<Data>(job: Job<Data>, then: (data: Data) => Promise<void>): Job<Data> {
  return {
    ...job,
    work: async (services, data) => {
      await job.work(services, data);
      await then(data);
    },
  };
}

/** A job bound to a server's services, closed for lists; what lies in the database is parsed before it is worked on. */
export function bound<Data>(services: Services, { schema, work, ...job }: Job<Data>): Worker {
  const { name, atOnce, retries, retryAfter } = job;
  return { name, atOnce, retries, retryAfter, work: (data) => work(services, schema.parse(data)) };
}
