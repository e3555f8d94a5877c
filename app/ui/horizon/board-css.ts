import type { SystemStyleObject } from "@chakra-ui/react";
import { ink } from "~/ui/theme";
import { LABELS, ROW_HEIGHT } from "./layout";

const HALO = `0 0 3px ${ink("paper")}, 0 0 3px ${ink("paper")}, 0 0 5px ${ink("paper")}`;

/**
 * The look of everything that stands on the board many times over, by class: worked out once for the board, and not for
 * each of its hundreds of parts.
 */
export const BOARD_CSS: SystemStyleObject = {
  "& .bed": { borderTop: "1px solid", borderColor: "line", position: "relative", paddingBlock: "6px" },
  "& .bed-name": {
    position: { base: "relative", md: "absolute" },
    zIndex: 3,
    left: 0,
    top: "10px",
    bottom: 0,
    width: { base: "auto", md: "118px" },
    paddingLeft: { base: "16px", md: "28px" },
  },
  "& .bed-name h2": { fontSize: "1.08rem", overflowWrap: "anywhere", position: "relative", zIndex: 2 },
  "& .bed-name a": { display: "inline-block", minHeight: "28px", textDecoration: "none" },
  "& .bed-name a:hover, & .planting > a:hover": { textDecoration: "underline" },
  "& .bed-dot": {
    display: { base: "none", md: "block" },
    position: "absolute",
    left: "10px",
    top: "5px",
    width: "11px",
    height: "11px",
    borderRadius: "50%",
    background: "plum",
  },
  "& .planting": {
    display: { base: "block", md: "grid" },
    gridTemplateColumns: `${LABELS.md} minmax(0, 1fr)`,
    alignItems: "center",
  },
  "& .planting > a": {
    textDecoration: "none",
    position: "relative",
    zIndex: 2,
    display: "flex",
    gap: "10px",
    alignItems: "center",
    minHeight: "48px",
    minWidth: 0,
    lineHeight: 1.2,
    paddingLeft: { base: "16px", md: 0 },
    marginLeft: { base: 0, md: "124px" },
    paddingRight: "10px",
  },
  "& .planting-words": { minWidth: 0 },
  "& .planting-words > span": { display: "block", whiteSpace: "nowrap", overflow: "hidden", textOverflow: "ellipsis" },
  "& .planting-words > span:first-of-type": { fontWeight: 700 },
  "& .planting-words > span:last-of-type": { fontSize: "0.94rem" },
  "& .planting-words > span:last-of-type[data-urgent]": { color: "persimmon", fontWeight: 700 },
  "& .variety": { color: "soft", fontWeight: 400 },
  "& .ridge": { position: "relative", height: `${ROW_HEIGHT + 6}px`, marginLeft: { base: "16px", md: 0 } },
  "& .ridge > svg": { position: "absolute", bottom: 0, left: 0, display: "block", width: "100%", height: `${ROW_HEIGHT}px` },
  "& .ridge-bands": { position: "absolute", inset: 0, display: { base: "block", md: "none" }, pointerEvents: "none" },
  "& .pale": { fill: "ridgePale", fillOpacity: 0.75 },
  "& .worth": { fill: "ridge", fillOpacity: 0.9, stroke: "ink", strokeWidth: "1.4px", vectorEffect: "non-scaling-stroke" },
  "& .pick": {
    position: "absolute",
    bottom: 0,
    width: "44px",
    height: "46px",
    marginLeft: "-22px",
    background: "transparent",
    border: "none",
    cursor: "pointer",
    padding: 0,
    zIndex: 2,
  },
  "& .pick-stem": { position: "absolute", left: "21px", bottom: 0, width: "2px", background: "persimmonFill" },
  "& .pick-dot": {
    position: "absolute",
    left: "14px",
    width: "16px",
    height: "16px",
    borderRadius: "50%",
    background: "card",
    border: "3px solid",
    borderColor: "persimmonFill",
  },
  "& .pick-dot[data-today]": { background: "persimmonFill" },
  "& .pick-label": {
    position: "absolute",
    left: "33px",
    whiteSpace: "nowrap",
    fontSize: "0.88rem",
    fontWeight: 700,
    color: "ink",
    textAlign: "left",
    textShadow: HALO,
  },
}; // prettier-ignore
