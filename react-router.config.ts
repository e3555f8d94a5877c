import type { Config } from "@react-router/dev/config";

/** All routes are known to a page from the start: without signal it cannot ask for more. */
export default { ssr: true, routeDiscovery: { mode: "initial" } } satisfies Config;
