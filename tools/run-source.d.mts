export function newest(paths: readonly string[]): number;
export function bundle(entry: string): Promise<string>;
export function runSource(entry: string): Promise<void>;
