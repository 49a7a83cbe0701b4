import type { Config } from "@react-router/dev/config";

export default {
  ssr: true,
  // All addresses are known from the start: one that is looked up on the way is lost where something else is asked for meanwhile.
  routeDiscovery: { mode: "initial" },
} satisfies Config;
