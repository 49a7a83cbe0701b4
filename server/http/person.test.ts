import { expect, test } from "vitest";
import { sittingCookie } from "../sittings/access.ts";
import { personOf } from "./person.ts";

test("runs count for the sitting, for the address without one, and for the teacher on the teacher's pages", () => {
  expect(personOf({ path: "/s/ABC/try", ip: "10.0.0.1", headers: { cookie: `other=1; ${sittingCookie}=key7` } })).toBe(
    "sitting key7",
  );
  expect(personOf({ path: "/s/ABC", ip: "10.0.0.1", headers: {} })).toBe("address 10.0.0.1");
  expect(personOf({ path: "/sheets", ip: "10.0.0.1", headers: { cookie: `${sittingCookie}=key7` } })).toBe("teacher");
});
