import { networkInterfaces } from "node:os";
import { isLoopback } from "./safety.ts";

type Found = ReadonlyArray<{ address: string; family: string; internal: boolean }>;

/** The blocks of addresses that a school's own network has (RFC 1918). */
const ownNetwork = /^(?:10\.|192\.168\.|172\.(?:1[6-9]|2\d|3[01])\.)/;

/**
 * The addresses by which other machines of the same network reach this one, the likeliest first: IPv4, those of a network of
 * one's own before others.
 */
export function networkAddresses(all: Readonly<Record<string, Found | undefined>> = networkInterfaces()): string[] {
  const found = Object.values(all)
    .flatMap((each) => each ?? [])
    .filter(({ family, internal }) => family === "IPv4" && !internal)
    .map(({ address }) => address);
  return [
    ...found.filter((address) => ownNetwork.test(address)),
    ...found.filter((address) => !ownNetwork.test(address)),
  ];
}

/**
 * Where students reach the server, as an origin: what the teacher's browser asks for, unless that is an address of this
 * machine alone while the server listens to others.
 */
export function studentOrigin(
  host: string,
  asked: { protocol: string; host: string },
  addresses: readonly string[] = networkAddresses(),
): string {
  const [name = "", port] = asked.host.split(/:(?=\d+$)/);
  const [own] = addresses;
  const listens = ["0.0.0.0", "::"].includes(host) ? own : host;
  const reached = !isLoopback(host) && isLoopback(name) && listens ? listens : name;
  return `${asked.protocol}://${reached}${port ? `:${port}` : ""}`;
}
