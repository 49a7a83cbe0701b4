import { expect, test } from "vitest";
import { networkAddresses, studentOrigin } from "./addresses.ts";

const found = (address: string, internal = false, family = "IPv4") => ({ address, internal, family });

test("addresses of a school's own network come first, those of this machine alone never", () => {
  expect(
    networkAddresses({
      lo: [found("127.0.0.1", true), found("::1", true, "IPv6")],
      wan: [found("203.0.113.9"), found("fe80::1", false, "IPv6")],
      lan: [found("192.168.7.20")],
      gone: undefined,
    }),
  ).toEqual(["192.168.7.20", "203.0.113.9"]);
});

test.each([
  // The teacher works on the server's own machine, students on others.
  ["0.0.0.0", "127.0.0.1:4200", "http://192.168.7.20:4200"],
  ["0.0.0.0", "localhost:4200", "http://192.168.7.20:4200"],
  ["192.168.7.30", "localhost:4200", "http://192.168.7.30:4200"],
  // By a name that the network knows.
  ["0.0.0.0", "room.test:4200", "http://room.test:4200"],
  ["0.0.0.0", "room.test", "http://room.test"],
  // Nobody else reaches it.
  ["127.0.0.1", "127.0.0.1:4200", "http://127.0.0.1:4200"],
])("a server on %s that is asked as %s is reached at %s", (host, asked, origin) => {
  expect(studentOrigin(host, { protocol: "http", host: asked }, ["192.168.7.20"])).toBe(origin);
});

test("where the machine is in no network, students' address is the one that is there", () => {
  expect(studentOrigin("0.0.0.0", { protocol: "https", host: "localhost:4200" }, [])).toBe("https://localhost:4200");
});
