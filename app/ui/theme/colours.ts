/** Colour pairs by name: [by day, in the dark]. Checked for AA contrast in theme.test.ts. */
export const COLOURS = {
  paper: ["#F7F0E4", "#1D1220"],
  card: ["#FFFAF0", "#281A2C"],
  ink: ["#2C1A2F", "#F1E6D6"],
  soft: ["#6E5C6B", "#B9A6B5"],
  line: ["#DDCFBD", "#463349"],
  edge: ["#8A7A86", "#8F7B8C"],
  persimmon: ["#B93A12", "#FF8A5C"],
  persimmonFill: ["#C23E14", "#F07A48"],
  onPersimmon: ["#FFFFFF", "#1D1220"],
  plum: ["#7A3B5D", "#D79ABB"],
  ridge: ["#E7B98C", "#7A5136"],
  ridgePale: ["#F3DEC5", "#3E2B2C"],
  slate: ["#3F5F7D", "#9DBEDD"],
  slateWash: ["#DCE4EA", "#22303D"],
  awayWash: ["#EFE6D8", "#2A2030"],
  night: ["#2C1A2F", "#120A14"],
  onNight: ["#FFFAF0", "#F1E6D6"],
  chosen: ["#EAD9C6", "#4A3340"],
} as const satisfies Record<string, readonly [string, string]>;

export type ColourName = keyof typeof COLOURS;

/** CSS variable of a colour, for drawings. */
export const ink = (name: ColourName) => `var(--chakra-colors-${name.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)})`;
