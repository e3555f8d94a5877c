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
  isSpoilt,
  mergeOf,
  moveOf,
  restate,
  splitOf,
  usedUp,
  type Amount,
  type LotChange,
  type LotState,
} from "./lots";
export { totalsBy, type Total, type TotalledPick } from "./totals";
