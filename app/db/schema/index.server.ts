export * from "./garden.server";
export * from "./beds.server";
export * from "./looks.server";
export * from "./round.server";
export * from "./ledger.server";
export * from "./entries.server";
export * from "./sky.server";
export * from "./sums.server";
