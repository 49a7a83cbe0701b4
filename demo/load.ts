import type { Services } from "../server/services.ts";
export async function loadDemo(_services: Services): Promise<void> {}
