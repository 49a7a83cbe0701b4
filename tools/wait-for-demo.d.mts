export function demoLoaded(address: string, patience?: number, between?: number): Promise<void>;
