export { CONDITIONS, FATES } from "./pick-words";
export { Containers, netWeight, type NetWeight } from "./net-weight";
export {
  HARVEST_KINDS,
  MOVEMENT_KINDS,
  Movement,
  MovementKind,
  NOT_EATEN,
  USES,
  amountOf,
  isGuessed,
  harvestOf,
  mergeOf,
  moveOf,
  restate,
  splitOf,
  usedUp,
  type Amount,
  type LotChange,
  type LotState,
} from "./lots";
export { LEDGER_SORTS, totalsBy, type LedgerSort, type SummedHarvest, type Total } from "./totals";
