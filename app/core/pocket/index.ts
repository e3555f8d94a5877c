export {
  addressesOf,
  isKept,
  isPuttingOut,
  isWhole,
  keyOf,
  toFetch,
  type KeepOutcome,
  type Kept,
  type PocketAsk,
  type PocketList,
} from "./pages";
