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

/** In the sun: black on white, nothing pale that has to be read. Text at AAA contrast, 7, in theme.test.ts. */
export const SUN = {
  paper: "#FFFFFF",
  card: "#FFFFFF",
  ink: "#000000",
  soft: "#1F1F1F",
  line: "#595959",
  edge: "#000000",
  persimmon: "#8C2200",
  persimmonFill: "#992600",
  onPersimmon: "#FFFFFF",
  plum: "#57103C",
  ridge: "#E3A468",
  ridgePale: "#F3DEC5",
  slate: "#12304A",
  slateWash: "#D9E6F2",
  awayWash: "#EDEDED",
  night: "#000000",
  onNight: "#FFFFFF",
  chosen: "#FFD24D",
} as const satisfies Record<keyof typeof COLOURS, string>;

export type ColourName = keyof typeof COLOURS;

const variable = (name: string) => `--chakra-colors-${name.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)}`;

/** CSS variable of a colour, for drawings. */
export const ink = (name: ColourName) => `var(${variable(name)})`;

/** The colours of the sun in place of those of the day or the dark. */
export const SUN_VARIABLES = Object.fromEntries(Object.entries(SUN).map(([name, value]) => [variable(name), `${value} !important`])); // prettier-ignore
