import { defineRecipe } from "@chakra-ui/react";

/**
 * The looks that recur: a component says what it is, and its look is here. Each has its element in `parts.ts`.
 */

/** A raised sheet. */
export const card = defineRecipe({
  base: {
    background: "card",
    border: "1px solid",
    borderColor: "line",
    borderRadius: "seed",
    padding: "14px 18px",
  },
});

/** A line that stands back. */
export const quiet = defineRecipe({
  base: { color: "soft", margin: 0 },
  variants: { size: { usual: {}, small: { fontSize: "0.95rem" } } },
  defaultVariants: { size: "usual" },
});

/** A page's column: as wide as what is read in it. */
export const page = defineRecipe({
  base: { marginInline: "auto", padding: { base: "14px 18px", md: "22px 28px" } },
  variants: {
    width: { narrow: { maxWidth: "720px" }, usual: { maxWidth: "1080px" }, wide: { maxWidth: "1180px" } },
  },
  defaultVariants: { width: "usual" },
});

/** A page's name. */
export const pageName = defineRecipe({ base: { fontSize: { base: "1.9rem", md: "2.2rem" } } });

/** A row of acts or facts that wraps. */
export const bar = defineRecipe({
  base: { display: "flex", flexWrap: "wrap", alignItems: "center", gap: "10px" },
  variants: { spread: { yes: { justifyContent: "space-between" }, no: {} } },
  defaultVariants: { spread: "no" },
});

/** A choice among a few, as tall as a thumb; the chosen one is firm. */
export const chip = defineRecipe({
  base: {
    minHeight: "48px",
    paddingInline: "14px",
    color: "ink",
    border: "2px solid",
    borderColor: "line",
    background: "transparent",
    borderRadius: "seed",
    cursor: "pointer",
    lineHeight: 1.2,
    "&[aria-pressed=true]": { borderColor: "ink", background: "chosen", fontWeight: 700 },
  },
  variants: {
    size: { usual: {}, large: { minHeight: "64px", padding: "8px 6px", fontSize: "1rem", background: "card" } },
  },
  defaultVariants: { size: "usual" },
});

/** What is typed into. */
export const field = defineRecipe({
  base: {
    minHeight: "48px",
    width: "100%",
    minWidth: 0,
    paddingInline: "12px",
    paddingBlock: "8px",
    fontSize: "1rem",
    fontFamily: "body",
    color: "ink",
    background: "card",
    border: "2px solid",
    borderColor: "edge",
    borderRadius: "10px",
    "&::placeholder": { color: "soft", opacity: 1 },
    "&[aria-invalid=true]": { borderColor: "persimmon" },
  },
});

/** What helps with a field, or is wrong with it; on the night panel it is as light as the rest. */
export const fieldNote = defineRecipe({ base: { fontSize: "0.95rem", color: "soft" } });
export const errorLine = defineRecipe({ base: { color: "persimmon", fontWeight: 700 } });

/** A number entered with a thumb, read at arm's length. */
export const bigNumber = defineRecipe({
  base: {
    fontFamily: "heading",
    fontSize: "2.6rem",
    textAlign: "center",
    width: "100%",
    minHeight: "64px",
    borderRadius: "10px",
    border: "none",
    "&&": { background: "transparent", color: "onNight" },
  },
});

/** Buttons: one loud thing per screen is `loud`; the rest are quiet. A square corner marks the loud one. */
export const action = defineRecipe({
  base: {
    display: "inline-flex",
    alignItems: "center",
    justifyContent: "center",
    gap: "8px",
    minHeight: "48px",
    paddingInline: "20px",
    fontFamily: "body",
    fontSize: "1rem",
    fontWeight: 700,
    lineHeight: 1.2,
    textDecoration: "none",
    cursor: "pointer",
    border: "2px solid transparent",
    borderRadius: "14px",
    transition: "background 0.15s, transform 0.1s",
    _active: { transform: "translateY(1px)" },
    _disabled: { opacity: 0.55, cursor: "not-allowed" },
  },
  variants: {
    tone: {
      loud: { background: "persimmonFill", color: "onPersimmon", borderRadius: "14px 14px 14px 2px" },
      quiet: { background: "card", color: "ink", borderColor: "edge" },
      bare: { background: "transparent", color: "ink", textDecoration: "underline", paddingInline: "8px" },
      dark: { background: "transparent", color: "onNight", borderColor: "onNight" },
    },
    size: { small: { minHeight: "40px", paddingInline: "14px", fontSize: "0.95rem" }, usual: {} },
  },
  defaultVariants: { tone: "quiet", size: "usual" },
});

/** The night-coloured panel that takes what is logged. */
export const panel = defineRecipe({
  base: {
    background: "night",
    color: "onNight",
    padding: "12px 16px",
    display: "grid",
    gap: "10px",
    "& input, & select": { background: "card", color: "ink" },
    "& [role=alert], & [id$=help]": { color: "onNight" },
  },
  variants: {
    /** At the foot of a phone's screen, under the thumb. */
    foot: {
      yes: {
        position: { base: "sticky", md: "static" },
        bottom: 0,
        zIndex: 10,
        marginInline: { base: "-18px", md: 0 },
        borderRadius: { base: "22px 22px 0 0", md: "22px" },
      },
      no: { borderRadius: "22px" },
    },
  },
  defaultVariants: { foot: "no" },
});

/** A table of figures with lines between its rows. */
export const figures = defineRecipe({
  base: {
    borderCollapse: "collapse",
    "& th, & td": {
      textAlign: "left",
      padding: "4px 12px 4px 0",
      borderBottom: "1px solid var(--chakra-colors-line)",
      verticalAlign: "top",
    },
  },
});

/** A list without marks. */
export const plainList = defineRecipe({ base: { listStyleType: "none", padding: 0, margin: 0 } });
