export { CONDITIONS, FATES } from "./pick-words";
export { Containers, netWeight, type NetWeight } from "./net-weight";
export { totalsBy, type Total, type TotalledPick } from "./totals";
