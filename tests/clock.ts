import { beforeEach, vi } from "vitest";

/** The moment at which every test runs, whatever the day: nothing here may depend on when it is run. */
export const NOW = "2026-08-20T08:00:00.000Z";

beforeEach(() => {
  vi.useFakeTimers({ toFake: ["Date"], now: new Date(NOW) });
});
